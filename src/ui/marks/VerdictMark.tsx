import { bothOf, type VerdictFace, type VerdictKind } from '@/core/frame';

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

/** The ink of a verdict's word: of a coin's toss that of the worse. */
export const inkOf = (face: VerdictFace): string => VERDICT_INK[bothOf(face)[1]];

interface VerdictMarkProps {
  face: VerdictFace;
  /** Width, px. */
  size?: number;
}

/** Half of a shape, with room between the two halves of a coin's toss. */
const HALVES = [
  { x: 0, to: 14.5 },
  { x: 17.5, to: 32 },
] as const;

/**
 * The verdict's shape; of a coin's toss the left half of the better one and the right half of the worse. The word always
 * stands beside it, so it is hidden from screen readers.
 */
export function VerdictMark({ face, size = 32 }: VerdictMarkProps) {
  const [better, worse] = bothOf(face);
  return (
    <svg
      width={size}
      height={(size * 24) / 32}
      viewBox="0 0 32 24"
      fill="none"
      aria-hidden="true"
      style={{ color: VERDICT_INK[better], flex: 'none', display: 'block' }}
    >
      {better === worse
        ? SHAPES[better]
        : HALVES.map(({ x, to }, i) => {
            const kind = i === 0 ? better : worse;
            return (
              <svg
                key={x}
                x={x}
                width={to - x}
                height="24"
                viewBox={`${x} 0 ${to - x} 24`}
                style={{ color: VERDICT_INK[kind], overflow: 'hidden' }}
              >
                {SHAPES[kind]}
              </svg>
            );
          })}
    </svg>
  );
}
