'use client';
import type { Body } from '@/core/kit/records';
import { Choice } from '@/ui/controls/Choice';
import type { Otherwise } from '@/ui/controls/options';
import { modeOptions, type Offered } from './options';

interface GearChoiceProps {
  groups: Offered;
  chosen: string | null;
  onChoose: (id: string) => void;
  /** Its name over it, as a train reads; beside it elsewhere. */
  stacked?: boolean;
  otherwise?: Otherwise;
}

/** Which lens; its offers are graded where a rig is at hand. */
export const LensChoice = (props: GearChoiceProps) => (
  <Choice label="Lens" placeholder="not in this workspace" {...props} />
);

/** Which body, likewise. */
export const BodyChoice = (props: GearChoiceProps) => (
  <Choice label="Body" placeholder="not in this workspace" {...props} />
);

interface ModeChoiceProps extends Omit<GearChoiceProps, 'groups'> {
  body: Body | undefined;
}

/** Which of a body's modes. */
export const ModeChoice = ({ body, ...rest }: ModeChoiceProps) => (
  <Choice label="Mode" placeholder="not in this body" groups={modeOptions(body)} {...rest} />
);

interface RigChoiceProps extends GearChoiceProps {
  bare?: boolean;
}

/** Which rig of the workspace. */
export const RigChoice = (props: RigChoiceProps) => <Choice label="Rig" {...props} />;
