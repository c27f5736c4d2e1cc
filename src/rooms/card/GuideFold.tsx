'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { guideOf, MOST_PROTECTION, guideSvg, PARTS_SMALL } from '@/core/guides';
import { problemText } from '@/core/words';
import { download } from '@/shell/files/files';
import { guarded } from '@/shell/tell';
import { pngOfSvg } from '@/ui/canvas';
import { LineButton } from '@/ui/controls/Buttons';
import { SideNote } from '@/ui/controls/roomLayout';
import { FlagField } from '@/ui/form/FlagField';
import { WordField } from '@/ui/form/WordField';
import { Acts } from './acts';
import { FramingLists, type RigFileProps } from './FramingLists';

const Shown = styled.img`
  display: block;
  width: 100%;
  margin: 8px 0;
  /* As a dim picture would be, by day and by night. */
  background: #4b443b;
`;

const KEY_WORDS =
  'Solid line: delivered. Dashed: composed for. Dots: edge of the halo. Tinted: shaded; dark: black.';

/** Frame guides as pictures, and framing decision lists in and out. */
export function GuideFold(props: RigFileProps) {
  const { rig, report, fileName, tell } = props;
  const [protection, setProtection] = useState(0);
  const [isSeen, setSeen] = useState(false);
  const share = protection / 100;
  const guide = guideOf(rig, report, { protection: share, desqueezed: isSeen });
  if (!guide.ok) return <SideNote role="alert">{problemText(guide.problems)}</SideNote>;
  const { widthPx, heightPx } = guide.value;
  const on = `${rig.lens.name} on ${rig.body.name}, ${rig.mode.name}.`;
  const svg = guideSvg(guide.value, rig.name, `${on} ${KEY_WORDS}`);
  const small = guideSvg(guide.value, rig.name, on, PARTS_SMALL);
  const savePng = () =>
    guarded(tell, async () => download(`${fileName}-guide.png`, await pngOfSvg(svg)));
  return (
    <>
      <Shown
        src={`data:image/svg+xml;utf8,${encodeURIComponent(small)}`}
        alt={`Frame guide of ${widthPx} × ${heightPx} pixels`}
      />
      <SideNote>
        {widthPx} × {heightPx} pixels. {KEY_WORDS}
      </SideNote>
      <div>
        Keep{' '}
        <WordField
          label="Protection, percent"
          value={protection}
          min={0}
          max={MOST_PROTECTION * 100}
          after="%"
          onEnter={(value) => setProtection(value ?? 0)}
        />{' '}
        around what is composed for
      </div>
      {rig.lens.squeeze !== 1 && (
        <FlagField label="as a monitor shows it, desqueezed" on={isSeen} onTurn={setSeen} />
      )}
      <Acts>
        <LineButton onPress={savePng}>PNG</LineButton>
        <LineButton onPress={() => download(`${fileName}-guide.svg`, svg, 'image/svg+xml')}>
          SVG
        </LineButton>
      </Acts>
      <FramingLists {...props} protection={share} />
    </>
  );
}
