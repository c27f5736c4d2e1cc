/** The rig last worked on, so that a visit begins where the last one ended. Kept outside the workspace. */
import { recall, remember } from './remembered';

const KEY = 'wandering-halo-rig';

export const lastRig = (): string | null => recall(KEY);

export const rememberRig = (id: string): void => remember(KEY, id);
