/** A card of a rig that is off the middle, cropped, shifted and close, with its arithmetic beside each figure. */
import { describe, expect, it } from 'vitest';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { bodyOf, modeOf } from '../kit/records';
import { evaluate } from '../rig/report';
import { turned, type Rig } from '../rig';
import { dayPlan } from './dayPlan';
import { rigCard } from './rigCard';

const TODAY = '2026-06-01';
const plain = plainRig();
const adapter = partOf('shift adapter', { id: 'shift', shiftMm: 12, massG: 150 });
const rig: Rig = turned(
  {
    ...plain,
    parts: [adapter],
    mode: modeOf({
      ...plain.mode,
      middleXMm: 2.4,
      middleYMm: -1.1,
      crops: [
        { id: 'told', name: 'electronic', nominal: 1.1, measured: null },
        { id: 'seen', name: 'electronic, walking', nominal: 1.3, measured: 1.37 },
      ],
    }),
  },
  { shiftYMm: -8, shiftXMm: 0, postScale: 1.084, digitalZoom: 1.5, cropId: 'seen', aspect: 2.2 },
);
const card = (of: Rig) => rigCard(of, '', TODAY);
const dial = (of: Rig, name: string) => card(of).dials.find((d) => d.name === name);
const line = (of: Rig, title: string, name: string) =>
  card(of)
    .sections.find((s) => s.title === title)
    ?.lines.find((l) => l.name === name);
const notes = (of: Rig, title: string) =>
  card(of)
    .sections.find((s) => s.title === title)
    ?.notes.join(' ') ?? '';

describe('what is dialled', () => {
  it('tells a crop as it was measured, or as its maker states it', () => {
    expect(dial(rig, 'Stabilisation crop')?.note).toBe('× 1.37, measured');
    const told = turned(rig, { cropId: 'told' });
    expect(dial(told, 'Stabilisation crop')?.note).toBe('× 1.10, as its maker states');
  });

  it('tells a shift by where it goes, and a scale-up no smaller than it has to be', () => {
    expect(dial(rig, 'Shift')?.figure).toBe('8.0 mm up');
    expect(dial(turned(rig, { shiftXMm: -3 }), 'Shift')?.figure).toBe('3.0 mm left, 8.0 mm up');
    expect(dial(rig, 'Scale up in post')?.figure).toBe('8.4 %');
    expect(dial(turned(rig, { postScale: 1.08401 }), 'Scale up in post')?.figure).toBe('8.5 %');
    expect(dial(rig, 'Deliver')?.figure).toBe('2.20:1');
  });

  it('leaves the stabiliser out of a body that has none, and says off where it is off', () => {
    const still = bodyOf({ ...plain.body, sensorTravel: null });
    expect(dial({ ...rig, body: still }, 'Stabiliser')).toBeUndefined();
    expect(dial(rig, 'Stabiliser')?.figure).toBe('off, locked');
  });
});

describe('what the corners do', () => {
  it('stands beside where the read-out lies', () => {
    expect(line(rig, 'Corners', 'Frame')?.note).toBe(
      '2.4 mm right, 1.1 mm up of the sensor’s middle',
    );
    expect(line(plain, 'Corners', 'Frame')?.note).toBeUndefined();
  });

  it('tells the end of the travel where the frame moves', () => {
    // An electronic crop moves the frame by itself.
    expect(line(rig, 'Corners', 'Darkest corner')?.note).toBe(
      'electronic stabilisation at its end',
    );
    const still = turned(rig, { cropId: null });
    expect(line(still, 'Corners', 'Darkest corner')?.note).toBeUndefined();
    expect(notes(still, 'Corners')).not.toMatch(/Standing still/);
    expect(notes(rig, 'Corners')).toMatch(/Standing still/);
  });

  it('are those of the report, whatever the rig', () => {
    const { coverage } = evaluate(rig);
    expect(line(rig, 'Corners', 'Halo')?.figure).toBe(
      `⌀ ${(2 * coverage.radiiMm.half).toFixed(1)} mm`,
    );
    expect(line(rig, 'Corners', 'Halo')?.note).toBe(
      `black ⌀ ${(2 * coverage.radiiMm.black).toFixed(1)} mm`,
    );
  });
});

describe('light on a card', () => {
  const reducer = (more = {}) =>
    plainRig({ parts: [partOf('focal reducer', { factor: 0.71, thicknessMm: 21, ...more })] });

  it('is with the glass where that is known: 0.71 and 0.9 of the light are +0.84 stop, ISO ÷ 1.79', () => {
    // -2 log2 0.71 = 0.9882; log2 0.9 = -0.1520; 2^0.8362 = 1.785.
    const known = reducer({ transmission: 0.9 });
    expect(line(known, 'Light', 'Light')?.figure).toBe('+0.84 stop');
    expect(line(known, 'Light', 'ISO for the same exposure')?.figure).toBe('÷ 1.79');
    // T2 behind it: 2 x 0.71 / sqrt 0.9 = 1.497.
    expect(line(known, 'Light', 'T-stop')?.figure).toBe('T1.50');
    expect(line(reducer(), 'Light', 'T-stop')).toBeUndefined();
  });

  it('behind an expander says that what people say is not what it is', () => {
    const expander = plainRig({ parts: [partOf('expander', { factor: 1.6, thicknessMm: 33 })] });
    expect(line(expander, 'Light', 'Light')?.figure).toBe('−1.36 stops');
    expect(line(expander, 'Light', 'ISO for the same exposure')?.figure).toBe('× 2.56');
    expect(notes(expander, 'Light')).toBe('Often said to be −1.0 stop.');
    expect(notes(reducer(), 'Light')).toBe('');
  });

  it('at this distance is told where closeness costs some', () => {
    // 50 mm at m = 0.1, P 1: N(1 + 0.1) = 2.2.
    const near = turned(plain, { focusM: 0.05 * 12.1 });
    expect(line(near, 'Light', 'At this distance')?.figure).toBe('f/2.2');
    expect(line(plain, 'Light', 'At this distance')).toBeUndefined();
  });
});

describe('a day', () => {
  const row = (of: Rig, name: string) => ({ id: name, name, rig: of, lacks: null, note: '' });

  it('weighs what is packed once, and says what has no mass', () => {
    const body = bodyOf({ ...plain.body, massG: 700 });
    const one = { ...rig, body };
    const two = { ...plain, body, parts: [{ ...adapter, id: 'another', massG: 90 }] };
    // 700 + 300 for the lens both share + 150 + 90.
    expect(dayPlan([row(one, 'one'), row(two, 'two')]).massG).toBe(1240);
    const unknown = { ...two, parts: [{ ...adapter, id: 'another', massG: null }] };
    const plan = dayPlan([row(one, 'one'), row(unknown, 'two')]);
    expect(plan.massG).toBeNull();
    expect(plan.massWords).toMatch(/1 piece without a known mass/);
  });

  it('asks no test of a lens that was measured well, and one of a guess', () => {
    const guess = { ...plain, lens: { ...plain.lens, id: 'guess', halo: [] } };
    const plan = dayPlan([row(plain, 'known'), row(guess, 'guessed')]);
    expect(plan.tests.map((t) => [t.rigName, t.evidence])).toEqual([['guessed', 'estimated']]);
  });
});
