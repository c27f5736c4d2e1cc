/** The shape of an explanation. */
import type { Report } from '../report';
import type { Rig } from '../../rig';

export interface Why {
  title: string;
  formula: string;
  inputs: (readonly [name: string, value: string])[];
  /** How sure it is and where it comes from. */
  evidence: string;
}

/** Explains one reading of a report. */
export type Explain = (rig: Rig, report: Report, today: string) => Why;
