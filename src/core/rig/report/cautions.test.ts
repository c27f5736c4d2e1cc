import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { partOf, plainRig } from '../../../../tests/support/plainRig';
import { tideMill } from '../../demo';
import { NO_ELECTRONICS, type Body, type Lens, type Part } from '../../kit/records';
import { fitOf, turned, type Rig } from '../../rig';
import { CAUTION_IDS, cautionsFor } from './cautions';
import { evaluate } from './evaluate';

const dead = (kind: Part['kind'], more: Partial<Part> = {}) =>
  partOf(kind, { electronics: NO_ELECTRONICS, ...more });

function cautions(lens: Partial<Lens> = {}, parts: Part[] = []) {
  const rig = plainRig({ lens, parts });
  return cautionsFor(rig, fitOf(rig));
}
const ids = (lens: Partial<Lens> = {}, parts: Part[] = []) =>
  cautions(lens, parts).map((c) => c.id);

describe('cautions', () => {
  it('there are none for a light lens straight on a body', () => {
    expect(ids()).toEqual([]);
  });

  it('the sun burns from 200 mm on, extenders counted in, and through any reducer', () => {
    expect(ids({ focalMaxMm: 199 })).not.toContain('sun');
    expect(ids({ focalMaxMm: 200 })).toContain('sun');
    expect(
      ids({ focalMaxMm: 100 }, [dead('teleconverter', { factor: 2, clearDepthMm: 9 })]),
    ).toContain('sun');
    expect(ids({}, [dead('plain adapter')])).not.toContain('sun');
    expect(ids({}, [dead('focal reducer', { factor: 0.7, clearDepthMm: 9 })])).toContain('sun');
    expect(ids({}, [dead('teleconverter', { factor: 1.4, clearDepthMm: 9 })])).not.toContain('sun');
    expect(cautions({ focalMaxMm: 400 })[0]?.why).toBe('400 mm gathers the sun into a hot point.');
  });

  it('a lens is heavy from 1.2 kg on, parts counted in', () => {
    const heavy = (massG: number, partG: number | null) =>
      ids({ massG }, [dead('plain adapter', { massG: partG })]);
    expect(heavy(1199, null)).not.toContain('support');
    expect(heavy(1200, null)).toContain('support');
    expect(heavy(1000, 200)).toContain('support');
    expect(heavy(5000, 200)).not.toContain('overhead');
    const said = cautions({ massG: 1250 }).find((c) => c.id === 'support');
    expect(said).toMatchObject({ at: 'lens', why: 'Lens and parts weigh 1.3 kg.' });
  });

  it('a rig that hangs overhead or rides on a vehicle is minded, however light', () => {
    const rig = plainRig({ settings: { overhead: true } });
    const found = cautionsFor(rig, fitOf(rig)).find((c) => c.id === 'overhead');
    expect(found).toMatchObject({ at: 'body' });
  });

  it('tolerances are minded where adapters stand in a row or miss the registers, not at every adapter', () => {
    const plain = dead('plain adapter');
    expect(ids({}, [plain])).not.toContain('tolerance');
    expect(ids({}, [{ ...plain, thicknessMm: 26.05 }])).not.toContain('tolerance');
    expect(ids({}, [{ ...plain, thicknessMm: 26.2 }])).toContain('tolerance');
    expect(ids({}, [plain, { ...plain, thicknessMm: 0 }])).toContain('tolerance');
  });

  it('unknown rear glass is minded behind any adapter, and where its room is not known', () => {
    const glass = dead('focal reducer', { factor: 0.7, thicknessMm: 20, clearDepthMm: 5 });
    expect(ids({ rearProtrusionMm: null }, [glass])).toContain('strike unknown');
    expect(ids({ rearProtrusionMm: null }, [dead('plain adapter')])).toContain('strike unknown');
    expect(ids({ rearProtrusionMm: null }, [])).not.toContain('strike unknown');
    const silent = cautions({ rearProtrusionMm: 2 }, [{ ...glass, clearDepthMm: null }]);
    expect(silent.find((c) => c.id === 'strike unknown')?.at).toBe(0);
  });

  it('power is minded where a part carries focus or aperture, and only there', () => {
    const carrying = (electronics: Partial<Part['electronics']>) =>
      ids({}, [dead('plain adapter', { electronics: { ...NO_ELECTRONICS, ...electronics } })]);
    expect(carrying({ focus: true })).toContain('power');
    expect(carrying({ aperture: true })).toContain('power');
    expect(carrying({ metadata: true })).not.toContain('power');
  });

  it('stand at the part they are about', () => {
    const parts = [
      dead('extension tube', { rearMountId: 'slr' }),
      dead('focal reducer', { factor: 0.7, thicknessMm: 20, clearDepthMm: 3 }),
    ];
    const found = cautions({ rearProtrusionMm: 16 }, parts);
    expect(found.find((c) => c.id === 'sun')?.at).toBe(1);
    expect(found.find((c) => c.id === 'tolerance')?.at).toBe(1);
  });

  it('old glass that is marked so is minded', () => {
    expect(ids({ radioactive: true })).toEqual(['radioactive']);
  });

  it('a tab is minded where nobody told whether it goes on, and keeps the lens off where it does not', () => {
    const tabbed = (takesTab: Part['takesTab']) =>
      plainRig({ lens: { mountTab: true }, parts: [dead('plain adapter', { takesTab })] });
    const said = (rig: Rig) => cautionsFor(rig, fitOf(rig)).find((c) => c.id === 'tab');
    expect(said(tabbed('not told'))).toMatchObject({ at: 0 });
    expect(said(tabbed('yes'))).toBeUndefined();
    expect(fitOf(tabbed('yes')).joints).toEqual([]);
    expect(said(tabbed('no'))).toBeUndefined();
    expect(fitOf(tabbed('no')).joints[0]?.sentence).toMatch(
      /^The tab on the mount of .* keeps it off /,
    );
    // Common practice, no source: what stands farther back does not meet the tab.
    const behind = plainRig({
      lens: { mountTab: true },
      parts: [
        dead('extension tube', { rearMountId: 'slr', takesTab: 'yes' }),
        dead('plain adapter', { takesTab: 'no' }),
      ],
    });
    expect(fitOf(behind).joints).toEqual([]);
    const none = plainRig({ parts: [dead('plain adapter', { takesTab: 'no' })] });
    expect(fitOf(none).joints).toEqual([]);
  });

  it('a digital zoom is minded where the body may refuse it to a lens it does not know', () => {
    const at = (digitalZoomWith: Body['digitalZoomWith'], metadata: boolean) => {
      const rig = turned(
        plainRig({
          body: { digitalZoomWith },
          parts: [dead('plain adapter', { electronics: { ...NO_ELECTRONICS, metadata } })],
        }),
        { digitalZoom: 1.5 },
      );
      return {
        zoom: rig.settings.digitalZoom,
        isMinded: cautionsFor(rig, fitOf(rig)).some((c) => c.id === 'digital zoom'),
      };
    };
    expect(at('not told', false)).toEqual({ zoom: 1.5, isMinded: true });
    expect(at('not told', true)).toEqual({ zoom: 1.5, isMinded: false });
    expect(at('any lens', false)).toEqual({ zoom: 1.5, isMinded: false });
    expect(at('lenses it knows', true)).toEqual({ zoom: 1.5, isMinded: false });
    // It is not to be had: the ring does not go there.
    expect(at('lenses it knows', false)).toEqual({ zoom: 1, isMinded: false });
  });

  it('come most urgent first, every one with its rank', () => {
    const reducer = partOf('focal reducer', { factor: 0.7, thicknessMm: 20, clearDepthMm: 1 });
    const tube = dead('extension tube', { rearMountId: 'slr', thicknessMm: 1 });
    const rig = plainRig({
      lens: {
        radioactive: true,
        massG: 3000,
        focalMaxMm: 600,
        rearProtrusionMm: 9,
        mountTab: true,
      },
      parts: [{ ...tube, electronics: { ...NO_ELECTRONICS, focus: true } }, reducer],
      settings: { overhead: true, digitalZoom: 1.5 },
    });
    const all = cautionsFor(rig, fitOf(rig)).map((c) => c.id);
    expect(all).toEqual([
      'strike',
      'tab',
      'digital zoom',
      'sun',
      'radioactive',
      'support',
      'overhead',
      'power',
      'tolerance',
    ]);
    expect(CAUTION_IDS.filter((id) => id !== 'strike unknown')).toEqual(all);
  });

  it('the demo shows every one of them', () => {
    const shown = new Set(
      tideMill.rigs.flatMap(({ id }) => evaluate(demoRig(id)).cautions.map((c) => c.id)),
    );
    expect([...shown].sort()).toEqual([...CAUTION_IDS].sort());
  });

  it('say why, with the figures', () => {
    const rig = demoRig('wheel-house-wide');
    expect(cautionsFor(rig, fitOf(rig))[0]).toMatchObject({
      id: 'strike',
      why: 'Rear glass stands 4.1 mm deep; Ninefold reducer ×0.71, 44.00 to 18.00 leaves 5.0 mm.',
    });
  });
});
