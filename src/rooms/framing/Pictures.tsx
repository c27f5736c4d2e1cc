'use client';
import { X } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Scene } from '@/core/framing';
import type { Workspace } from '@/core/kit/records';
import { metres } from '@/core/words';
import { rigOptions } from '@/gear/options';
import { IconButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import type { OptionGroup } from '@/ui/controls/options';
import { engraved, oneLine, PHONE } from '@/ui/theme/type';
import { useSize } from '@/ui/useSize';
import { SceneCanvas } from './SceneCanvas';
import { dashOf, inkOf } from './takeInks';
import type { Framed, Framing, FramingActions } from './useFraming';

const Grid = styled.div`
  display: grid;
  gap: 8px 14px;
  @media ${PHONE} {
    grid-template-columns: minmax(0, 1fr) !important;
  }
`;

const Head = styled.div`
  display: flex;
  align-items: baseline;
  gap: 8px;
  min-width: 0;
  > :nth-child(3) {
    min-width: 0;
  }
  > :nth-child(4) {
    margin-left: auto;
  }
`;

const Swatch = styled.svg`
  flex: none;
  align-self: center;
`;

const Words = styled.p`
  ${oneLine}
  display: flex;
  justify-content: space-between;
  gap: 10px;
  color: var(--muted);
  b {
    ${engraved}
    color: var(--ink);
  }
`;

/* The picture keeps its shape within the room there is. */
const Room = styled.div`
  position: relative;
  display: grid;
  place-items: center;
  padding: 2px;
`;

const Frame = styled.div`
  position: relative;
  outline: 2px solid var(--frame, var(--ink));
  overflow: hidden;
`;

const Cut = styled.input`
  position: absolute;
  left: 0;
  right: 0;
  bottom: 6px;
  width: 100%;
  accent-color: var(--amber);
`;

const Outlines = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
  text {
    ${engraved}
    font-size: 12px;
    paint-order: stroke;
    stroke: var(--well);
    stroke-width: 3px;
  }
`;

/** Height the pictures may take, px. */
const MOST_HEIGHT = { few: 330, many: 220 };

/** The largest size of a shape within a room, px. */
function fitted(aspect: number, widthPx: number, heightPx: number) {
  const width = Math.max(0, Math.min(widthPx - 4, heightPx * aspect));
  return { widthPx: Math.floor(width), heightPx: Math.floor(width / aspect) };
}

const aspectOf = ({ shot }: Framed): number => shot.picture.widthMm / shot.picture.heightMm;
const labelOf = ({ rig, words, shot }: Framed): string =>
  `${rig.name}, ${words}: the scene from ${metres(shot.distanceM)}`;

interface PickerProps {
  index: number;
  /** Its place among all that were asked for. */
  place: number;
  rigId: string;
  groups: readonly OptionGroup[];
  actions: FramingActions;
  canGo: boolean;
}

/** Which rig it is; it stands still while cameras are moved. */
const RigPicker = memo(function RigPicker({
  index,
  place,
  rigId,
  groups,
  actions,
  canGo,
}: PickerProps) {
  return (
    <Head>
      <b>{index + 1}</b>
      <Swatch width="18" height="8" aria-hidden="true">
        <line
          x1="0"
          x2="18"
          y1="4"
          y2="4"
          stroke={inkOf(index)}
          strokeWidth="2.5"
          strokeDasharray={dashOf(index)}
        />
      </Swatch>
      <div>
        <Choice
          bare
          label={`Rig ${index + 1}`}
          groups={groups}
          chosen={rigId}
          onChoose={(id) => actions.swap(place, id)}
        />
      </div>
      {canGo && (
        <IconButton label={`Take picture ${index + 1} away`} onPress={() => actions.remove(place)}>
          <X size={14} aria-hidden="true" />
        </IconButton>
      )}
    </Head>
  );
});

interface TitleProps {
  framed: Framed;
  index: number;
  groups: readonly OptionGroup[];
  framing: Framing;
}

/** Which rig it is, and how it is told apart. */
function Title({ framed, index, groups, framing }: TitleProps) {
  const { take, words, shot } = framed;
  return (
    <div>
      <RigPicker
        index={index}
        place={framed.at}
        rigId={take.rigId}
        groups={groups}
        actions={framing.actions}
        canGo={framing.framed.length > 2}
      />
      <Words>
        <span>{words}</span>
        <b>
          from {metres(shot.distanceM)}
          {shot.askedM !== null && ` (no ${shot.askedM < shot.distanceM ? 'nearer' : 'farther'})`}
        </b>
      </Words>
    </div>
  );
}

function OnePicture({ framed, scene, most }: { framed: Framed; scene: Scene; most: number }) {
  const [place, { width }] = useSize<HTMLDivElement>();
  const size = fitted(aspectOf(framed), width, most);
  return (
    <Room ref={place}>
      <Frame style={{ width: size.widthPx, height: size.heightPx }}>
        <SceneCanvas shot={framed.shot} scene={scene} {...size} label={labelOf(framed)} />
      </Frame>
    </Room>
  );
}

/** Two pictures in one frame, cut where one wants it. */
function SplitPicture({ framed, scene }: { framed: readonly Framed[]; scene: Scene }) {
  const [place, { width }] = useSize<HTMLDivElement>();
  const [cut, setCut] = useState(50);
  const [first, other] = framed;
  if (!first) return null;
  const size = fitted(aspectOf(first), width, MOST_HEIGHT.few);
  const second = other ? fitted(aspectOf(other), width, size.heightPx) : size;
  return (
    <Room ref={place}>
      <Frame style={{ width: size.widthPx, height: size.heightPx }}>
        <SceneCanvas shot={first.shot} scene={scene} {...size} label={labelOf(first)} />
        {other && (
          <div
            style={{
              position: 'absolute',
              inset: 0,
              clipPath: `inset(0 0 0 ${cut}%)`,
              background: 'var(--well)',
              display: 'grid',
              placeItems: 'center',
            }}
          >
            <div style={{ width: second.widthPx, height: second.heightPx }}>
              <SceneCanvas shot={other.shot} scene={scene} {...second} label={labelOf(other)} />
            </div>
          </div>
        )}
        <div
          aria-hidden="true"
          style={{
            position: 'absolute',
            top: 0,
            bottom: 0,
            left: `${cut}%`,
            width: 1,
            background: 'var(--ink)',
          }}
        />
        <Cut
          type="range"
          min={0}
          max={100}
          value={cut}
          aria-label="Where the pictures are cut"
          onChange={(event) => setCut(Number(event.target.value))}
        />
      </Frame>
    </Room>
  );
}

/** The widest picture with the frames of the others over it, true at the miller. */
function OverPicture({ framed, scene }: { framed: readonly Framed[]; scene: Scene }) {
  const [place, { width }] = useSize<HTMLDivElement>();
  const widest = framed.reduce<Framed | null>(
    (best, f) => (best && best.shot.field.widthM >= f.shot.field.widthM ? best : f),
    null,
  );
  if (!widest) return null;
  const size = fitted(aspectOf(widest), width, MOST_HEIGHT.few);
  const pxPerM = size.widthPx / widest.shot.field.widthM;
  return (
    <Room ref={place}>
      <Frame style={{ width: size.widthPx, height: size.heightPx, overflow: 'visible' }}>
        <SceneCanvas shot={widest.shot} scene={scene} {...size} label={labelOf(widest)} />
        <Outlines viewBox={`0 0 ${size.widthPx} ${size.heightPx}`} aria-hidden="true">
          {framed.map((f, i) => {
            const [w, h] = [f.shot.field.widthM * pxPerM, f.shot.field.heightM * pxPerM];
            const [x, y] = [(size.widthPx - w) / 2, (size.heightPx - h) / 2];
            return (
              <g key={f.at}>
                <rect
                  x={x}
                  y={y}
                  width={w}
                  height={h}
                  fill="none"
                  stroke={inkOf(i)}
                  strokeWidth="2"
                  strokeDasharray={dashOf(i)}
                />
                <text x={x + 6} y={y + 16 + i * 15} fill={inkOf(i)}>
                  {f.words}
                </text>
              </g>
            );
          })}
        </Outlines>
      </Frame>
    </Room>
  );
}

interface PicturesProps {
  framing: Framing;
  workspace: Workspace;
}

/** The scene through each rig. */
export function Pictures({ framing, workspace }: PicturesProps) {
  const { framed, scene, view } = framing;
  const groups = useMemo(() => [rigOptions(workspace.rigs)], [workspace.rigs]);
  const columns = { gridTemplateColumns: `repeat(${Math.min(2, framed.length)}, minmax(0, 1fr))` };
  const titles = framed.map((f, i) => (
    <Title key={f.at} framed={f} index={i} groups={groups} framing={framing} />
  ));
  if (view === 'side by side')
    return (
      <Grid style={columns}>
        {framed.map((f, i) => (
          <div key={f.at}>
            {titles[i]}
            <OnePicture
              framed={f}
              scene={scene}
              most={framed.length > 2 ? MOST_HEIGHT.many : MOST_HEIGHT.few}
            />
          </div>
        ))}
      </Grid>
    );
  return (
    <div>
      <Grid style={columns}>{titles}</Grid>
      {view === 'split' ? (
        <SplitPicture framed={framed} scene={scene} />
      ) : (
        <OverPicture framed={framed} scene={scene} />
      )}
    </div>
  );
}
