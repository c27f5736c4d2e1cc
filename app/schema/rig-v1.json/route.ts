import { rigFileSchema } from '@/core/kit/rigFile';

export const GET = (): Response => Response.json(rigFileSchema);
