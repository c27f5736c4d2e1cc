import { rigFileSchema } from '@/core/kit/records';

export const GET = (): Response => Response.json(rigFileSchema);
