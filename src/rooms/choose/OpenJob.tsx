'use client';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import styled from 'styled-components';
import {
  recordOfCandidate,
  candidateKey,
  type Candidate,
  type Kept,
  judgedWords,
} from '@/core/choose';
import { rigQuery } from '@/core/exchange/links';
import { newId } from '@/core/kit';
import { fullName, type Job, type Workspace } from '@/core/kit/records';
import { ROOMS } from '@/shell/rooms';
import { stored } from '@/shell/tell';
import { useShellKeys, type Shell } from '@/shell/useShell';
import { db } from '@/store/database/instance';
import { commit } from '@/store/changes/journal';
import { RoomColumns } from '@/ui/controls/roomLayout';
import { PHONE } from '@/ui/theme/type';
import { JobSentence } from './JobSentence';
import { ListBar, NoRows } from './ListBar';
import { namerOf, type Namer } from './names';
import { Rows } from './Rows';
import { SidePanel } from './SidePanel';
import { useFound, type Search } from './useFound';
import type { JobInHand } from './useJob';
import { useList } from './useList';

const Left = styled.section`
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
  padding: 10px 16px 0;
  @media ${PHONE} {
    padding: 10px 10px 12px;
  }
`;

const Muted = styled.span`
  color: var(--muted);
`;

interface OpenJobProps {
  workspace: Workspace;
  shell: Shell;
  inHand: JobInHand;
}

/** What is put on the shortlist, by key. */
function useShortlist() {
  const [list, setList] = useState<readonly Candidate[]>([]);
  const turn = useCallback(
    (candidate: Candidate) =>
      setList((now) => {
        const key = candidateKey(candidate);
        const others = now.filter((c) => candidateKey(c) !== key);
        return others.length < now.length ? others : [...now, candidate];
      }),
    [],
  );
  return [list, turn] as const;
}

/** What was found once a search has ended; what the one before found meanwhile. */
function useSettled({ found, state }: Search): Kept {
  const [settled, setSettled] = useState(found);
  if (state !== 'running' && settled !== found) setSettled(found);
  // Drawn after the rows, in a breath of its own.
  return useDeferredValue(settled);
}

/** Puts a row on the Bench as a rig of its own. */
function useOpen({ workspace, shell, inHand }: OpenJobProps, nameOf: Namer) {
  const { tell, keys } = shell;
  const { job } = inHand;
  return useCallback(
    (candidate: Candidate) => {
      const name = `${job.name}: ${nameOf(candidate).lens}`.slice(0, 200);
      const record = recordOfCandidate(candidate, job, workspace, { id: newId(), name });
      stored(tell, async () => {
        const done = await commit(db, 'Put a chosen rig on the Bench', [
          { table: 'rigs', id: record.id, after: record },
        ]);
        keys.visit(`${ROOMS.bench.path}?${rigQuery(record.id, record.settings)}`);
        return done;
      });
    },
    [job, keys, nameOf, tell, workspace],
  );
}

/** Gear that is left out, by name. */
function useLeftOut({ bodies, lenses, parts }: Workspace, { leaveOut }: Job) {
  return useMemo(() => {
    const gear = [...bodies, ...lenses, ...parts];
    return leaveOut.map((id) => {
      const found = gear.find((g) => g.id === id);
      return { id, name: found ? fullName(found) : id };
    });
  }, [bodies, lenses, parts, leaveOut]);
}

/** A job, the rows it has, and what they come to. */
export function OpenJob(props: OpenJobProps) {
  const { workspace, shell, inHand } = props;
  const { job, change, isLinked } = inHand;
  const search = useFound(workspace, job);
  const nameOf = useMemo(() => namerOf(workspace), [workspace]);
  const list = useList(search.found, nameOf);
  const settled = useSettled(search);
  const [shortlist, onShortlist] = useShortlist();
  const onOpen = useOpen(props, nameOf);
  const leftOut = useLeftOut(workspace, job);
  const { leaveOut } = job;
  const judged = judgedWords(job, workspace.bodies);
  const onLeaveOut = useCallback(
    (id: string, name: string) => change(`Leave ${name} out`, { leaveOut: [...leaveOut, id] }),
    [change, leaveOut],
  );
  useShellKeys(shell, { '/': () => list.find.current?.focus(), n: list.turnNear });
  return (
    <RoomColumns>
      <Left aria-label="Rigs for the job">
        <JobSentence job={job} onChange={change} leftOut={leftOut} />
        {isLinked && (
          <Muted>As the link tells it; it is kept here once a word of it is changed.</Muted>
        )}
        <ListBar search={search} list={list} />
        {judged !== null && <Muted>{judged}</Muted>}
        {list.items.length > 0 ? (
          <Rows
            label={list.showsNear ? 'Near misses' : 'Rigs that can do it'}
            items={list.items}
            job={job}
            workspace={workspace}
            nameOf={nameOf}
            shortlist={new Set(shortlist.map(candidateKey))}
            chosen={list.chosen}
            onShortlist={onShortlist}
            onOpen={onOpen}
            onLeaveOut={onLeaveOut}
            onFold={list.fold}
          />
        ) : (
          <NoRows search={search} list={list} job={job} />
        )}
      </Left>
      <SidePanel
        found={settled}
        job={job}
        nameOf={nameOf}
        shortlist={shortlist}
        onlyBest={list.listing.only !== null}
        onOnlyBest={list.showOnly}
        onChoose={list.show}
      />
    </RoomColumns>
  );
}
