/** Heavy work one piece after another. */

/** Does a piece of work when all that was handed over before it is done. */
export type InTurn = <T>(work: () => Promise<T>) => Promise<T>;

/**
 * A queue that at most `mostInside` are in. Whoever comes is turned down at once where it is full (null), before
 * anything of theirs is read; who is in does what can be done side by side, and the heavy part in turn.
 */
export function queueOf(
  mostInside: number,
): <T>(visit: (inTurn: InTurn) => Promise<T>) => Promise<T> | null {
  let inside = 0;
  let last: Promise<unknown> = Promise.resolve();
  const inTurn: InTurn = (work) => {
    const turn = last.then(work);
    last = turn.catch(() => undefined);
    return turn;
  };
  return (visit) => {
    if (inside >= mostInside) return null;
    inside += 1;
    return visit(inTurn).finally(() => {
      inside -= 1;
    });
  };
}
