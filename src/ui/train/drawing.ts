/** The sheet the light path is drawn on, units. It is scaled as a whole to fit its place. */
export const SHEET = { width: 204, height: 300, top: 6, bottom: 12 };

/** The optical axis. To the left of the boxes runs the dimension line, so it stands right of the middle. */
export const MIDDLE = 114;
/** Where the dimension line runs. */
export const DIMENSION_X = 8;

const MOST_SCALE = 4.2;

export interface Placing {
  /** Place on the sheet of a distance from the sensor, mm. */
  y: (mm: number) => number;
  /** Units of the sheet to the mm. */
  scale: number;
}

/** Fits a train of `frontMm` to the sheet. */
export function place(frontMm: number): Placing {
  const room = SHEET.height - SHEET.top - SHEET.bottom;
  const scale = Math.min(MOST_SCALE, room / frontMm);
  const slack = room - frontMm * scale;
  return { scale, y: (mm) => SHEET.top + slack / 2 + (frontMm - mm) * scale };
}
