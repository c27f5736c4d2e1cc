import { workspaceSchema } from '@/core/kit/records/workspace';

export const GET = (): Response => Response.json(workspaceSchema);
