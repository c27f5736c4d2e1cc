/** The answer to GET /api/demo: whether the program was started with the demo. */
import { refuseHost } from './hosts';

export const answerDemo = (request: Request): Response =>
  refuseHost(request.headers) ??
  Response.json(
    { wanted: process.env.HALO_DEMO === '1' },
    { headers: { 'cache-control': 'no-store' } },
  );
