/** The Card room as a person works it. */
import { readdirSync, unlinkSync } from 'node:fs';
import { join } from 'node:path';
import { BenchPage } from './bench';

export class CardPage extends BenchPage {
  async openCard(query: string): Promise<void> {
    await this.open(`/card?${query}`);
    await this.find('[data-paper-page]');
  }

  /** As one comes for the first time, with nothing saved yet. */
  async anew(): Promise<void> {
    await this.forget();
    for (const name of readdirSync(this.downloads)) unlinkSync(join(this.downloads, name));
  }

  /** All that stands on the paper. */
  paperText(): Promise<string> {
    return this.driver.executeScript<string>(
      `return [...document.querySelectorAll('[data-paper-page] text')].map((t) => t.textContent).join(' ')`,
    );
  }

  async side(): Promise<string> {
    return (await this.find('aside[aria-label="What goes to the shoot"]')).getText();
  }
}
