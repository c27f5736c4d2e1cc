/** What the API's answers have alike. */
import type { Problem } from '@/core/words';

export const refuse = (
  status: number,
  problems: readonly Problem[],
  headers: HeadersInit = {},
): Response => Response.json({ errors: problems }, { status, headers });

export const one = (code: string, sentence: string): Problem[] => [{ code, path: '', sentence }];

/** A body must have come whole by then, ms. */
const BODY_MS = 30_000;

/** Reads a body, giving up as soon as it is longer than `most` bytes or takes longer than `withinMs`. */
export async function readBody(
  request: Request,
  most: number,
  withinMs = BODY_MS,
): Promise<Buffer | 'too large' | 'too slow'> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return 'too large';
  if (!request.body) return Buffer.alloc(0);
  const reader = request.body.getReader();
  const late = new AbortController();
  const timer = setTimeout(() => {
    late.abort();
    void reader.cancel();
  }, withinMs);
  const chunks: Uint8Array[] = [];
  let length = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (late.signal.aborted) return 'too slow';
      if (done) return Buffer.concat(chunks);
      length += value.byteLength;
      if (length > most) {
        void reader.cancel();
        return 'too large';
      }
      chunks.push(value);
    }
  } finally {
    clearTimeout(timer);
  }
}

/** The refusal of a body that was not read whole. */
export const refuseBody = (why: 'too large' | 'too slow', tooLarge: string): Response =>
  why === 'too large'
    ? refuse(413, one('tooLarge', tooLarge))
    : refuse(408, one('tooSlow', 'The body took longer than 30 s to come.'));

/** The answer to any other method. */
const only = (method: string) => (): Response =>
  refuse(405, one('method', `Only ${method} is answered here.`), { allow: method });
export const onlyGet = only('GET');
export const onlyPost = only('POST');
