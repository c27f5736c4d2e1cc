'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { type SetAside, setAsideWords } from '@/core/kit/records';
import { counted } from '@/core/words';
import { commit } from '@/store/changes/journal';
import { db } from '@/store/database/instance';
import { troubleSentence } from '@/store/troubles/troubles';
import { TextButton } from '@/ui/controls/Buttons';
import { download, fileOfToday } from './files/files';

const Strip = styled.div`
  flex: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  padding: 7px 14px;
  border-bottom: 1px solid var(--line);
  background: var(--lifted);
  p {
    min-width: 0;
    overflow-wrap: anywhere;
  }
`;

/** So many are named; the others are counted. */
const NAMED = 3;

function namesOf(setAside: readonly SetAside[]): string {
  const names = setAside.slice(0, NAMED).map(setAsideWords);
  const more = setAside.length - names.length;
  return [...names, ...(more > 0 ? [`${more} more`] : [])].join(', ');
}

const takeOut = (setAside: readonly SetAside[]) =>
  commit(
    db,
    `Take out ${namesOf(setAside)}`,
    setAside.map(({ table, id }) =>
      table === 'judgement'
        ? { table: 'preferences', id, after: null }
        : { table, id, after: null },
    ),
  );

const ONE = { it: 'it', are: 'is', itIs: 'it is' };
const MANY = { it: 'them', are: 'are', itIs: 'they are' };

/** Tells of records that are damaged, saves them, and takes them out; everything else works. */
export function SetAsideStrip({ setAside }: { setAside: readonly SetAside[] }) {
  const [trouble, setTrouble] = useState('');
  if (setAside.length === 0) return null;
  const { it, are, itIs } = setAside.length === 1 ? ONE : MANY;
  const save = () => download(fileOfToday('damaged'), `${JSON.stringify(setAside, null, 2)}\n`);
  const remove = () =>
    void takeOut(setAside).catch((error: unknown) => setTrouble(troubleSentence(error)));
  return (
    <Strip role="status">
      <p>
        {counted(setAside.length, 'record')} {are} damaged and set aside: {namesOf(setAside)}.
        Everything else works; a saved workspace holds {it} as {itIs}. {trouble}
      </p>
      <TextButton onPress={save}>Save {it} apart</TextButton>
      <TextButton onPress={remove}>Take {it} out</TextButton>
    </Strip>
  );
}
