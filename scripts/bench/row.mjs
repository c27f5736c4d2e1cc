/** One line of the bench: what, the figure, what it must reach, whether it does. */
export const row = (what, figure, target, met) =>
  console.log(
    `${met ? 'met ' : 'MISS'}  ${what.padEnd(52)} ${figure.padStart(14)}   target ${target}`,
  );
