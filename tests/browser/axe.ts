/** axe over whatever the browser shows. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { WebDriver } from 'selenium-webdriver';

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
