/** Answers that are kept as JSON, read so that no broken one gets through. */

export type Told = Record<string, unknown>;

export const isTold = (value: unknown): value is Told =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
export const isText = (value: unknown): boolean => typeof value === 'string';
export const isNumber = (value: unknown): boolean => typeof value === 'number';
export const orNull = (is: (value: unknown) => boolean) => (value: unknown) =>
  value === null || is(value);

/** Answers as they were kept; what cannot be one, as after a change of the program, counts as not told. */
export function readTold<T extends object>(
  text: string | null,
  nothing: T,
  canBe: { [K in keyof T]: (value: unknown) => boolean },
): T {
  let kept: unknown;
  try {
    kept = JSON.parse(text ?? 'null');
  } catch {
    return nothing;
  }
  if (!isTold(kept)) return nothing;
  const told = Object.entries<(value: unknown) => boolean>(canBe).flatMap(([key, can]) =>
    Object.hasOwn(kept, key) && can(kept[key]) ? [[key, kept[key]] as const] : [],
  );
  return { ...nothing, ...Object.fromEntries(told) };
}
