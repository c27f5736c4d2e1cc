import { describe, expect, it } from 'vitest';
import { NO_ELECTRONICS, type Lens } from '../../kit/records';
import { tideMill } from '../../demo';
import { demoRig } from '../../../../tests/support/demo';
import { addOffers, bodyOffers, lensOffers, swapOffers } from './offers';

const { parts, lenses, bodies } = tideMill;
const wheelHouse = demoRig('wheel-house-wide');
const named = <T extends { record: { id: string } }>(offers: readonly T[], id: string): T =>
  offers.find((o) => o.record.id === id)!;

describe('what could stand in a place', () => {
  it('offers every part once, best grade first', () => {
    const offers = swapOffers(wheelHouse, 0, parts);
    expect(offers.map((o) => o.record.id).sort()).toEqual(parts.map((p) => p.id).sort());
    const order = offers.map((o) => ['fits', 'with a catch', 'does not fit'].indexOf(o.grade));
    expect(order).toEqual(order.toSorted((a, b) => a - b));
  });

  it('a part with the mounts of the one it replaces fits; one without says which side fails', () => {
    const offers = swapOffers(wheelHouse, 0, parts);
    expect(named(offers, 'p44-18').grade).toBe('fits');
    expect(named(offers, 'p46-18')).toMatchObject({
      grade: 'does not fit',
      reasons: ['the lens side has SLR bayonet 44.00'],
    });
    expect(named(offers, 't14').reasons).toContain('the body side takes Mirrorless bayonet 18.00');
  });

  it('judges only the joints of the place, not what is wrong elsewhere', () => {
    const torn = { ...wheelHouse, parts: [parts.find((p) => p.id === 'p46-18')!] };
    // The lens has 44.00 and the adapter takes 46.50, whatever body is behind.
    expect(named(bodyOffers(torn, bodies), 'h24').grade).not.toBe('does not fit');
    expect(named(lensOffers(torn, lenses), 'w1835').reasons).toEqual([
      'the body side takes SLR bayonet 46.50',
    ]);
  });
});

describe('a lens with a tab on its mount', () => {
  it('is kept off what refuses it, may be off what does not say, and that alone is said', () => {
    const rig = demoRig('reed-bank');
    const offers = swapOffers(rig, 0, parts);
    // The reducer takes it, the plain adapter does not say.
    expect(JSON.stringify(named(offers, 'r71-44-18').reasons)).not.toContain('tab');
    expect(named(offers, 'p44-18').reasons.join()).toContain('may keep it off: look at both');
    const waders = demoRig('waders-at-dawn');
    expect(named(lensOffers(waders, lenses), 'b1224').reasons[0]).toBe(
      'a tab on the lens’s mount keeps it off',
    );
    // Elsewhere in that train nothing is wrong.
    const withIt = { ...waders, lens: lenses.find((l) => l.id === 'b1224')! };
    expect(named(bodyOffers(withIt, bodies), 'h24').reasons.join()).not.toContain('tab');
  });
});

describe('lenses among many', () => {
  it('each is offered as it would be alone', () => {
    const alike: Lens[] = lenses.flatMap((lens) => [
      lens,
      { ...lens, id: `${lens.id} deep`, rearProtrusionMm: 30 },
      { ...lens, id: `${lens.id} unmeasured`, rearProtrusionMm: null },
      { ...lens, id: `${lens.id} bare`, electronics: NO_ELECTRONICS, apertureRing: 'none' },
      { ...lens, id: `${lens.id} unknown`, estimated: ['electronics'] },
      { ...lens, id: `${lens.id} ring`, electronics: NO_ELECTRONICS, apertureRing: 'own ring' },
    ]);
    const together = lensOffers(wheelHouse, alike);
    expect(together).toHaveLength(alike.length);
    for (const lens of alike)
      expect(named(together, lens.id)).toEqual(lensOffers(wheelHouse, [lens])[0]);
    expect(new Set(together.map((o) => o.reasons.join())).size).toBeGreaterThan(5);
  });
});

describe('where a part would be put in', () => {
  it('a teleconverter goes between lens and adapter, where its mounts are', () => {
    const plain = demoRig('gears-close');
    expect(named(addOffers(plain, parts), 't14')).toMatchObject({ index: 0 });
    expect(named(addOffers(plain, parts), 't14').grade).not.toBe('does not fit');
  });

  it('a front converter goes before all that stands behind the lens', () => {
    const front = addOffers(wheelHouse, parts).find((o) => o.record.kind === 'front converter')!;
    expect(wheelHouse.parts.length).toBeGreaterThan(0);
    expect(front.index).toBe(0);
  });

  it('an extension tube fits with the catch that infinity is gone', () => {
    const plain = demoRig('gears-close');
    const tube = addOffers(plain, parts).find((o) => o.record.kind === 'extension tube')!;
    expect(tube.grade).toBe('with a catch');
    expect(tube.reasons.join()).toMatch(/in focus to [\d.]+ m only, never at infinity/);
  });

  it('rear glass that would strike rules a part out', () => {
    const reducer = parts.find((p) => p.id === 'r71-44-18')!;
    const deep = { ...wheelHouse, lens: { ...wheelHouse.lens, rearProtrusionMm: 6.2 } };
    const offer = swapOffers(deep, 0, [{ ...reducer, clearDepthMm: 5 }])[0]!;
    expect(offer.grade).toBe('does not fit');
    expect(offer.reasons).toEqual(['rear glass stands 6.2 mm deep, 5.0 mm are free']);
    expect(swapOffers(deep, 0, [{ ...reducer, clearDepthMm: 7 }])[0]!.grade).not.toBe(
      'does not fit',
    );
  });
});
