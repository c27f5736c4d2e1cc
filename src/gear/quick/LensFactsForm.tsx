'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import {
  byRegister,
  type EngravedReading,
  fNumberOfTStop,
  type LensFacts,
  nonsenseIn,
  readEngraving,
  readingWords,
} from '@/core/kit';
import { readQuantity } from '@/core/kit/fields';
import {
  mountHere,
  mountRecord,
  STARTER_MOUNTS,
  isText,
  orNull,
  readTold,
} from '@/core/kit/starter';
import type { Mount, Workspace } from '@/core/kit/records';
import { FORMATS, type FrameSize } from '@/core/optics';
import { LineButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { EntryField } from '@/ui/form/EntryField';
import { FormName, useTold } from '@/ui/form/useTyped';

const Form = styled.div`
  display: grid;
  gap: 6px;
`;

const Understood = styled.p`
  margin: 4px 0 0;
`;

const Reads = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
  margin: 4px 0 0;
`;

/** What was typed or chosen; null where the engraving, or nothing, says it. */
interface Told {
  name: string;
  maker: string;
  mountId: string | null;
  focal: string | null;
  open: string | null;
  formatId: string | null;
}

type Range = [low: number, high: number] | null;

const NOTHING: Told = {
  name: '',
  maker: '',
  mountId: null,
  focal: null,
  open: null,
  formatId: null,
};

const readLens = (text: string | null): Told =>
  readTold(text, NOTHING, {
    name: isText,
    maker: isText,
    mountId: orNull(isText),
    focal: orNull(isText),
    open: orNull(isText),
    formatId: orNull(isText),
  });

/** "18–35" or "50" as two figures; null where it is neither. */
function readRange(text: string, unit: 'mm' | ''): Range {
  const [first = '', second] = text.split(/\s*(?:–|—|-|to)\s*(?=[\d])/);
  const low = readQuantity(first, unit);
  const high = second === undefined ? low : readQuantity(second, unit);
  return low === null || high === null ? null : [Math.min(low, high), Math.max(low, high)];
}

const rangeWords = (low: number | null, high: number | null): string =>
  low === null ? '' : high === null || high === low ? String(low) : `${low}–${high}`;

const inRange = (range: Range, least: number, most: number): Range =>
  range !== null && range[0] >= least && range[1] <= most ? range : null;

/** A speed as typed: an f-number or two, or a T-stop. */
interface Speed {
  fNumbers: Range;
  tStop: number | null;
}

const SPEEDS = [0.5, 128] as const;

function readSpeed(text: string): Speed {
  const isT = /^\s*t/i.test(text);
  const figures = inRange(readRange(text.replace(/^\s*(t|f)\s*\/?/i, ''), ''), ...SPEEDS);
  if (!isT || !figures) return { fNumbers: figures, tStop: null };
  const [tStop] = figures;
  return { fNumbers: [fNumberOfTStop(tStop), fNumberOfTStop(figures[1])], tStop };
}

/** The four facts, as far as they are told. */
interface FourFacts {
  mountId: string | null;
  focal: Range;
  open: Range;
  tStop: number | null;
  format: FrameSize | null;
}

const missingOf = ({ mountId, focal, open, format }: Omit<FourFacts, 'tStop'>): string[] => [
  ...(mountId ? [] : ['its mount']),
  ...(focal ? [] : ['its focal length']),
  ...(open ? [] : ['its widest aperture']),
  ...(format ? [] : ['the format it was made for']),
];

function factsOf(
  { name, maker }: Told,
  { mountId, focal, open, tStop, format }: FourFacts,
): LensFacts | null {
  if (!mountId || !focal || !open || !format) return null;
  return {
    name:
      name.trim() ||
      `${rangeWords(...focal)}${tStop === null ? `/${rangeWords(...open)}` : ` T${tStop}`}`,
    maker: maker.trim(),
    mountId,
    focalMinMm: focal[0],
    focalMaxMm: focal[1],
    openFNumberWide: open[0],
    openFNumberLong: focal[0] === focal[1] ? open[0] : open[1],
    tStop,
    designFormat: { widthMm: format.widthMm, heightMm: format.heightMm },
  };
}

/** What was understood of a lens, in one sentence. */
function understoodWords(facts: LensFacts): string {
  const focal = rangeWords(facts.focalMinMm, facts.focalMaxMm);
  const open = rangeWords(facts.openFNumberWide, facts.openFNumberLong);
  const { widthMm, heightMm } = facts.designFormat;
  const speed = facts.tStop == null ? `f/${open}` : `T${facts.tStop}, about f/${open}`;
  return `Understood: ${focal} mm, ${speed}, made for ${widthMm}×${heightMm}.`;
}

const READS_TWO_WAYS = 'It reads more ways than one. Which is it?';

/** Focal length and speed as if they had been typed. */
const toldBy = ({
  focalMinMm,
  focalMaxMm,
  openFNumberWide,
  openFNumberLong,
  tStop,
}: EngravedReading): Pick<Told, 'focal' | 'open'> => ({
  focal: rangeWords(focalMinMm, focalMaxMm),
  open: tStop === null ? rangeWords(openFNumberWide, openFNumberLong) : `T${tStop}`,
});

/** The facts that stand on a lens, read off its engraving as far as it says them; kept as `name`. */
export function useLensFacts({ mounts, markings }: Workspace, name: string) {
  const [told, tell] = useTold(name, readLens);
  const engraved = useMemo(() => readEngraving(told.name, markings), [told.name, markings]);
  const focalText = told.focal ?? rangeWords(engraved.focalMinMm, engraved.focalMaxMm);
  const openText =
    told.open ??
    (engraved.tStop === null
      ? rangeWords(engraved.openFNumberWide, engraved.openFNumberLong)
      : `T${engraved.tStop}`);
  const speed = readSpeed(openText);
  const marked = engraved.designFormat;
  const onlyMount = mounts.length === 1 ? (mounts[0]?.id ?? null) : null;
  const four: FourFacts = {
    mountId: told.mountId ?? onlyMount,
    focal: inRange(readRange(focalText, 'mm'), 1, 5000),
    open: speed.fNumbers,
    tStop: speed.tStop,
    format: FORMATS.find((f) => f.id === told.formatId) ?? marked,
  };
  const all = factsOf(told, four);
  const nonsense = all && nonsenseIn(all);
  return {
    name,
    told,
    tell,
    engraved,
    focalText,
    openText,
    marked,
    mountId: four.mountId,
    /** Null where something is missing, or makes no sense. */
    facts: nonsense ? null : all,
    missing: missingOf(four),
    nonsense,
    understood: all && understoodWords(all),
  };
}

/** Mounts that are here, and the common ones that are not yet. */
const mountGroups = (mounts: readonly Mount[]) => [
  {
    title: 'By register',
    options: byRegister(mounts).map((m) => ({
      id: m.id,
      label: m.name,
      note: m.aliases.join(', '),
    })),
  },
  {
    title: 'Common, not in the kit yet',
    options: STARTER_MOUNTS.filter((m) => !mountHere(m, mounts)).map((m) => ({
      id: m.id,
      label: m.name,
      note: m.locking,
    })),
  },
];

/** A mount that is not in the kit yet; null for one that is, and for none. */
export function newMountOf(mountId: string, mounts: readonly Mount[]): Mount | null {
  if (mounts.some((m) => m.id === mountId)) return null;
  const starter = STARTER_MOUNTS.find((m) => m.id === mountId);
  return starter ? mountRecord(starter) : null;
}

/** The formats to choose from, the one the marking says before them. */
const formatOptions = (marked: FrameSize | null) => [
  ...(marked
    ? [{ id: 'marked', label: `${marked.widthMm}×${marked.heightMm}`, note: 'by its marking' }]
    : []),
  ...FORMATS.map((f) => ({
    id: f.id,
    label: f.said ?? f.name,
    note: `${f.widthMm} × ${f.heightMm} mm`,
  })),
];

interface LensFactsFormProps {
  workspace: Workspace;
  form: ReturnType<typeof useLensFacts>;
}

/** Four facts: the mount, focal length, widest aperture, and the format it was made for. */
export function LensFactsForm({ workspace, form }: LensFactsFormProps) {
  const { told, tell, engraved, focalText, openText, marked, mountId, nonsense, understood } = form;
  const complain =
    (unit: 'mm' | '', least: number, most: number, words: string) => (text: string) =>
      inRange(readRange(text, unit), least, most) ? null : words;
  return (
    <FormName.Provider value={form.name}>
      <Form>
        <EntryField
          label="What stands on it"
          shown={told.name}
          placeholder="such as 35–70/3.5–4.5"
          complain={() => null}
          onEnter={(name) => tell({ name })}
        />
        {engraved.readings.length > 0 && told.focal === null && (
          <Reads role="group" aria-label={READS_TWO_WAYS}>
            <span>{READS_TWO_WAYS}</span>
            {engraved.readings.map((reading) => (
              <LineButton key={readingWords(reading)} onPress={() => tell(toldBy(reading))}>
                {readingWords(reading)}
              </LineButton>
            ))}
          </Reads>
        )}
        <EntryField
          label="Maker, if you like"
          shown={told.maker}
          complain={() => null}
          onEnter={(maker) => tell({ maker })}
        />
        <Choice
          inForm
          label="Mount"
          groups={mountGroups(workspace.mounts)}
          chosen={mountId}
          onChoose={(id) => tell({ mountId: id })}
        />
        <EntryField
          label="Focal length, mm"
          shown={focalText}
          figure
          placeholder="50, or 35–70"
          complain={complain('mm', 1, 5000, 'A focal length such as 50, or a range such as 35–70.')}
          onEnter={(focal) => tell({ focal })}
        />
        <EntryField
          label="Widest aperture"
          shown={openText}
          figure
          placeholder="1.8, 3.5–4.5, or T2.1"
          complain={(text) =>
            readSpeed(text).fNumbers
              ? null
              : 'An f-number such as 1.8, two such as 3.5–4.5, or a T-stop such as T2.1.'
          }
          onEnter={(open) => tell({ open })}
        />
        <Choice
          inForm
          label="Made for"
          groups={[{ title: 'Format', options: formatOptions(marked) }]}
          chosen={told.formatId ?? (marked ? 'marked' : null)}
          onChoose={(id) => tell({ formatId: id === 'marked' ? null : id })}
        />
        {understood && (
          <Understood role={nonsense ? 'alert' : 'status'}>{nonsense ?? understood}</Understood>
        )}
      </Form>
    </FormName.Provider>
  );
}
