import { lensFileSchema } from '@/core/kit/records/lensFile';

export const GET = (): Response => Response.json(lensFileSchema);
