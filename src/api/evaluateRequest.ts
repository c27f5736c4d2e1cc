/** The answer to POST /api/evaluate: a rig file in, the report out, the same as on screen. */
import { parseJson } from '@/core/exchange/json';
import { rigOfFile } from '@/core/exchange/rigFile';
import type { Problem } from '@/core/kit/problem';
import { evaluate } from '@/core/rig/evaluate';

/** Largest body read, bytes. */
const MOST_BODY_BYTES = 64 * 1024;

const refuse = (
  status: number,
  problems: readonly Problem[],
  headers: HeadersInit = {},
): Response => Response.json({ errors: problems }, { status, headers });

const one = (code: string, sentence: string): Problem[] => [{ code, path: '', sentence }];

/** Reads a body as text, giving up as soon as it is too long. */
async function readBody(request: Request): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BODY_BYTES) return null;
  if (!request.body) return '';
  const chunks: Uint8Array[] = [];
  let length = 0;
  for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
    length += chunk.byteLength;
    if (length > MOST_BODY_BYTES) return null;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

export async function answerEvaluate(request: Request): Promise<Response> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\b/i.test(type)) {
    return refuse(415, one('mediaType', 'Send the rig as application/json.'));
  }
  const body = await readBody(request);
  if (body === null) {
    return refuse(
      413,
      one('tooLarge', 'The rig is over 64 KB; send the one rig, not a workspace.'),
    );
  }
  const parsed = parseJson(body, 'The body');
  if (!parsed.ok) return refuse(400, parsed.problems);
  const rig = rigOfFile(parsed.value);
  return rig.ok ? Response.json(evaluate(rig.value)) : refuse(422, rig.problems);
}

/** Any other method. */
export const onlyPost = (): Response =>
  refuse(405, one('method', 'Only POST is answered here.'), { allow: 'POST' });
