'use client';
import { useEffect, useMemo, useRef } from 'react';
import styled from 'styled-components';
import { fullName, type Tables, type Workspace } from '@/core/kit/records';
import { hintsFor, byRegister } from '@/core/kit';
import { withValueAt, type KitTable, fieldsFor } from '@/core/kit/fields';
import { checkRecord } from '@/core/kit/checks';
import { IconButton, LineButton } from '@/ui/controls/Buttons';
import { Fold } from '@/ui/controls/Fold';
import { PHONE } from '@/ui/theme/type';
import { FieldEditor, type EditContext } from './FieldEditor';
import type { KitActions } from '../useKit';
import { X } from 'lucide-react';

const Panel = styled.section`
  overflow-y: auto;
  min-height: 0;
  padding: 12px 16px 20px;
  border-left: 1px solid var(--line);
  @media ${PHONE} {
    border: 0;
    overflow: visible;
  }
`;

const Head = styled.div`
  display: flex;
  gap: 8px;
  align-items: flex-start;
  justify-content: space-between;
  h2 {
    font-size: 18px;
    font-weight: 650;
    line-height: 1.25;
    overflow-wrap: anywhere;
  }
`;

const Hints = styled.ul`
  margin: 6px 0 2px;
  color: var(--muted);
  font-size: 12px;
  li + li {
    margin-top: 2px;
  }
`;

const Acts = styled.div`
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin-top: 14px;
`;

interface RecordEditorProps<T extends KitTable> {
  table: T;
  record: Tables[T];
  workspace: Workspace;
  actions: KitActions;
  onClose: () => void;
}

const named = (record: Tables[KitTable]): string =>
  'maker' in record ? fullName(record) : record.name;

/** Sentences a record earns; none for one that can stand. */
const problemsOf = (table: KitTable, record: object): string[] => {
  const checked = checkRecord(table, record);
  // The field stands beside its sentence, so its own name in the file is left out.
  return checked.ok
    ? []
    : checked.problems.map((p) => p.sentence.replace(/^[\w, .]+: must be/, 'It must be'));
};

/** One record, every fact of it in its place; each change is stored at once and can be taken back. */
export function RecordEditor<T extends KitTable>(props: RecordEditorProps<T>) {
  const { table, record, workspace, actions, onClose } = props;
  const context = useMemo<EditContext>(() => {
    const already = new Set(problemsOf(table, record));
    return {
      record,
      mounts: byRegister(workspace.mounts),
      keptAs: record.id,
      estimated: 'estimated' in record ? record.estimated : [],
      complain: (path, value) =>
        problemsOf(table, withValueAt(record, path, value)).find((p) => !already.has(p)) ?? null,
      change: (path, label, value) => actions.change(table, record, path, label, value),
    };
  }, [table, record, workspace.mounts, actions]);
  const hints = hintsFor(table, record);
  const panel = useRef<HTMLElement>(null);
  // On a phone the editor stands below the table: go there.
  useEffect(() => {
    if (matchMedia(PHONE).matches) panel.current?.scrollIntoView({ block: 'start' });
  }, [record.id]);
  return (
    <Panel aria-label="Editor" ref={panel}>
      <Head>
        <h2>{named(record)}</h2>
        <IconButton label="Close the editor" onPress={onClose}>
          <X size={16} aria-hidden="true" />
        </IconButton>
      </Head>
      {hints.length > 0 && (
        <Hints aria-label="What it lacks">
          {hints.map((hint) => (
            <li key={hint.sentence}>{hint.sentence}</li>
          ))}
        </Hints>
      )}
      {fieldsFor(table, record).map((group, i) => (
        <Fold key={group.title} title={group.title} summary="" startsOpen={i < 2}>
          {group.fields.map((field) => (
            <FieldEditor key={field.path} field={field} context={context} />
          ))}
        </Fold>
      ))}
      <Acts>
        <LineButton onPress={() => actions.duplicate(table, [record])}>Duplicate</LineButton>
        <LineButton onPress={() => actions.remove(table, [record])}>Delete</LineButton>
      </Acts>
    </Panel>
  );
}
