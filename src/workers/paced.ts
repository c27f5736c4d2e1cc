/** News of long work, seldom enough that whoever hears it goes on drawing. */

/** So often at most, ms. */
const PACE_MS = 100;

/** Tells at most ten times a second how far it is. */
export function paced(hear: (done: number) => void): (done: number) => void {
  let toldAt = -Infinity;
  return (done) => {
    const now = performance.now();
    if (now - toldAt < PACE_MS) return;
    toldAt = now;
    hear(done);
  };
}
