import {
  bodyOf,
  modeOf,
  type Body,
  type BodyTold,
  type Mode,
  type StabilisationCrop,
} from '../kit/records';
import { had } from './had';

const crop = (
  id: string,
  name: string,
  nominal: number,
  measured: number | null,
): StabilisationCrop => ({
  id,
  name,
  nominal,
  measured,
});

const STANDARD_CROPS = [crop('active', 'electronic', 1.1, 1.13)];
const STRONG_CROPS = [...STANDARD_CROPS, crop('gait', 'electronic, walking', 1.3, null)];

const stills = (
  name: string,
  widthMm: number,
  heightMm: number,
  widthPx: number,
  heightPx: number,
): Mode => modeOf({ id: 'stills', name, use: 'stills', widthMm, heightMm, widthPx, heightPx });

const video = (
  id: string,
  name: string,
  area: readonly [wMm: number, hMm: number, wPx: number, hPx: number],
  recordedWidthPx: number,
  framesPerSecond: number,
  crops: StabilisationCrop[] = STANDARD_CROPS,
  digitalZooms: number[] = [1, 1.2, 1.5, 2],
): Mode =>
  modeOf({
    id,
    name,
    use: 'video',
    widthMm: area[0],
    heightMm: area[1],
    widthPx: area[2],
    heightPx: area[3],
    recordedWidthPx,
    sampling: 'every pixel',
    framesPerSecond,
    crops,
    digitalZooms,
  });

const base = { maker: 'Tolvane', coverGlass: { thicknessMm: 2, index: 1.52 } };

const points = (...steps: readonly (readonly [upToFNumber: number, points: number])[]) =>
  steps.map(([upToFNumber, count]) => ({ upToFNumber, points: count }));

const told: readonly BodyTold[] = [
  {
    ...base,
    id: 'h24',
    digitalZoomWith: 'lenses it knows',
    digitalZoomFocus: 'lost',
    name: 'H24',
    mountId: 'ml-18',
    modes: [
      stills('Stills, 24 MP', 36, 24, 6000, 4000),
      video('4k', '4K full width, 25 fps', [36, 20.25, 6000, 3376], 3840, 25, STRONG_CROPS),
      video(
        '4k-crop',
        '4K small format, 60 fps',
        [23.6, 13.28, 3936, 2214],
        3840,
        60,
        STRONG_CROPS,
      ),
    ],
    sensorTravel: { shape: 'disc', xMm: 1.6, yMm: 0 },
    stabiliserStops: 5,
    autofocusLimitFNumber: 11,
    autofocusPoints: points([4, 525], [5.6, 341], [8, 105], [11, 9]),
    stabiliserFocalsMm: [
      8, 10, 12, 15, 18, 21, 24, 28, 35, 50, 70, 85, 105, 135, 200, 300, 400, 500, 600, 800, 1000,
    ],
    clearDepthMm: 12,
  },
  {
    ...base,
    id: 'h61',
    digitalZoomWith: 'lenses it knows',
    digitalZoomFocus: 'works',
    name: 'H61',
    mountId: 'ml-18',
    modes: [
      stills('Stills, 61 MP', 36, 24, 9568, 6376),
      { ...stills('Stills, small format, 26 MP', 23.5, 15.67, 6246, 4164), id: 'stills-crop' },
      video('8k', '8K full width, 24 fps', [35.2, 19.8, 9354, 5262], 7680, 24),
    ],
    sensorTravel: { shape: 'box', xMm: 1.4, yMm: 1.1 },
    stabiliserStops: 5.5,
    autofocusLimitFNumber: 8,
    autofocusPoints: points([5.6, 567], [8, 67]),
    stabiliserFocalsMm: [],
    clearDepthMm: 12,
  },
  {
    ...base,
    id: 'c26',
    digitalZoomWith: 'any lens',
    digitalZoomFocus: 'works',
    name: 'C26',
    mountId: 'ml-18',
    modes: [
      video(
        '6k',
        'Full width 6K, 25 fps',
        [23.5, 15.6, 6144, 4080],
        6144,
        25,
        STRONG_CROPS,
        [1, 1.2, 1.4],
      ),
      video(
        '4k',
        '4K 16:9, 25 fps',
        [23.5, 13.22, 6144, 3456],
        3840,
        25,
        STRONG_CROPS,
        [1, 1.2, 1.4, 2],
      ),
      video('hfr', '4K centre, 100 fps', [14.69, 8.26, 3840, 2160], 3840, 100, [], [1]),
    ],
    sensorTravel: { shape: 'disc', xMm: 1.2, yMm: 0 },
    stabiliserStops: 4,
    autofocusLimitFNumber: 11,
    autofocusPoints: points([5.6, 425], [11, 45]),
    stabiliserFocalsMm: [8, 10, 12, 14, 16, 18, 20, 24, 28, 35, 50, 75, 100, 135, 200],
    clearDepthMm: 11,
  },
  {
    ...base,
    id: 'm17',
    name: 'M17',
    mountId: 'sr-19.25',
    modes: [
      stills('Stills, 20 MP', 17.3, 13, 5200, 3904),
      video('4k', '4K full width, 50 fps', [17.3, 9.73, 5200, 2924], 3840, 50),
      video('4k-centre', '4K centre, 120 fps', [12.78, 7.19, 3840, 2160], 3840, 120, [], [1]),
    ],
    sensorTravel: { shape: 'disc', xMm: 2, yMm: 0 },
    stabiliserStops: 6,
    autofocusLimitFNumber: 8,
    autofocusPoints: points([5.6, 121], [8, 25]),
    clearDepthMm: 9,
    coverGlass: { thicknessMm: 4, index: 1.52 },
  },
  {
    ...base,
    id: 'g50',
    name: 'G50',
    mountId: 'ml-26.7',
    modes: [
      stills('Stills, 50 MP', 43.8, 32.9, 8200, 6160),
      { ...stills('Stills, 36×24 crop, 31 MP', 36, 24, 6740, 4493), id: 'stills-36' },
      video('4k', '4K full width, 30 fps', [43.8, 24.64, 8200, 4613], 3840, 30),
    ],
    sensorTravel: null,
    autofocusLimitFNumber: 8,
    clearDepthMm: 16,
  },
  {
    ...base,
    id: 'l45',
    name: 'L45',
    mountId: 'cine-52',
    modes: [
      video('open-gate', 'Open gate 3:2, 24 fps', [36.7, 25.5, 4896, 3400], 4896, 24, [], [1]),
      video('scope', '2.39:1, 60 fps', [36.7, 15.36, 4896, 2048], 4896, 60, [], [1]),
      video('hd', '16:9, 48 fps', [32, 18, 4268, 2400], 3840, 48, [], [1]),
      video('small', 'Small format 1.33:1, 24 fps', [24.9, 18.7, 3320, 2494], 3320, 24, [], [1]),
    ],
    sensorTravel: null,
    autofocusLimitFNumber: null,
    clearDepthMm: 30,
  },
];

export const bodies: Body[] = told.map(had).map(bodyOf);
