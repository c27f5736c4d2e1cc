/** What the API's answers have alike. */
import type { Problem } from '@/core/words/problem';

export const refuse = (
  status: number,
  problems: readonly Problem[],
  headers: HeadersInit = {},
): Response => Response.json({ errors: problems }, { status, headers });

export const one = (code: string, sentence: string): Problem[] => [{ code, path: '', sentence }];

/** Reads a body, giving up as soon as it is longer than `most` bytes; null then. */
export async function readBody(request: Request, most: number): Promise<Buffer | null> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return null;
  if (!request.body) return Buffer.alloc(0);
  const chunks: Uint8Array[] = [];
  let length = 0;
  for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
    length += chunk.byteLength;
    if (length > most) return null;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** Any other method. */
export const onlyPost = (): Response =>
  refuse(405, one('method', 'Only POST is answered here.'), { allow: 'POST' });
