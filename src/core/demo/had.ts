/** What the crew's gear weighs and costs, and how it is to be had; made up, as all of the demo is. */
import type { Availability } from '../kit/records';

interface Had {
  massG?: number;
  price?: number;
  availability: Availability;
}

const mine = (price?: number, massG?: number): Had => ({
  availability: 'at hand',
  ...(price === undefined ? {} : { price }),
  ...(massG === undefined ? {} : { massG }),
});
const rented = (massG?: number): Had => ({
  availability: 'rentable',
  ...(massG === undefined ? {} : { massG }),
});

const HAD: Readonly<Record<string, Had>> = {
  h24: mine(1350, 658),
  h61: mine(2400, 665),
  c26: mine(1250, 620),
  m17: mine(880, 574),
  g50: { ...rented(890), price: 4300 },
  l45: rented(3900),
  w1835: mine(),
  w2470: mine(),
  b1224: mine(),
  b1650: mine(),
  w50: mine(),
  w35: mine(),
  b500: rented(),
  b100: mine(),
  w25c: rented(),
  w50c: rented(),
  b40a: rented(),
  b80m: mine(),
  w45m: { availability: 'to buy' },
  b58: mine(),
  w35r: mine(),
  b25s: mine(),
  'p44-18': mine(85),
  'p46-18': mine(35),
  'p42-18': mine(20),
  'p39-18': mine(18),
  'p52-18': rented(),
  'p44-26': rented(),
  'p63-26': rented(),
  'p44-19': mine(70),
  'r71-44-18': mine(340),
  'r64-44-19': { ...rented(), price: 360 },
  'r70-63-18': { availability: 'to buy', price: 620 },
  t14: mine(190),
  t20: mine(230),
  x16: rented(),
  'h44-18': mine(60),
  'd44-18': mine(120),
};

/** A record with what is told of it there; of the rest nobody told. */
export const had = <T extends { id: string }>(record: T): T & Partial<Had> => ({
  ...record,
  ...HAD[record.id],
});
