import { memo } from 'react';

/**
 * Fills of the verdict ribbons, so that they are told apart without colour: whole, dotted, cut, discs.
 * Rendered once on a page; `url(#ribbon-Clear)` and so on refer to them.
 */
export const RibbonPatterns = memo(function RibbonPatterns() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <defs>
        <pattern id="ribbon-Clear" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--clear)" />
        </pattern>
        <pattern id="ribbon-Shaded" width="4" height="8" patternUnits="userSpaceOnUse">
          <rect width="4" height="8" fill="var(--shaded)" fillOpacity="0.35" />
          <circle cx="2" cy="2" r="1.2" fill="var(--shaded)" />
          <circle cx="2" cy="6" r="1.2" fill="var(--shaded)" />
        </pattern>
        <pattern id="ribbon-Clipped" width="6" height="8" patternUnits="userSpaceOnUse">
          <rect width="6" height="8" fill="var(--clipped)" fillOpacity="0.3" />
          <path d="M-1 8L5 -0.5M5 8.5L8 4M-2 4L1 -0.5" stroke="var(--clipped)" strokeWidth="1.8" />
        </pattern>
        <pattern id="ribbon-Keyhole" width="9" height="8" patternUnits="userSpaceOnUse">
          <rect width="9" height="8" fill="var(--keyhole)" fillOpacity="0.16" />
          <circle cx="4.5" cy="4" r="2.1" fill="var(--keyhole)" />
        </pattern>
      </defs>
    </svg>
  );
});
