/**
 * How fast the core answers. Most targets are ratios against the verdicts of the same run, so that they mean the same
 * on a slower machine.
 */
import { bundled } from './bundled.mjs';
import { row } from './row.mjs';

const whole = (value) => Math.round(value).toLocaleString('en');

/** Verdicts a second that the machine gave on which the others were found, and at least so many there. */
const VERDICTS = { seen: 500_000, least: 400_000 };
/** At most so many verdicts' time for one of these. */
const MOST = { evaluation: 20, choosing: 2.5 };

export async function coreSpeed() {
  const figures = await bundled('core');
  const { evaluationsPerSecond, verdictsPerSecond, waysOutMs, choose, chooseMany } = figures;
  row(
    'verdicts a second, one core',
    whole(verdictsPerSecond),
    `≥ ${whole(VERDICTS.least)} where ${whole(VERDICTS.seen)} were given before`,
    verdictsPerSecond >= VERDICTS.least,
  );
  const evaluation = verdictsPerSecond / evaluationsPerSecond;
  row(
    `full evaluation (${whole(evaluationsPerSecond)} a second), in verdicts`,
    evaluation.toFixed(1),
    `≤ ${MOST.evaluation}`,
    evaluation <= MOST.evaluation,
  );
  row('ways out, slowest demo rig', `${waysOutMs.toFixed(1)} ms`, '< 5 ms', waysOutMs < 5);
  for (const { combinations, seconds } of [choose, chooseMany]) {
    const each = (seconds / combinations) * verdictsPerSecond;
    row(
      `choose, ${whole(combinations)} in ${seconds.toFixed(1)} s: one, in verdicts`,
      each.toFixed(2),
      `≤ ${MOST.choosing}`,
      each <= MOST.choosing,
    );
  }
  row(
    'choose, first rig that passes',
    `${choose.firstMs.toFixed(0)} ms`,
    '< 300 ms',
    choose.firstMs < 300,
  );
  const { heapMb, sweepMs } = figures;
  row('memory after it', `${heapMb} MB`, 'under 400 MB', heapMb < 400);
  row('sweep of 40 × 12 frames', `${sweepMs.toFixed(0)} ms`, 'under 100 ms', sweepMs < 100);
}
