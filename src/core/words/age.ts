/** How old a figure is. The core has no clock: today is told. */

import { counted } from './figures';

const DAY_MS = 86_400_000;

/** Days from one ISO date to another; null where either is none. */
export function daysBetween(from: string, to: string): number | null {
  const days = (Date.parse(to) - Date.parse(from)) / DAY_MS;
  return Number.isFinite(days) ? Math.round(days) : null;
}

/** ", 6 months ago" of an ISO date seen from `today`; empty where either is no date or the future. */
export function ageWords(date: string, today: string): string {
  const days = daysBetween(date, today);
  if (days === null || days < 0) return '';
  if (days === 0) return ', today';
  const [count, unit] =
    days < 45
      ? [days, 'day']
      : days < 700
        ? [Math.round(days / 30.4), 'month']
        : [Math.round(days / 365.25), 'year'];
  return `, ${counted(count, unit)} ago`;
}
