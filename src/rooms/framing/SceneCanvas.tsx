'use client';
import { useLayoutEffect, useRef } from 'react';
import styled from 'styled-components';
import type { Scene, Shot } from '@/core/framing';
import { sized } from '@/ui/canvas';
import { paintScene } from '@/ui/scene/paintScene';
import { useTheme } from '@/ui/theme/useTheme';

const Picture = styled.canvas`
  display: block;
  width: 100%;
  height: 100%;
`;

interface SceneCanvasProps {
  shot: Shot;
  scene: Scene;
  widthPx: number;
  heightPx: number;
  label: string;
}

/** One picture, painted anew in the frame in which something moved. */
export function SceneCanvas({ shot, scene, widthPx, heightPx, label }: SceneCanvasProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [theme] = useTheme();
  useLayoutEffect(() => {
    if (widthPx < 2 || heightPx < 2) return;
    const sheet = sized(canvas.current, widthPx, heightPx);
    if (!sheet) return;
    const { context, width, height } = sheet;
    paintScene({ context, widthPx: width, heightPx: height }, shot, scene, theme);
  }, [shot, scene, theme, widthPx, heightPx]);
  return <Picture ref={canvas} role="img" aria-label={label} />;
}
