'use client';
import { useServerInsertedHTML } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { ServerStyleSheet, StyleSheetManager } from 'styled-components';
import { GlobalStyle } from './GlobalStyle';

/** Sends the styles along with the page, so that it arrives dressed. */
export function StyleRegistry({ children }: { children: ReactNode }) {
  const [sheet] = useState(() => new ServerStyleSheet());
  useServerInsertedHTML(() => {
    const styles = sheet.getStyleElement();
    sheet.instance.clearTag();
    return <>{styles}</>;
  });
  const dressed = (
    <>
      <GlobalStyle />
      {children}
    </>
  );
  if (typeof window !== 'undefined') return dressed;
  return <StyleSheetManager sheet={sheet.instance}>{dressed}</StyleSheetManager>;
}
