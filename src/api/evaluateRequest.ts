/** The answer to POST /api/evaluate: a rig file in, the report out, the same as on screen. */
import { parseJson, rigOfFile } from '@/core/exchange/json';
import { evaluate } from '@/core/rig/report';
import { one, readBody, refuse, refuseBody } from './requests';
import { refuseHost } from './hosts';

/** Largest body read, bytes. */
const MOST_BODY_BYTES = 64 * 1024;

export async function answerEvaluate(request: Request): Promise<Response> {
  const misled = refuseHost(request.headers);
  if (misled) return misled;
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\b/i.test(type)) {
    return refuse(415, one('mediaType', 'Send the rig as application/json.'));
  }
  const body = await readBody(request, MOST_BODY_BYTES);
  if (typeof body === 'string')
    return refuseBody(body, 'The rig is over 64 KB; send the one rig, not a workspace.');
  const parsed = parseJson(body.toString('utf8'), 'The body');
  if (!parsed.ok) return refuse(400, parsed.problems);
  const rig = rigOfFile(parsed.value);
  return rig.ok ? Response.json(evaluate(rig.value)) : refuse(422, rig.problems);
}
