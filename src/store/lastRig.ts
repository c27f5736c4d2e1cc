/** The rig last worked on, so that a visit begins where the last one ended. Kept outside the workspace. */
const KEY = 'wandering-halo-rig';

export function lastRig(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

export function rememberRig(id: string): void {
  try {
    localStorage.setItem(KEY, id);
  } catch {
    // A browser that keeps nothing still has the rig in the address.
  }
}
