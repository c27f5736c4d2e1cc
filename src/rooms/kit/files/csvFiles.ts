/** Tables as CSV files, out and in. Reading and writing is loaded only when it is needed. */
import { textOf } from '@/workers/readFile';
import type { Sheet } from '@/core/exchange/csv';
import { checkSize } from '@/core/exchange/json';
import type { KitTable } from '@/core/kit/fields';
import type { Result } from '@/core/words';
import type { Tables } from '@/core/kit/records';
import { download } from '@/shell/files/files';

export const csvWork = () => import('@/core/exchange/csv');

export async function saveCsv<T extends KitTable>(
  table: T,
  records: readonly Tables[T][],
): Promise<void> {
  const { writeCsv } = await csvWork();
  download(`wandering-halo-${table}.csv`, writeCsv(table, records), 'text/csv');
}

export async function readCsvFile(file: File): Promise<Result<Sheet>> {
  const size = checkSize(file.size, file.name);
  if (!size.ok) return size;
  const [{ readSheet }, text] = await Promise.all([csvWork(), textOf(file)]);
  return text.ok ? readSheet(text.value, file.name) : text;
}
