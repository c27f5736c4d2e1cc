/** Which records of a table are shown. */
import { hintsFor } from '@/core/kit';
import type { KitTable } from '@/core/kit/fields';
import { isFront, type Tables } from '@/core/kit/records';

export interface KitFilter {
  /** Words that must all stand somewhere in the record's own words. */
  search: string;
  /** Only what has one of these mounts on either side; null for all. */
  mountIds: readonly string[] | null;
  /** Only records that lack something. */
  lacking: boolean;
}

export const NO_FILTER: KitFilter = { search: '', mountIds: null, lacking: false };

type Words = (record: Tables[KitTable]) => string;

const mountsOf = (record: Tables[KitTable]): string[] => {
  if ('mountId' in record) return [record.mountId];
  if ('frontMountId' in record)
    return isFront(record) ? [] : [record.frontMountId, record.rearMountId];
  return 'registerMm' in record ? [record.id] : [];
};

/** The records that pass; `words` says a record in small letters, for searching. */
export function filtered<T extends KitTable>(
  table: T,
  records: readonly Tables[T][],
  { search, mountIds, lacking }: KitFilter,
  words: Words,
): Tables[T][] {
  const sought = search.toLowerCase().split(/\s+/).filter(Boolean);
  return records.filter((record) => {
    if (lacking && hintsFor(table, record).length === 0) return false;
    if (mountIds && table !== 'markings') {
      const has = mountsOf(record);
      if (!mountIds.some((id) => has.includes(id))) return false;
    }
    if (sought.length === 0) return true;
    const text = words(record);
    return sought.every((word) => text.includes(word));
  });
}
