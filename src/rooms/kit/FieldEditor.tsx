'use client';
import { Plus } from 'lucide-react';
import styled from 'styled-components';
import { newId } from '@/core/kit/newId';
import { valueAt } from '@/core/kit/fields/paths';
import type { Field, ScalarField } from '@/core/kit/fields/fieldTypes';
import type { Mount } from '@/core/kit/records/mount';
import { ActingButton, TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { Fold } from '@/ui/controls/Fold';
import { EntryField } from '@/ui/form/EntryField';
import { FlagField } from '@/ui/form/FlagField';
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

interface ScalarProps {
  field: ScalarField;
  path: string;
  context: EditContext;
}

function ScalarEditor({ field, path, context }: ScalarProps) {
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
          keptAs={context.keptAs === null ? undefined : `${context.keptAs} ${path}`}
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

/** A new entry, with an id of its own where its kind has one. */
const freshOf = (fresh: object): object =>
  'id' in fresh ? { ...fresh, id: newId().slice(0, 8) } : { ...fresh };

function ListEditor({
  field,
  path,
  context,
}: {
  field: ListField;
  path: string;
  context: EditContext;
}) {
  const value = valueAt(context.record, path);
  const items = Array.isArray(value) ? (value as object[]) : [];
  const put = (next: object[]) => context.change(path, field.label, next);
  return (
    <>
      <ListHead>
        {field.label}: {items.length === 0 ? 'none' : items.length}
        <ActingButton onPress={() => put([...items, freshOf(field.fresh)])}>
          <Plus size={12} aria-hidden="true" /> {field.one}
        </ActingButton>
      </ListHead>
      {items.map((item, i) => {
        const without = items.toSpliced(i, 1);
        const held = context.complain(path, without);
        return (
          <Inset key={`${path}.${i}`}>
            <Fold title={`${field.one} ${i + 1}`} summary={summaryOf(item, field, i)}>
              {field.fields.map((inner) => (
                <FieldEditor
                  key={inner.path}
                  field={inner}
                  before={`${path}.${i}.`}
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
  /** Path of the record the field is in, with a dot after it; empty for the record itself. */
  before?: string;
  context: EditContext;
}

/** Whatever a field is, ready to be edited in its place. */
export function FieldEditor({ field, before = '', context }: FieldEditorProps) {
  const path = `${before}${field.path}`;
  if (field.kind === 'list') return <ListEditor field={field} path={path} context={context} />;
  if (field.kind === 'maybe') {
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
              <FieldEditor key={inner.path} field={inner} before={`${path}.`} context={context} />
            ))}
          </Inset>
        )}
      </>
    );
  }
  return <ScalarEditor field={field} path={path} context={context} />;
}
