import type { VerdictKind } from '@/core/frame';

/** Each verdict by its shape first: whole frame, soft corners, cut corners, a disc in a frame. */
const SHAPES: Record<VerdictKind, React.ReactNode> = {
  Clear: (
    <rect
      x="2"
      y="3"
      width="28"
      height="18"
      fill="currentColor"
      fillOpacity="0.28"
      stroke="currentColor"
      strokeWidth="2"
    />
  ),
  Shaded: (
    <>
      <path d="M8 3H24M30 8V16M24 21H8M2 16V8" stroke="currentColor" strokeWidth="2" fill="none" />
      <path
        d="M2 8V3H8M24 3H30V8M30 16V21H24M8 21H2V16"
        stroke="currentColor"
        strokeWidth="2"
        strokeDasharray="1.6 1.8"
        fill="none"
      />
      <rect x="5" y="6" width="22" height="12" fill="currentColor" fillOpacity="0.22" />
    </>
  ),
  Clipped: (
    <>
      <path
        d="M9 3H23L30 9V15L23 21H9L2 15V9Z"
        fill="currentColor"
        fillOpacity="0.3"
        stroke="currentColor"
        strokeWidth="2"
      />
      <path
        d="M2 3H5M2 3V6M30 3H27M30 3V6M30 21H27M30 21V18M2 21H5M2 21V18"
        stroke="currentColor"
        strokeWidth="1.5"
      />
    </>
  ),
  Keyhole: (
    <>
      <rect x="2" y="3" width="28" height="18" fill="none" stroke="currentColor" strokeWidth="2" />
      <circle cx="16" cy="12" r="5" fill="currentColor" />
    </>
  ),
};

export const VERDICT_INK: Record<VerdictKind, string> = {
  Clear: 'var(--clear)',
  Shaded: 'var(--shaded)',
  Clipped: 'var(--clipped)',
  Keyhole: 'var(--keyhole)',
};

interface VerdictMarkProps {
  kind: VerdictKind;
  /** Width, px. */
  size?: number;
}

/** The verdict's shape; the word always stands beside it, so it is hidden from screen readers. */
export function VerdictMark({ kind, size = 32 }: VerdictMarkProps) {
  return (
    <svg
      width={size}
      height={(size * 24) / 32}
      viewBox="0 0 32 24"
      fill="none"
      aria-hidden="true"
      style={{ color: VERDICT_INK[kind], flex: 'none', display: 'block' }}
    >
      {SHAPES[kind]}
    </svg>
  );
}
