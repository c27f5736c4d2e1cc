/** Small things a browser remembers outside the workspace; one that keeps nothing is as one that is new. */

export function recall(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

export function remember(key: string, text: string): void {
  try {
    localStorage.setItem(key, text);
  } catch {
    // Nothing rests on it.
  }
}

/** The same for one tab alone, as long as it is open. */
export function recallInTab(key: string): string | null {
  try {
    return sessionStorage.getItem(key);
  } catch {
    return null;
  }
}

export function rememberInTab(key: string, text: string): void {
  try {
    sessionStorage.setItem(key, text);
  } catch {
    // Nothing rests on it.
  }
}
