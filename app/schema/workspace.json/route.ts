import { workspaceSchema } from '@/core/kit/records';

export const GET = (): Response => Response.json(workspaceSchema);
