import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NOTHING_TOLD, readAnswers, type StartAnswers } from './answers';

const TOLD: StartAnswers = {
  cameraName: 'The small one',
  sensorId: 'crop-1.5',
  megapixels: 24,
  isStabilised: false,
  use: 'video',
  cameraMountId: 'mirrorless-18',
  lensMountId: null,
  engraved: '24–70/2.8',
  lensFormatId: '36x24',
  between: { kind: 'focal reducer', factor: 0.71 },
  ownNames: { 'mirrorless-18': 'the short one' },
};

describe('answers kept over a reload', () => {
  it('come back as they were told', () => {
    expect(readAnswers(JSON.stringify(TOLD))).toEqual(TOLD);
    expect(readAnswers(null)).toEqual(NOTHING_TOLD);
  });

  it('are not told where they cannot be answers, each by itself', () => {
    const odd = { ...TOLD, megapixels: 'many', between: { kind: 'magic' }, use: 'radio', more: 1 };
    expect(readAnswers(JSON.stringify(odd))).toEqual({
      ...TOLD,
      megapixels: null,
      between: null,
      use: 'stills',
    });
    expect(readAnswers('{"cameraName":')).toEqual(NOTHING_TOLD);
    expect(readAnswers('[1,2]')).toEqual(NOTHING_TOLD);
  });

  it('have every answer and no other, whatever was kept', () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        expect(Object.keys(readAnswers(text))).toEqual(Object.keys(NOTHING_TOLD));
      }),
    );
  });
});
