/** The Measure room as a person works it, and frames of the simulated camera as files. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By } from 'selenium-webdriver';
import sharp from 'sharp';
import {
  jpegFile,
  pngFile,
  expose,
  lightMap,
  trueRadii,
  practiceRig,
  type PracticeShot,
} from '../../src/core/bench-camera';
import type { FrameSize } from '../../src/core/optics';
import { WAIT_MS } from './bench';
import { KitPage } from './kitPage';

/** The demo's largest stills body, which the room begins with. */
const SENSOR = { widthMm: 43.8, heightMm: 32.9 };

export class MeasurePage extends KitPage {
  /** As one comes to it for the first time: nothing measured last is gone on with, and no rig is in the hand. */
  async openMeasure(): Promise<void> {
    // The demo comes with a rig in the hand.
    await this.reopen();
    await this.driver.executeScript(
      `try { for (const key of ['session', 'rig']) localStorage.removeItem('wandering-halo-' + key); } catch {}`,
    );
    await this.reopen();
  }

  async reopen(): Promise<void> {
    await this.open('/measure');
    await this.find('section[aria-label="Session"]');
  }

  frameCount(): Promise<string> {
    return this.driver.executeScript<string>(
      `return document.querySelector('section[aria-label="Frames"] [role="status"]')?.textContent ?? ''`,
    );
  }

  async allMeasured(n: number): Promise<void> {
    const isDone = async () => (await this.frameCount()) === (n === 1 ? '1 frame' : `${n} frames`);
    await this.driver.wait(isDone, WAIT_MS, `not ${n} measured`);
  }

  async figures(): Promise<string> {
    return (await this.find('section[aria-label="Frame"]')).getText();
  }

  /** Radius of the circle that was found, mm; the screen tells its diameter. */
  async halfLight(): Promise<number> {
    return Number(/Half light at\s+⌀ (\d+\.\d+) mm/.exec(await this.figures())?.[1]) / 2;
  }

  async expectedAt(): Promise<number> {
    return Number(/Was expected at\s+⌀ (\d+\.\d+) mm/.exec(await this.figures())?.[1]) / 2;
  }

  async pickFrame(name: string): Promise<void> {
    const path = `//section[@aria-label="Frames"]//button[starts-with(normalize-space(.), "${name}")]`;
    await this.driver.findElement(By.xpath(path)).click();
  }

  async log(): Promise<string> {
    return (await this.find('section[aria-label="Log"]')).getText();
  }
}

export const folder = mkdtempSync(join(tmpdir(), 'halo-measure-'));

export const shotAt = (
  fNumber: number,
  file: 'jpeg' | 'png',
  sensor: FrameSize = SENSOR,
): PracticeShot => ({
  sensor,
  middle: { xMm: 0, yMm: 0 },
  focalMm: 40,
  fNumber,
  takenAt: '2026-05-12T09:30:00',
  file,
  seed: 5,
});

/** Half-light radius that was hidden, mm. */
export function truthAt(fNumber: number): number {
  const { lens, reachMm } = practiceRig(shotAt(fNumber, 'png'));
  return trueRadii(lightMap(lens, fNumber, reachMm)).halfLight ?? Number.NaN;
}

/** A frame of the practice lens as a file, its name beginning with `name`; answers its path. */
export async function fileAt(
  fNumber: number,
  kind: 'jpeg' | 'png',
  { sensor = SENSOR, name = 'wall' }: { sensor?: FrameSize; name?: string } = {},
): Promise<string> {
  const { lens, exposure, settings, reachMm } = practiceRig(shotAt(fNumber, kind, sensor));
  const image = expose(lightMap(lens, fNumber, reachMm), exposure);
  const bytes =
    kind === 'png'
      ? pngFile(image, settings)
      : await jpegFile(image, settings, async ({ data, widthPx, heightPx }) =>
          sharp(data as Uint8Array, { raw: { width: widthPx, height: heightPx, channels: 3 } })
            .jpeg({ quality: 93 })
            .toBuffer(),
        );
  const path = join(folder, `${name}-f${fNumber}.${kind === 'png' ? 'png' : 'jpg'}`);
  writeFileSync(path, bytes);
  return path;
}
