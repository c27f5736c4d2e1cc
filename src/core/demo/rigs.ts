import { restingSettings, type RigRecord, type RigSettings } from '../kit/records';

const rig = (
  id: string,
  name: string,
  records: readonly [bodyId: string, modeId: string, lensId: string, ...partIds: string[]],
  settings: Pick<RigSettings, 'focalMm' | 'fNumber' | 'focusM'> & Partial<RigSettings>,
  note = '',
): RigRecord => {
  const [bodyId, modeId, lensId, ...partIds] = records;
  return {
    id,
    name,
    bodyId,
    modeId,
    lensId,
    partIds,
    settings: { ...restingSettings(settings.focalMm, settings.fNumber), ...settings },
    note,
  };
};

export const rigs: RigRecord[] = [
  rig(
    'wheel-house-wide',
    'Wheel-house, wide',
    ['c26', '6k', 'w1835', 'r71-44-18'],
    { focalMm: 20, fNumber: 1.8, focusM: 3, stabiliser: true, aspect: 16 / 9 },
    'The dim one. Everything the reducer gives is wanted here.',
  ),
  rig('lamplight', 'Grain loft by lamplight', ['h24', 'stills', 'w35', 'p46-18'], {
    focalMm: 35,
    fNumber: 1.4,
    focusM: 2,
  }),
  rig('gears-close', 'Gears, close up', ['h24', 'stills', 'b100', 'p44-18'], {
    focalMm: 100,
    fNumber: 5.6,
    focusM: 0.4,
  }),
  rig('waders-at-dawn', 'Waders at dawn', ['h61', 'stills', 'b500', 't14', 'p44-18'], {
    focalMm: 500,
    fNumber: 4,
    focusM: 60,
    stabiliser: true,
  }),
  rig('sluice-tower', 'Sluice tower, wide', ['l45', 'open-gate', 'w25c'], {
    focalMm: 25,
    fNumber: 2.8,
    focusM: null,
    overhead: true,
  }),
  rig(
    'sluice-tower-expanded',
    'Sluice tower through the expander',
    ['l45', 'open-gate', 'w25c', 'x16'],
    {
      focalMm: 25,
      fNumber: 2.8,
      focusM: null,
    },
  ),
  rig('long-wall', 'The long wall, anamorphic', ['l45', 'small', 'b40a'], {
    focalMm: 40,
    fNumber: 2.8,
    focusM: 6,
    aspect: 2.39,
  }),
  rig('mill-pond', 'Mill pond', ['g50', 'stills', 'b80m', 'p63-26'], {
    focalMm: 80,
    fNumber: 8,
    focusM: 12,
  }),
  rig('miller-portrait', 'The miller, swirl', ['h24', 'stills', 'b58', 'p42-18'], {
    focalMm: 58,
    fNumber: 2,
    focusM: 1.8,
  }),
  rig('walk-through', 'Walk-through on the gimbal', ['h24', '4k', 'b1650'], {
    focalMm: 16,
    fNumber: 4,
    focusM: 2,
    stabiliser: true,
  }),
  rig('lantern-room', 'Lantern room, small camera', ['m17', 'stills', 'b25s', 'p17-19'], {
    focalMm: 25,
    fNumber: 2,
    focusM: 1.5,
  }),
  rig(
    'sluice-shift',
    'Sluice gates, shifted',
    ['g50', 'stills', 'w45m', 's63-26'],
    { focalMm: 45, fNumber: 8, focusM: 20, shiftYMm: -8 },
    'Verticals kept upright by shifting instead of tilting.',
  ),
  rig('oak-grain', 'Oak grain, extended', ['h24', 'stills', 'w50', 'h44-18'], {
    focalMm: 50,
    fNumber: 8,
    focusM: 0.45,
    helicoidMm: 10,
  }),
  rig('lantern-close', 'Lantern room, closer', ['m17', '4k', 'b25s', 'p17-19'], {
    focalMm: 25,
    fNumber: 2,
    focusM: 1.5,
    digitalZoom: 1.5,
  }),
  rig('reed-bank', 'Reed bank, wide on a small frame', ['h61', 'stills-crop', 'b1224', 'p44-18'], {
    focalMm: 16,
    fNumber: 5.6,
    focusM: 4,
  }),
  rig(
    'loft-window',
    'Loft window, on the worn ring',
    ['h24', 'stills', 'w35', 'p46-18-worn'],
    { focalMm: 35, fNumber: 4, focusM: 5 },
    'It was filed until it fitted. Now nothing beyond the window is sharp.',
  ),
  rig(
    'eel-traps',
    'Eel traps, adapter left at the mill',
    ['h61', 'stills', 'b80m'],
    { focalMm: 80, fNumber: 5.6, focusM: 8 },
    'Find what joins them before the tide turns.',
  ),
  rig('archive-table', 'Archive table', ['h61', 'stills', 'w35r', 'p39-18'], {
    focalMm: 35,
    fNumber: 4,
    focusM: 1,
  }),
];
