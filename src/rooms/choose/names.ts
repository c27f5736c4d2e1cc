/** What a candidate's gear is called. */
import type { Candidate } from '@/core/choose';
import { fullName, type Workspace } from '@/core/kit/records';

export interface Named {
  lens: string;
  /** What stands between, or nothing. */
  train: string;
  body: string;
  mode: string;
}

export type Namer = (candidate: Candidate) => Named;

export function namerOf({ bodies, lenses, parts }: Workspace): Namer {
  const lensNames = new Map(lenses.map((l) => [l.id, fullName(l)]));
  const partNames = new Map(parts.map((p) => [p.id, p.name]));
  const bodyById = new Map(bodies.map((b) => [b.id, b]));
  return ({ lensId, partIds, bodyId, modeId, cropId, digitalZoom }) => {
    const body = bodyById.get(bodyId);
    const mode = body?.modes.find((m) => m.id === modeId);
    const crop = mode?.crops.find((c) => c.id === cropId);
    const crops = [crop?.name, digitalZoom > 1 ? `× ${digitalZoom}` : null].filter(Boolean);
    return {
      lens: lensNames.get(lensId) ?? lensId,
      train: partIds.map((id) => partNames.get(id) ?? id).join(' + '),
      body: body ? fullName(body) : bodyId,
      mode: [mode?.name ?? modeId, ...crops].join(', '),
    };
  };
}

/** All of it in one line. */
export const wholeName = ({ lens, train, body, mode }: Named): string =>
  [lens, train, body, mode].filter(Boolean).join(' · ');
