/** Heavy work one piece after another. */

/** Work that waits its turn; more is turned down at once, so that nobody waits for ever. */
export function queueOf(mostWaiting: number): <T>(work: () => Promise<T>) => Promise<T> | null {
  let waiting = 0;
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    if (waiting >= mostWaiting) return null;
    waiting += 1;
    const turn = last.then(work);
    last = turn
      .catch(() => undefined)
      .finally(() => {
        waiting -= 1;
      });
    return turn;
  };
}
