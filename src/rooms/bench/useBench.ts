'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { readRigQuery, rigQuery } from '@/core/exchange/link';
import type { RigRecord, RigSettings } from '@/core/kit/records/rigRecord';
import type { Workspace } from '@/core/kit/records/workspace';
import { evaluate, type Report } from '@/core/rig/report/evaluate';
import { fitSettings, isMissing, resolveRig, type MissingRecord, type Rig } from '@/core/rig/rig';
import type { Way } from '@/core/rig/search/waysOut';
import { db } from '@/store/instance';
import { commit, edited } from '@/store/journal';
import { lastRig, rememberRig } from '@/store/lastRig';
import { conflictSentence, troubleSentence } from '@/store/troubles';
import { useLatest } from '@/ui/useLatest';

/** Settings being turned. They hold for one stored record only: a new one from the database ends them. */
interface Draft {
  record: RigRecord;
  settings: RigSettings;
  settled: boolean;
}

/** What can be done on the Bench. The same functions for as long as it stands. */
export interface BenchActions {
  choose: (rigId: string) => void;
  /** Shows a setting without keeping it. */
  turn: (change: Partial<RigSettings>) => void;
  /** Keeps a setting as one step to undo. */
  settle: (label: string, change: Partial<RigSettings>) => void;
  /** Changes which records the rig joins, or its name. */
  change: (label: string, change: Partial<RigRecord>) => void;
  /** Takes a way out as one step. */
  apply: (way: Way) => void;
}

export interface Bench {
  record: RigRecord | null;
  /** The rig as it is set now, or what it lacks. */
  rig: Rig | MissingRecord | null;
  report: Report | null;
  actions: BenchActions;
}

type Say = (sentence: string) => void;

/** The settings of a rig as they can be on its own lens and mode. */
function fitted(workspace: Workspace, record: RigRecord, settings: RigSettings): RigSettings {
  const lens = workspace.lenses.find((l) => l.id === record.lensId);
  const mode = workspace.bodies
    .find((b) => b.id === record.bodyId)
    ?.modes.find((m) => m.id === record.modeId);
  const parts = record.partIds.flatMap((id) => workspace.parts.find((p) => p.id === id) ?? []);
  return lens && mode ? fitSettings(settings, { lens, mode, parts }) : settings;
}

const save = (
  label: string,
  seen: RigRecord,
  after: RigRecord,
  mergeKey: string | null,
  say: Say,
  undo: () => void,
) => {
  commit(db, label, [edited('rigs', seen, after)], { mergeKey }).then(
    ({ conflicts }) => {
      const sentence = conflictSentence(conflicts);
      if (sentence) say(sentence);
    },
    (error: unknown) => {
      undo();
      say(troubleSentence(error));
    },
  );
};

/** Opens the rig the address names, once the workspace is there; sets it as the address says. */
function useArrival(workspace: Workspace, choose: (id: string) => void, say: Say): boolean {
  const [arrived, setArrived] = useState(false);
  const done = useRef(false);
  useEffect(() => {
    if (done.current) return;
    done.current = true;
    const link = readRigQuery(window.location.search);
    const record = workspace.rigs.find((r) => r.id === link?.rigId);
    if (link && record) {
      choose(record.id);
      const settings = fitted(workspace, record, { ...record.settings, ...link.settings });
      if (rigQuery(record.id, settings) !== rigQuery(record.id, record.settings)) {
        save('Set as the link says', record, { ...record, settings }, null, say, () => undefined);
      }
    } else {
      if (link) say(`The link asks for a rig that is not in this workspace (“${link.rigId}”).`);
      const last = lastRig();
      if (last !== null) choose(last);
    }
    setArrived(true);
  }, [workspace, choose, say]);
  return arrived;
}

/** Keeps the address pointing at the rig as it is set. */
function useAddress(record: RigRecord | null, settings: RigSettings | null, ready: boolean): void {
  const query = record && settings ? rigQuery(record.id, settings) : '';
  useEffect(() => {
    if (!ready) return;
    const search = query ? `?${query}` : '';
    if (window.location.search !== search) {
      window.history.replaceState(window.history.state, '', `${window.location.pathname}${search}`);
    }
  }, [query, ready]);
}

export function useBench(workspace: Workspace, say: Say): Bench {
  const [rigId, setRigId] = useState<string | null>(null);
  const [draft, setDraft] = useState<Draft | null>(null);

  const choose = useCallback((id: string) => {
    setRigId(id);
    setDraft(null);
    rememberRig(id);
  }, []);
  const arrived = useArrival(workspace, choose, say);

  const record = workspace.rigs.find((r) => r.id === rigId) ?? workspace.rigs[0] ?? null;
  const live = draft && draft.record === record ? draft : null;
  const settings = live?.settings ?? record?.settings ?? null;
  useAddress(record, settings, arrived && (live === null || live.settled));

  const rig = useMemo(
    () => (record && settings ? resolveRig(workspace, { ...record, settings }) : null),
    [workspace, record, settings],
  );
  const report = useMemo(() => (rig && !isMissing(rig) ? evaluate(rig) : null), [rig]);

  const now = useLatest({ workspace, record, settings });

  const actions = useMemo<BenchActions>(() => {
    const turnTo = (change: Partial<RigSettings>, settled: boolean): RigRecord | null => {
      const { workspace: kit, record: on, settings: set } = now.current;
      if (!on || !set) return null;
      const next = fitted(kit, on, { ...set, ...change });
      setDraft({ record: on, settings: next, settled });
      return { ...on, settings: next };
    };
    const change: BenchActions['change'] = (label, changes) => {
      const { workspace: kit, record: on } = now.current;
      if (!on) return;
      const next = { ...on, ...changes };
      const settings = fitted(kit, next, next.settings);
      save(label, on, { ...next, settings }, null, say, () => undefined);
    };
    return {
      choose,
      change,
      apply: ({ words, change: { settings, modeId, partIds } }) => {
        const { settings: set } = now.current;
        if (!set) return;
        change(words, {
          ...(modeId ? { modeId } : {}),
          ...(partIds ? { partIds } : {}),
          settings: { ...set, ...settings },
        });
      },
      turn: (change) => void turnTo(change, false),
      settle: (label, change) => {
        const seen = now.current.record;
        const next = turnTo(change, true);
        const key = `${next?.id ?? ''}:${Object.keys(change).join()}`;
        if (seen && next) save(label, seen, next, key, say, () => setDraft(null));
      },
    };
  }, [choose, now, say]);

  return { record, rig, report, actions };
}
