/** The face of this folder: what others may use of it. */
export type { CardLine, CardSection } from './cardLine';
export { type DayPlan, dayPlan, type DayRig, daysInOrder, rigsOfDay } from './dayPlan';
export { type CardWindow, type RigCard, rigCard } from './rigCard';
