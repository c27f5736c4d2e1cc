/**
 * Runs a function in idle time, and returns a function that cancels it. Not every browser tells when it
 * is idle: there it is not done ahead, but when it is asked for.
 */
export function whenIdle(act: (time: IdleDeadline) => void): () => void {
  if (!('requestIdleCallback' in window)) return () => undefined;
  const handle = requestIdleCallback(act);
  return () => cancelIdleCallback(handle);
}
