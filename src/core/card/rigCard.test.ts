import { verdictWords } from '../frame';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { plainRig } from '../../../tests/support/plainRig';
import { tideMill } from '../demo';
import { evaluate } from '../rig/report';
import { turned, type Rig } from '../rig';
import { sweepAnswer } from '../sweep';
import { rigCard } from './rigCard';

const TODAY = '2026-06-01';
const cardOf = (rig: Rig) => rigCard(rig, '', TODAY);
const figure = (rig: Rig, name: string) => cardOf(rig).dials.find((d) => d.name === name)?.figure;
const section = (rig: Rig, title: string) => cardOf(rig).sections.find((s) => s.title === title);

describe('a rig’s card', () => {
  it('says what to dial as the barrel and the body have it', () => {
    const rig = turned(demoRig('wheel-house-wide'), { focalMm: 28, fNumber: 2.8, focusM: 3 });
    expect(figure(rig, 'Zoom')).toBe('28 mm');
    expect(figure(rig, 'Aperture ring')).toBe('f/2.8');
    expect(figure(rig, 'Focus')).toBe('3.00 m');
    expect(figure(rig, 'Deliver')).toBe('16:9');
    // 28 x 0.71 = 19.88; the menu offers 20.
    expect(figure(rig, 'Stabiliser')).toBe('on, 20 mm');
  });

  it('names digital zoom, crops, scale-up, shift and helicoid where they are not at rest, and not else', () => {
    expect(cardOf(plainRig()).dials.map((d) => d.name)).toEqual([
      'Focal length',
      'Aperture ring',
      'Focus',
      'Deliver',
      'Stabiliser',
    ]);
    const rig = turned(plainRig(), { digitalZoom: 1.5, cropId: 'active', postScale: 1.1 });
    expect(figure(rig, 'Digital zoom')).toBe('× 1.5');
    expect(figure(rig, 'Stabilisation crop')).toBe('electronic');
    expect(figure(rig, 'Scale up in post')).toBe('10.0 %');
  });

  it('says nothing of cover that the Bench does not say', () => {
    for (const { id } of tideMill.rigs) {
      const rig = demoRig(id);
      const report = evaluate(rig);
      const card = cardOf(rig);
      expect(verdictWords(card.verdict)).toBe(verdictWords(report.verdict));
      expect(card.sentence).toBe(report.verdict.sentence);
      expect(card.risk).toContain(report.halo.evidence.kind);
      expect(card.window?.windows ?? []).toEqual(card.window ? sweepAnswer(rig).now.windows : []);
    }
  });

  it('calls windows unsure where nobody measured the halo', () => {
    const rigs = tideMill.rigs.map((r) => demoRig(r.id));
    for (const rig of rigs) {
      const { kind } = evaluate(rig).halo.evidence;
      const safe = cardOf(rig).sections.find((s) => s.title.startsWith('Safe'));
      expect(safe?.notes.some((n) => n.includes('not measured'))).toBe(kind !== 'measured');
    }
  });

  it('tells the stabiliser at every zoom mark, where the lens tells it nothing', () => {
    const rig = demoRig('wheel-house-wide');
    const mute = {
      ...rig,
      parts: rig.parts.map((p) => ({
        ...p,
        electronics: { focus: false, aperture: false, metadata: false, stabiliser: false },
      })),
    };
    const lines = section(mute, 'Stabiliser entry')?.lines ?? [];
    expect(lines[0]).toMatchObject({ name: 'at 18 mm' });
    expect(lines.at(-1)?.name).toBe('at 35 mm');
    // 18 x 0.71 = 12.78: the menu's nearest is 12; 35 x 0.71 = 24.85: 24.
    expect([lines[0]?.figure, lines.at(-1)?.figure]).toEqual(['12 mm', '24 mm']);
    expect(section(rig, 'Stabiliser entry')).toBeUndefined();
  });

  it('says how corners are graded: not at all, by how much, or never', () => {
    const notes = (rig: Rig) => section(rig, 'Corners')?.notes.join(' ') ?? '';
    expect(notes(demoRig('lantern-room'))).toContain('no grading brings it back');
    expect(notes(demoRig('lamplight'))).toContain('Lift by 2.9 stops');
    const inside = turned(demoRig('wheel-house-wide'), { focalMm: 28 });
    expect(notes(inside)).toContain('Standing still: nothing to lift.');
  });

  it('puts what does not go together before all cover', () => {
    const bare = { ...demoRig('waders-at-dawn'), parts: [] };
    expect(cardOf(bare).fitProblem).toBe('Does not join');
    expect(cardOf(bare).sentence).toContain('If it went together:');
  });
});
