/** Other processes of this machine and the memory they take, as Linux tells. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** Numbers of the processes that `ps` selects and whose command line passes. */
export const processes = (
  select: readonly string[],
  isSought: (commandLine: string) => boolean,
): number[] =>
  execFileSync('ps', ['-o', 'pid=,args=', ...select], { encoding: 'utf8', maxBuffer: 1e8 })
    .split('\n')
    .filter(isSought)
    .map((line) => Number.parseInt(line, 10));

/** The memory a process has now (VmRSS) or the most it has had (VmHWM), MB; 0 where it has ended meanwhile. */
export function memoryMb(pid: number, line: 'VmRSS' | 'VmHWM'): number {
  try {
    const status = readFileSync(`/proc/${pid}/status`, 'utf8');
    return Number(new RegExp(`${line}:\\s+(\\d+)`).exec(status)?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
}
