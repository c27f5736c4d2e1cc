'use client';
import { useState } from 'react';
import { Plus } from 'lucide-react';
import styled from 'styled-components';
import { newId } from '@/core/kit';
import { valueAt, type Field, type ScalarField } from '@/core/kit/fields';
import type { Mount } from '@/core/kit/records';
import { ActingButton, TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { Fold } from '@/ui/controls/Fold';
import { EntryField } from '@/ui/form/EntryField';
import { FlagField } from '@/ui/form/FlagField';
import { keysAfter, NOTHING_KEYED } from '@/ui/form/listKeys';
import { textOf, valueOf } from './fieldText';

/** What the fields of one record share. */
export interface EditContext {
  record: object;
  /** Under this name what is typed outlasts a reload; null where it need not. */
  keptAs: string | null;
  mounts: readonly Mount[];
  /** Paths whose figures are what is usual, not what anyone told. */
  estimated: readonly string[];
  /** What the record as a whole would say against a value at a path; null where nothing. */
  complain: (path: string, value: unknown) => string | null;
  change: (path: string, label: string, value: unknown) => void;
}

const Inset = styled.div`
  border-left: 2px solid var(--line);
  padding-left: 10px;
  margin: 3px 0 6px;
`;

const EntryFoot = styled.div`
  display: flex;
  align-items: center;
  justify-content: flex-end;
  gap: 8px;
  color: var(--muted);
  font-size: 12px;
`;

const ListHead = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  color: var(--muted);
  font-size: 12px;
  min-height: 28px;
`;

/** Where a value stands in its record: by places in lists, and by the ids of what stands there. */
interface Place {
  path: string;
  /** The same though entries before it come and go: what is half typed is kept under it. */
  lasting: string;
}

const WHOLE: Place = { path: '', lasting: '' };
const within = (place: Place, key: string, lasting = key): Place => ({
  path: place.path ? `${place.path}.${key}` : key,
  lasting: place.lasting ? `${place.lasting}.${lasting}` : lasting,
});

interface ScalarProps {
  field: ScalarField;
  place: Place;
  context: EditContext;
}

function ScalarEditor({ field, place: { path, lasting }, context }: ScalarProps) {
  const value = valueAt(context.record, path);
  const isEstimated = context.estimated.some((e) => path === e || path.startsWith(`${e}.`));
  const change = (next: unknown) => context.change(path, field.label, next);
  switch (field.kind) {
    case 'flag':
      return <FlagField label={field.label} on={value === true} onTurn={change} />;
    case 'choice':
      return (
        <Choice
          inForm
          label={`${field.label}${isEstimated ? ' (estimated)' : ''}`}
          groups={[{ title: field.label, options: field.options.map((id) => ({ id, label: id })) }]}
          chosen={typeof value === 'string' ? value : null}
          onChoose={change}
        />
      );
    case 'mount':
      return (
        <Choice
          inForm
          label={field.label}
          groups={[
            {
              title: 'Mounts, by register',
              options: context.mounts.map((m) => ({
                id: m.id,
                label: m.name,
                note: [`${m.registerMm} mm`, ...m.aliases].join(' · '),
              })),
            },
          ]}
          chosen={typeof value === 'string' ? value : null}
          placeholder={typeof value === 'string' ? `${value} (not here)` : 'choose'}
          onChoose={change}
        />
      );
    default:
      return (
        <EntryField
          keptAs={context.keptAs === null ? undefined : `${context.keptAs} ${lasting}`}
          label={field.label}
          shown={textOf(field, value)}
          figure={field.kind === 'number' || field.kind === 'numbers'}
          long={field.kind === 'text' && field.long}
          placeholder={
            field.kind === 'number' && field.unknown
              ? 'not known'
              : field.kind === 'names' || field.kind === 'numbers'
                ? 'none; several with ; between'
                : ''
          }
          mark={isEstimated ? 'estimated' : undefined}
          complain={(text) => {
            const read = valueOf(field, text);
            return read.ok
              ? context.complain(path, read.value)
              : (read.problems[0]?.sentence ?? null);
          }}
          onEnter={(text) => {
            const read = valueOf(field, text);
            if (read.ok) change(read.value);
          }}
        />
      );
  }
}

type ListField = Extract<Field, { kind: 'list' }>;

const summaryOf = (item: object, { summary, one }: ListField, i: number): string => {
  const value = valueAt(item, summary);
  return typeof value === 'string' || typeof value === 'number' ? String(value) : `${one} ${i + 1}`;
};

/** Sides of a read-out: a new mode begins as large as the first of its body. */
const SIDES = ['widthMm', 'heightMm', 'widthPx', 'heightPx'] as const;

/** A name no entry has yet: "New mode", "New mode 2". */
function freeName(name: string, items: readonly object[]): string {
  const taken = new Set(items.map((item) => valueAt(item, 'name')));
  for (let i = 1; ; i += 1) {
    const tried = i === 1 ? name : `${name} ${i}`;
    if (!taken.has(tried)) return tried;
  }
}

/** A new entry beside others: an id and a name of its own where its kind has them, its sides as the first has them. */
function freshOf(fresh: object, items: readonly object[]): object {
  const [first] = items;
  const sides = SIDES.filter((side) => side in fresh && first && side in first);
  return {
    ...fresh,
    ...Object.fromEntries(sides.map((side) => [side, valueAt(first ?? {}, side)])),
    ...('name' in fresh && typeof fresh.name === 'string'
      ? { name: freeName(fresh.name, items) }
      : {}),
    ...('id' in fresh ? { id: newId().slice(0, 8) } : {}),
  };
}

/** An id for each entry of a list: its own, or one that follows it. */
function useIdsOf(items: readonly object[]): string[] {
  const [keyed, setKeyed] = useState(NOTHING_KEYED);
  const now = keyed.items === items ? keyed : keysAfter(keyed, items);
  if (now !== keyed) setKeyed(now);
  return items.map((item, i) =>
    'id' in item && typeof item.id === 'string' ? item.id : `entry-${now.keys[i] ?? i}`,
  );
}

const NO_ITEMS: object[] = [];

interface ListProps {
  field: ListField;
  place: Place;
  context: EditContext;
}

function ListEditor({ field, place, context }: ListProps) {
  const { path } = place;
  const value = valueAt(context.record, path);
  const items = Array.isArray(value) ? (value as object[]) : NO_ITEMS;
  const ids = useIdsOf(items);
  const put = (next: object[]) => context.change(path, field.label, next);
  return (
    <>
      <ListHead>
        {field.label}: {items.length === 0 ? 'none' : items.length}
        <ActingButton onPress={() => put([...items, freshOf(field.fresh, items)])}>
          <Plus size={12} aria-hidden="true" /> {field.one}
        </ActingButton>
      </ListHead>
      {items.map((item, i) => {
        const without = items.toSpliced(i, 1);
        const held = context.complain(path, without);
        const id = ids[i] ?? String(i);
        return (
          <Inset key={id}>
            <Fold title={`${field.one} ${i + 1}`} summary={summaryOf(item, field, i)}>
              {field.fields.map((inner) => (
                <FieldEditor
                  key={inner.path}
                  field={inner}
                  inside={within(place, String(i), id)}
                  context={context}
                />
              ))}
              <EntryFoot>
                {held}
                <TextButton isDisabled={held !== null} onPress={() => put(without)}>
                  Remove {field.one} {i + 1}
                </TextButton>
              </EntryFoot>
            </Fold>
          </Inset>
        );
      })}
    </>
  );
}

interface FieldEditorProps {
  field: Field;
  /** The inner record the field is in; the whole record where left out. */
  inside?: Place;
  context: EditContext;
}

/** Whatever a field is, ready to be edited in its place. */
export function FieldEditor({ field, inside = WHOLE, context }: FieldEditorProps) {
  const place = within(inside, field.path);
  if (field.kind === 'list') return <ListEditor field={field} place={place} context={context} />;
  if (field.kind === 'maybe') {
    const { path } = place;
    const there = valueAt(context.record, path) !== null;
    return (
      <>
        <FlagField
          label={field.label}
          on={there}
          onTurn={(on) => context.change(path, field.label, on ? { ...field.fresh } : null)}
        />
        {there && (
          <Inset>
            {field.fields.map((inner) => (
              <FieldEditor key={inner.path} field={inner} inside={place} context={context} />
            ))}
          </Inset>
        )}
      </>
    );
  }
  return <ScalarEditor field={field} place={place} context={context} />;
}
