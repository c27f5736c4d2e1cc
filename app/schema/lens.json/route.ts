import { lensFileSchema } from '@/core/kit/records';

export const GET = (): Response => Response.json(lensFileSchema);
