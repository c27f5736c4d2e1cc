/**
 * Does something while nobody wants anything else, and answers how to give it up. Not every browser tells when it
 * is idle: there it is not done ahead, but when it is asked for.
 */
export function whenIdle(act: (time: IdleDeadline) => void): () => void {
  if (!('requestIdleCallback' in window)) return () => undefined;
  const handle = requestIdleCallback(act);
  return () => cancelIdleCallback(handle);
}
