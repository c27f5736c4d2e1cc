/** axe over whatever the browser shows. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { WebDriver } from 'selenium-webdriver';
import { expect } from 'vitest';
import { setSize } from '../../scripts/lib/browser.mjs';

const axeSource = readFileSync(
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  'utf8',
);
interface Finding {
  id: string;
  impact: string;
  nodes: { html: string; failureSummary: string }[];
}

/** What axe calls serious or critical, in words; empty where all is well. */
export async function seriousFindings(driver: WebDriver): Promise<string[]> {
  await driver.executeScript(axeSource);
  const found = await driver.executeAsyncScript<Finding[]>(
    'const done = arguments[arguments.length - 1]; axe.run().then((r) => done(r.violations));',
  );
  return found
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 160)} ${n.failureSummary}`).join(' | ')}`,
    );
}

export const setTheme = (driver: WebDriver, theme: string) =>
  driver.executeScript('document.documentElement.dataset.theme = arguments[0]', theme);

const SIZES = [
  [1280, 800],
  [390, 844],
] as const;

/** A view has no serious finding in a theme on a screen and on a phone, and there it does not scroll sideways. */
export async function expectAccessible(
  driver: WebDriver,
  theme: string,
  open: () => Promise<void>,
): Promise<void> {
  for (const [width, height] of SIZES) {
    await setSize(driver, width, height);
    await open();
    await setTheme(driver, theme);
    expect(await seriousFindings(driver)).toEqual([]);
  }
  const wide = await driver.executeScript('return document.documentElement.scrollWidth');
  expect(wide).toBeLessThanOrEqual(390);
  await setSize(driver, 1280, 800);
}
