import { describe, expect, it } from 'vitest';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { type Body, type Lens, type Part } from '../kit/records';
import { focusDriveOf } from './contacts';
import { evaluate } from './report';
import { turned, type Rig } from './rig';

const adapter = (autofocus: Part['autofocus']) => partOf('plain adapter', { autofocus });

const rigOf = (more: { body?: Partial<Body>; lens?: Partial<Lens>; parts?: Part[] } = {}): Rig =>
  plainRig({ body: { digitalZoomWith: 'any lens', digitalZoomFocus: 'works' }, ...more });

/** The same in a mode for stills. */
const stills = (rig: Rig): Rig => ({ ...rig, mode: { ...rig.mode, use: 'stills' } });

describe('what drives the focus', () => {
  it('is the lens’s own drive where every part carries it and says no more', () => {
    expect(focusDriveOf(rigOf(), 1)).toEqual({ state: 'drives', why: '' });
    expect(focusDriveOf(rigOf({ parts: [adapter('as native')] }), 1)).toEqual({
      state: 'drives',
      why: '',
    });
  });

  it('a part its owner found slower says so, and one for single shots alone fails in video', () => {
    const slow = evaluate(rigOf({ parts: [adapter('slower')] })).autofocus;
    expect(slow).toMatchObject({ state: 'works' });
    expect(slow.sentence).toContain('Through plain adapter it is slower and less sure');
    const single = rigOf({ parts: [adapter('single shots')] });
    expect(evaluate(single).autofocus).toMatchObject({
      state: 'manual',
      sentence: 'By hand: plain adapter focuses for single shots alone.',
    });
    expect(evaluate(stills(single)).autofocus.state).toBe('works');
  });

  it('is lost in the digital zoom where the body loses it, and not known where it does not say', () => {
    const at = (digitalZoomFocus: Body['digitalZoomFocus'], digitalZoom: number) =>
      evaluate(turned(rigOf({ body: { digitalZoomFocus } }), { digitalZoom })).autofocus.state;
    expect(at('lost', 1.5)).toBe('manual');
    expect(at('lost', 1)).toBe('works');
    expect(at('works', 1.5)).toBe('works');
    expect(at('not told', 1.5)).toBe('not known');
    expect(at('not told', 1)).toBe('works');
  });
});
