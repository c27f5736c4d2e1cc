import { workspaceSchema } from '@/core/kit/workspace';

export const GET = (): Response => Response.json(workspaceSchema);
