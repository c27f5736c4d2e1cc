'use client';
import { useLayoutEffect, useRef } from 'react';
import styled from 'styled-components';
import type { Scene } from '@/core/framing/scene';
import type { Shot } from '@/core/framing/shot';
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
    const element = canvas.current;
    const context = element?.getContext('2d');
    if (!element || !context || widthPx < 2 || heightPx < 2) return;
    const dense = Math.min(2, window.devicePixelRatio || 1);
    const [width, height] = [Math.round(widthPx * dense), Math.round(heightPx * dense)];
    if (element.width !== width) element.width = width;
    if (element.height !== height) element.height = height;
    context.setTransform(1, 0, 0, 1, 0, 0);
    paintScene({ context, widthPx: width, heightPx: height }, shot, scene, theme);
  }, [shot, scene, theme, widthPx, heightPx]);
  return <Picture ref={canvas} role="img" aria-label={label} />;
}
