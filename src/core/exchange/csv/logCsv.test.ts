import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { measurementExample } from '../../kit/records';
import { logCsv } from './logCsv';
import { csvText } from './csvText';

const rowsOf = (text: string) => Papa.parse<Record<string, string>>(text, { header: true }).data;

describe('the log as a table', () => {
  it('has each figure under its own name, low below high', () => {
    const names = new Map([['w1835', 'Wendmere 18–35/1.8']]);
    const [row] = rowsOf(logCsv([{ ...measurementExample, note: '=1+1' }], names));
    expect(row).toMatchObject({
      takenAt: '2026-05-12T09:30:00',
      lens: 'Wendmere 18–35/1.8',
      focalMm: '18',
      fNumber: '1.8',
      focusM: '',
      status: 'measured',
      halfLightMm: '17.1',
      lowMm: '17.02',
      highMm: '17.2',
      lowerBoundMm: '16.8',
      predictedHalfLightMm: '17.6',
      minus1Mm: '16.8',
      minus2Mm: '18.1',
      centreXMm: '0.1',
      centreYMm: '-0.05',
      method: '1',
      frame: 'wall-18mm-f1.8.jpg',
      note: "'=1+1",
    });
  });

  it('leaves a figure that was not found empty', () => {
    const bound = { ...measurementExample, status: 'bound' as const, halfLightMm: null };
    const [row] = rowsOf(logCsv([bound], new Map()));
    expect([row?.halfLightMm, row?.lowMm, row?.highMm, row?.lens]).toEqual(['', '', '', 'w1835']);
  });
});

describe('lines of a table', () => {
  it('end as RFC 4180 has it, the last one too', () => {
    expect(
      csvText([
        ['a', 'b,c'],
        ['1', ''],
      ]),
    ).toBe('a,"b,c"\r\n1,\r\n');
  });
});
