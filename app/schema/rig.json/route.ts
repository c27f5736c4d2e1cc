import { rigFileSchema } from '@/core/kit/records/rigFile';

export const GET = (): Response => Response.json(rigFileSchema);
