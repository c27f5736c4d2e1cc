'use client';
import { recallInTab, rememberInTab } from '@/store/remembered/remembered';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { readRigQuery, rigQuery } from '@/core/exchange/links';
import type { KitTable } from '@/core/kit/fields';
import type {
  HaloSample,
  Knowledge,
  Lens,
  RigRecord,
  RigSettings,
  Tables,
  Workspace,
} from '@/core/kit/records';
import { evaluate, type Report } from '@/core/rig/report';
import { fitSettings, isMissing, resolveRig, type MissingRecord, type Rig } from '@/core/rig';
import { withSeen } from '@/core/rig/judged';
import type { Way } from '@/core/rig/search';
import { db } from '@/store/database/instance';
import { stored, type Tell } from '../tell';
import { commit, edited, type Write } from '@/store/changes/journal';
import { chosenLately } from '@/store/remembered/lately';
import { lastRig, rememberRig } from '@/store/remembered/lastRig';
import { useLatest } from '@/ui/useLatest';

/** Settings being turned. They hold for one stored record only: a new one from the database ends them. */
interface Draft {
  record: RigRecord;
  settings: RigSettings;
  /** As this page last gave them to be stored: what the next change starts from, stored yet or not. */
  given: RigSettings;
  settled: boolean;
  /** The settings a link told, while nothing has been stored since. */
  linked: RigSettings | null;
}

/** Records that come into the kit. */
type NewGear = { readonly [T in KitTable]?: readonly Tables[T][] };

const GEAR_TABLES = ['mounts', 'bodies', 'lenses', 'parts'] as const;

const withGear = (kit: Workspace, gear: NewGear): Workspace => ({
  ...kit,
  bodies: [...kit.bodies, ...(gear.bodies ?? [])],
  lenses: [...kit.lenses, ...(gear.lenses ?? [])],
  parts: [...kit.parts, ...(gear.parts ?? [])],
});

const writesOf = (gear: NewGear): Write[] =>
  GEAR_TABLES.flatMap((table) =>
    (gear[table] ?? []).map((record): Write => ({ table, id: record.id, after: record })),
  );

/** What can be done with the rig in hand. The same functions for as long as it stands. */
export interface BenchActions {
  choose: (rigId: string) => void;
  /** Shows a setting without keeping it. */
  turn: (change: Partial<RigSettings>) => void;
  /** Keeps a setting as one step to undo. */
  settle: (label: string, change: Partial<RigSettings>) => void;
  /** Changes which records the rig joins, or its name, with records that come into the kit for it. */
  change: (label: string, change: Partial<RigRecord>, newGear?: NewGear) => void;
  /** Takes a way out as one step. */
  apply: (way: Way) => void;
  /** Keeps what somebody knows of the rig's lens. */
  learn: (lens: Lens, known: Knowledge) => void;
  /** Keeps what a camera showed of the lens's halo, and says so. */
  see: (lens: Lens, sample: HaloSample) => void;
}

export interface Bench {
  record: RigRecord | null;
  /** How it is set now; its record follows when that is stored. */
  settings: RigSettings | null;
  /** The rig as it is set now, or what it lacks. */
  rig: Rig | MissingRecord | null;
  report: Report | null;
  actions: BenchActions;
}

const SHOWN_AS_LINKED =
  'Shown as the link says. The rig is kept as it was until something on it is changed.';

/** The last state of which that was said, in this tab: whoever reads it again after a reload has read it. */
const LAST_TOLD = 'wandering-halo-link-told';

/** The settings of a rig as they can be on its own lens and mode. */
function fitted(workspace: Workspace, record: RigRecord, settings: RigSettings): RigSettings {
  const lens = workspace.lenses.find((l) => l.id === record.lensId);
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  const mode = body?.modes.find((m) => m.id === record.modeId);
  const parts = record.partIds.flatMap((id) => workspace.parts.find((p) => p.id === id) ?? []);
  return body && lens && mode ? fitSettings(settings, { body, lens, mode, parts }) : settings;
}

/** Stores changes as one step; what is shown ahead of it is taken back where that fails. */
const save = (
  label: string,
  changes: readonly Write[],
  tell: Tell,
  { mergeKey = null, takeBack }: { mergeKey?: string | null; takeBack?: () => void } = {},
) =>
  stored(tell, () =>
    commit(db, label, changes, { mergeKey }).catch((error: unknown) => {
      takeBack?.();
      throw error;
    }),
  );

/** A lens of which something more is known. */
const learned = (lens: Lens, known: Knowledge): Write =>
  edited('lenses', lens, { ...lens, knowledge: [...lens.knowledge, known] });

interface Arrival {
  workspace: Workspace;
  choose: (id: string) => void;
  /** Shows a rig otherwise set than it is stored. */
  show: (record: RigRecord, settings: RigSettings) => void;
  tell: Tell;
}

/** Opens the rig the address names, once the workspace is there, and shows it set as the address says. */
function useArrival({ workspace, choose, show, tell }: Arrival): boolean {
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
      const query = rigQuery(record.id, settings);
      if (query !== rigQuery(record.id, record.settings)) {
        show(record, settings);
        // Said once of a state: whoever goes from room to room has read it.
        if (query !== recallInTab(LAST_TOLD)) tell({ kind: 'said', text: SHOWN_AS_LINKED });
        rememberInTab(LAST_TOLD, query);
      }
    } else {
      if (link) {
        const text = `The link asks for a rig that is not in this workspace (“${link.rigId}”).`;
        tell({ kind: 'trouble', text });
      }
      const last = lastRig();
      if (last !== null) choose(last);
    }
    setArrived(true);
  }, [workspace, choose, show, tell]);
  return arrived;
}

