/** Text from a file or from standard input. */
import { readFile, stat } from 'node:fs/promises';
import { checkSize } from '@/core/exchange/json';
import { badInput, refused } from './command';

/** Reads `file` as text; "-" is standard input. */
export async function readInput(file: string): Promise<string> {
  if (file === '-') {
    const chunks: Buffer[] = [];
    for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
    return Buffer.concat(chunks).toString('utf8');
  }
  const facts = await stat(file).catch(() => null);
  if (!facts) throw badInput(`${file} cannot be found.`);
  if (!facts.isFile()) throw badInput(`${file} is not a file.`);
  const size = checkSize(facts.size, file);
  if (!size.ok) throw refused(size.problems);
  return readFile(file, 'utf8');
}
