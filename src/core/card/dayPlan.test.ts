import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import { dayOf } from '../kit/records';
import { dayPlan, daysInOrder, rigsOfDay } from './dayPlan';

const day = (rigIds: string[]) => dayOf({ id: 'd', name: 'D', rigIds });
const planOf = (rigIds: string[], workspace = tideMill) =>
  dayPlan(rigsOfDay(workspace, day(rigIds)));

describe('a day', () => {
  it('packs each piece once, however many rigs share it, and says for which', () => {
    const { pack, massG } = planOf(['gears-close', 'lamplight', 'gears-close']);
    const body = pack.find((row) => row.kind === 'body');
    expect(body).toMatchObject({ count: 1, forRigs: [1, 2, 3] });
    expect(pack.map((row) => row.kind)).toEqual(['body', 'lens', 'lens', 'part', 'part']);
    expect(massG).toBe(pack.reduce((sum, row) => sum + (row.massG ?? NaN), 0));
  });

  it('packs as many of a piece as one rig holds', () => {
    const twice = {
      ...tideMill,
      rigs: tideMill.rigs.map((r) =>
        r.id === 'gears-close' ? { ...r, partIds: [...r.partIds, ...r.partIds] } : r,
      ),
    };
    const part = planOf(['gears-close', 'lamplight'], twice).pack.find((row) => row.count > 1);
    expect(part).toMatchObject({ kind: 'part', count: 2, forRigs: [1] });
  });

  it('a piece without a mass makes the mass unknown, never less', () => {
    const lenses = tideMill.lenses.map((l) => ({ ...l, massG: null }));
    const plan = planOf(['gears-close', 'lamplight'], { ...tideMill, lenses });
    expect(plan.massG).toBeNull();
    expect(plan.massWords).toBe('not known: 2 pieces without a known mass');
  });

  it('asks for tests of what nobody measured first, the likeliest to fail before the others', () => {
    const { tests } = planOf(tideMill.rigs.map((r) => r.id));
    const unmeasured = tests.filter((t) => t.evidence !== 'measured');
    expect(tests.slice(0, unmeasured.length)).toEqual(unmeasured);
    const risks = unmeasured.map((t) => t.risk);
    expect(risks).toEqual(risks.toSorted((a, b) => b - a));
    expect(unmeasured.length).toBeGreaterThan(1);
  });

  it('says of each rig how it stands, and whose rear glass is to be measured before it is mounted', () => {
    const lenses = tideMill.lenses.map((l) =>
      l.id === tideMill.rigs.find((r) => r.id === 'lamplight')!.lensId
        ? { ...l, rearProtrusionMm: null }
        : { ...l, rearProtrusionMm: 0 },
    );
    const { standings, rearGlass } = planOf(['gears-close', 'nowhere', 'lamplight'], {
      ...tideMill,
      lenses,
    });
    expect(standings[0]).toMatch(
      /^(Clear|Shaded|Clipped|Keyhole), risk .* %, (measured|published|estimated)$/,
    );
    expect(standings[1]).toBeNull();
    expect(rearGlass).toHaveLength(1);
    expect(planOf(['gears-close'], { ...tideMill, lenses }).rearGlass).toEqual([]);
    // What does not go together is said before its corners.
    const mounts = tideMill.mounts.map((m) => ({ ...m, id: m.id }));
    const apart = planOf(['gears-close'], {
      ...tideMill,
      mounts,
      lenses: lenses.map((l) => ({ ...l, mountId: 'nothing-else-has-it' })),
    });
    expect(apart.standings[0]).toMatch(/^Does not join; /);
  });

  it('says which rigs it has lost, and stands with the others', () => {
    const lenses = tideMill.lenses.filter((l) => l.id !== 'b100');
    const { rigs, pack } = planOf(['gears-close', 'nowhere', 'lamplight'], { ...tideMill, lenses });
    expect(rigs.map((r) => r.lacks)).toEqual(['lens', 'record', null]);
    expect(pack.every((row) => row.forRigs.includes(3))).toBe(true);
  });

  it('comes by its date, without one last', () => {
    const days = [
      dayOf({ id: 'a', name: 'Some time' }),
      dayOf({ id: 'b', name: 'Second', date: '2026-06-03' }),
      dayOf({ id: 'c', name: 'First', date: '2026-06-02' }),
    ];
    expect(daysInOrder(days).map((d) => d.name)).toEqual(['First', 'Second', 'Some time']);
  });
});
