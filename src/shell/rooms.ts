/** The rooms, in the order in which people work: each told once, for the bar, the keys, the page and its title. */
import {
  Backpack,
  Frame,
  LayoutGrid,
  ListFilter,
  NotebookText,
  Ruler,
  Scale,
  Telescope,
  type LucideIcon,
} from 'lucide-react';

interface RoomInfo {
  path: `/${string}`;
  name: string;
  /** Goes there; held with Shift, so that it is no room's own key. */
  key: string;
  icon: LucideIcon;
  /** What it is for, in one line. */
  line: string;
  /** What one does here, in five lines. */
  help: readonly [string, string, string, string, string];
}

export const ROOMS = {
  kit: {
    path: '/kit',
    name: 'Kit',
    key: 'K',
    icon: Backpack,
    line: 'What you own or can borrow: bodies, lenses, and what goes between.',
    help: [
      'What you own or can borrow: mounts, bodies with their modes, lenses, adapters and converters.',
      'Add takes a few facts; what you leave out is what is usual, and marked estimated.',
      'The ladder orders mounts by register: what joins what with a plain adapter, and how thick.',
      'Seen for sale tells what a lens would do on your bodies before you buy it.',
      'Every change can be undone; the File menu saves all of it as one file.',
    ],
  },
  bench: {
    path: '/bench',
    name: 'Bench',
    key: 'B',
    icon: Telescope,
    line: 'One rig: does it go together, does the halo cover, what does it become?',
    help: [
      'One rig: lens, what stands between, body and mode, and the halo it throws on the sensor.',
      'Turn the rings; the ribbon beside each shows the verdict at every place of it.',
      'Ways out mend a bad verdict: rest on one to see it on the stage, press it to take it.',
      'Press any figure for its formula, what went into it and how it is known.',
      'Compare puts rigs side by side; Start from what I know asks about gear not in the kit.',
    ],
  },
  sweep: {
    path: '/sweep',
    name: 'Sweep',
    key: 'S',
    icon: LayoutGrid,
    line: 'The whole range of a rig at a glance: where it covers, and where it is lost.',
    help: [
      'The rig over any two of its settings: each frame is what the stage would show there.',
      'The curve is the circle of corners you accept; where it passes a mode’s line, frames turn whole.',
      'The windows stand right, with exact ends, and what the gaps between them would need.',
      'Press a frame for its figures; Enter puts the rig on the Bench set that way.',
      'Hold another lens, body or train against it, and save the sheet as a table or a picture.',
    ],
  },
  measure: {
    path: '/measure',
    name: 'Measure',
    key: 'M',
    icon: Ruler,
    line: 'Test frames of a wall, and the halo found in them.',
    help: [
      'Photograph an even wall, out of focus, and the halo is found in the frames.',
      'Two frames of a setting, wide open and at f/8, make a prediction a measurement.',
      'The shot list says which frames are worth most, and ticks off those you give it.',
      'Look at what the fit leaves before you accept: nothing accepted is ever overwritten.',
      'The log keeps what was expected beside what was found.',
    ],
  },
  converters: {
    path: '/converters',
    name: 'Converters',
    key: 'V',
    icon: Scale,
    line: 'Bare, converted or cropped: what each gives, and what it costs.',
    help: [
      'One lens on one body, bare, behind every converter of the kit that fits, and cropped.',
      'The drawing is to scale: bare above the axis, converted below it; play moves between the two.',
      'Figures that differ by more than anybody sees stand in ink, the others are muted.',
      'Press any figure for its formula, what went into it and how it is known.',
      'Converter, crop or a step closer is settled right, with how sure that is.',
    ],
  },
  framing: {
    path: '/framing',
    name: 'Framing',
    key: 'F',
    icon: Frame,
    line: 'The same scene through several rigs: what the picture becomes.',
    help: [
      'The same scene through two to four rigs: the picture each would make, to scale.',
      'The plan from above is the control: drag cameras, people and lamps, or use the arrow keys.',
      'Lamps blur to their true size, and are cut toward the corners as the rims cut the light.',
      'What moved and what that did to near and far stands right, in one sentence and figures.',
      'Start from a usual question, or put any rigs of the workspace beside each other.',
    ],
  },
  choose: {
    path: '/choose',
    name: 'Choose',
    key: 'C',
    icon: ListFilter,
    line: 'A job, and every rig of the kit that can do it.',
    help: [
      'Say the job as one sentence; press any word of it to change it.',
      'Every lens, train, body and mode of the kit is judged for it, fit first, corners exactly.',
      'Rows that pass say for which views; near misses say what is missing, and what would mend it.',
      'The chart shows what nothing beats in views, light and mass or price; the plan, the fewest rigs.',
      'Put rows on the shortlist to see them side by side; open one on the Bench as a rig.',
    ],
  },
  card: {
    path: '/card',
    name: 'Card',
    key: 'R',
    icon: NotebookText,
    line: 'The answer on paper, for the shoot, and as files for other programs.',
    help: [
      'What to dial and what to mind, on paper: for the rig in hand, or for all the rigs of a day.',
      'The pages on the screen are the pages in the PDF and from the printer, line by line.',
      'The code holds the rig itself: a phone that reads it opens the rig, with nothing sent anywhere.',
      'Frame guides, framing lists, lens profiles and gain maps for other programs are made from the rig as it is set.',
      'Lift evens out a picture of your own by the halo it was taken through, and says what that costs.',
    ],
  },
} as const satisfies Readonly<Record<string, RoomInfo>>;

export type RoomId = keyof typeof ROOMS;
export const ROOM_IDS = Object.keys(ROOMS) as readonly RoomId[];

/** Where a visit without an address begins. */
export const FIRST_ROOM: RoomId = 'bench';
