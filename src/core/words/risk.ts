/** A risk in percent; the ends are never certain. */
import { percent } from './figures';
export function riskWords(risk: number): string {
  if (risk < 0.01) return '< 1 %';
  return risk > 0.99 ? '> 99 %' : percent(risk, 0);
}

/** A risk never stands without what it rests on: "risk 4 %, measured". */
export const riskFigure = (risk: number, evidence: string): string =>
  `risk ${riskWords(risk)}, ${evidence}`;
