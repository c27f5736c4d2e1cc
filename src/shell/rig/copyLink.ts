/** The address of what is in hand, to be passed on. */
import type { Tell } from '../tell';

export function copyLink(tell: Tell, what: string): void {
  const link = window.location.href;
  const byHand = () => tell({ kind: 'said', text: `Copy this link: ${link}` });
  // Only a page served safely has a clipboard.
  if (!('clipboard' in navigator)) {
    byHand();
    return;
  }
  navigator.clipboard
    .writeText(link)
    .then(() => tell({ kind: 'said', text: `The link to ${what} is on the clipboard.` }), byHand);
}