/** Keeps the address pointing at the rig as it is set, and at what else the room shows of it. */
function useAddress(
  record: RigRecord | null,
  settings: RigSettings | null,
  also: string,
  ready: boolean,
): void {
  const query = record && settings ? `${rigQuery(record.id, settings)}${also}` : '';
  useEffect(() => {
    if (!ready) return;
    const search = query ? `?${query}` : '';
    if (window.location.search !== search) {
      window.history.replaceState(window.history.state, '', `${window.location.pathname}${search}`);
    }
  }, [query, ready]);
}

/** The rig in hand and how it is set, stored yet or not. */
function useInHand({ rigs }: Workspace) {
  const [rigId, setRigId] = useState<string | null>(null);
  const [draft, setDraft] = useState<Draft | null>(null);
  const choose = useCallback((id: string) => {
    setRigId(id);
    setDraft(null);
    rememberRig(id);
  }, []);
  const show = useCallback(
    (record: RigRecord, settings: RigSettings) =>
      setDraft({ record, settings, given: record.settings, settled: true, linked: settings }),
    [],
  );
  const record = rigs.find((r) => r.id === rigId) ?? rigs[0] ?? null;
  const asStored: Draft | null = record && {
    record,
    settings: record.settings,
    given: record.settings,
    settled: true,
    linked: null,
  };
  return { inHand: draft && draft.record === record ? draft : asStored, setDraft, choose, show };
}

/** The rig in hand, as the Bench and the rooms that look at it more closely turn it; `also` goes into their address. */
export function useBench(workspace: Workspace, tell: Tell, also = ''): Bench {
  const { inHand, setDraft, choose, show } = useInHand(workspace);
  const arrived = useArrival({ workspace, choose, show, tell });
  const record = inHand?.record ?? null;
  const settings = inHand?.settings ?? null;
  useAddress(record, settings, also, arrived && (inHand?.settled ?? true));

  const rig = useMemo(
    () => (record && settings ? resolveRig(workspace, { ...record, settings }) : null),
    [workspace, record, settings],
  );
  const report = useMemo(() => (rig && !isMissing(rig) ? evaluate(rig) : null), [rig]);

  const now = useLatest({ workspace, inHand });

  const actions = useMemo<BenchActions>(() => {
    /** The rig as a change finds it; what a link set becomes a step of its own first, to be come back to. */
    const found = ({ record: on, given, linked }: Draft): RigRecord => {
      const seen = { ...on, settings: given };
      if (!linked) return seen;
      const set = { ...on, settings: linked };
      save('Set as the link says', [edited('rigs', seen, set)], tell);
      return set;
    };
    const turnTo = (on: Draft, change: Partial<RigSettings>, settled: boolean): RigRecord => {
      const settings = fitted(now.current.workspace, on.record, { ...on.settings, ...change });
      setDraft(
        settled
          ? { ...on, settings, given: settings, settled, linked: null }
          : { ...on, settings, settled },
      );
      return { ...on.record, settings };
    };
    const changeWith = (label: string, changes: Partial<RigRecord>, gear: NewGear = {}) => {
      const { workspace: kit, inHand: on } = now.current;
      if (!on) return;
      const seen = found(on);
      const next = { ...seen, settings: on.settings, ...changes };
      const settings = fitted(withGear(kit, gear), next, next.settings);
      const { lensId, bodyId, partIds } = changes;
      chosenLately([lensId, bodyId, ...(partIds ?? [])].filter((id) => id !== undefined));
      save(label, [...writesOf(gear), edited('rigs', seen, { ...next, settings })], tell);
    };
    return {
      choose,
      change: changeWith,
      apply: ({ words, change: { settings, modeId, partIds, newPart } }) => {
        const { inHand: on } = now.current;
        if (!on) return;
        const changes = {
          ...(modeId ? { modeId } : {}),
          ...(partIds ? { partIds } : {}),
          settings: { ...on.settings, ...settings },
        };
        changeWith(words, changes, newPart ? { parts: [newPart] } : {});
      },
      learn: (lens, known) => save('Say what the lens does', [learned(lens, known)], tell),
      see: (lens, sample) => {
        const halo = withSeen(lens.halo, sample);
        save('Say what a camera shows', [edited('lenses', lens, { ...lens, halo })], tell);
        tell({
          kind: 'said',
          text: `${lens.name} has a sample seen by eye. Test frames say more; undo takes it out again.`,
        });
      },
      turn: (change) => {
        const { inHand: on } = now.current;
        if (on) turnTo(on, change, false);
      },
      settle: (label, change) => {
        const { inHand: on } = now.current;
        if (!on) return;
        const seen = found(on);
        const next = turnTo(on, change, true);
        save(label, [edited('rigs', seen, next)], tell, {
          mergeKey: `${next.id}:${Object.keys(change).join()}`,
          takeBack: () => setDraft(null),
        });
      },
    };
  }, [choose, now, setDraft, tell]);

  return { record, settings, rig, report, actions };
}
