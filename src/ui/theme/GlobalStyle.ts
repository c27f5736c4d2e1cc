'use client';
import { createGlobalStyle } from 'styled-components';
import { PHONE } from './type';

/**
 * The inside of a camera, and daylight. Amber is light, the thing in hand, and words that act; all else
 * is quiet. Every ink stands at 4.5:1 or more on the grounds it is used on.
 */
export const GlobalStyle = createGlobalStyle`
  :root {
    --ground: #14110d;
    --well: #0b0907;
    --raised: #1b1712;
    --lifted: #262019;
    --line: #38302a;
    --ink: #ece4d4;
    --muted: #a4998a;
    --amber: #ffb84d;
    --on-amber: #14110d;
    --clear: #7fd0bd;
    --shaded: #e3c15a;
    --clipped: #f0724c;
    --keyhole: #a893f0;
    --frame: #ece4d4;
    --stage-ink: #b3a899;
    --stage-amber: #ffb84d;
    --stage-under: #0b0907;
    --radius: 3px;
    --header: 46px;
    color-scheme: dark;
  }
  :root[data-theme='daylight'] {
    --ground: #f4efe6;
    --well: #e6dfd2;
    --raised: #ece5d9;
    --lifted: #fbf8f2;
    --line: #c9bfae;
    --ink: #1d1913;
    --muted: #5f574a;
    --amber: #8a4f00;
    --on-amber: #fbf8f2;
    --clear: #0d6150;
    --shaded: #6d5200;
    --clipped: #a8310c;
    --keyhole: #5a3fc0;
    --frame: #1d1913;
    --stage-ink: #3b352b;
    --stage-amber: #6b3c00;
    --stage-under: #d3ccc0;
    color-scheme: light;
  }
  *, *::before, *::after { box-sizing: border-box; scrollbar-width: thin; scrollbar-color: var(--line) transparent; }
  html { background: var(--ground); -webkit-text-size-adjust: 100%; }
  body {
    margin: 0;
    color: var(--ink);
    background: var(--ground);
    font-family: 'Archivo Variable', system-ui, sans-serif;
    font-size: 13px;
    font-stretch: 94%;
    line-height: 1.45;
    -webkit-font-smoothing: antialiased;
  }
  h1, h2, h3, p, dl, dd, ul, ol { margin: 0; padding: 0; font-weight: inherit; font-size: inherit; }
  ul, ol { list-style: none; }
  a { color: var(--amber); }
  button, input, select { font: inherit; color: inherit; }
  :focus-visible, [data-focus-visible] { outline: 2px solid var(--amber); outline-offset: 2px; }
  ::selection { background: var(--amber); color: var(--on-amber); }
  @media ${PHONE} {
    /* What is scrolled to, or reached by key, is not left under the bar above or the rooms below. */
    html { scroll-padding: 54px 0 64px; }
  }
  @media print {
    :root, :root[data-theme='daylight'] {
      --ground: #fff;
      --raised: #fff;
      --ink: #000;
      --muted: #333;
      --line: #999;
    }
    header, [data-testid='notice'] { display: none !important; }
  }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { transition: none !important; animation: none !important; }
  }
`;
