/** The Bench as a person works it: by what is written on it. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, error, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { expect, inject } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';

/** How long anything is waited for: a net, far above what a busy machine takes. */
export const WAIT_MS = 120_000;

const quoted = (text: string): string => `"${text}"`;

export class BenchPage {
  private visits = 0;

  constructor(
    readonly driver: WebDriver,
    /** Where the program is found; another one after `forget`. */
    public url: string,
    readonly downloads: string,
  ) {}

  /** The page in a browser of its own, on the program with the demo. */
  static async opened<P extends BenchPage>(
    this: new (driver: WebDriver, url: string, downloads: string) => P,
  ): Promise<P> {
    const { driver, downloads } = await openBrowser();
    return new this(driver, inject('demoUrl'), downloads);
  }

  async open(path = '/bench'): Promise<void> {
    await this.driver.get(this.url + path);
    await this.driver.wait(until.elementLocated(By.css('header')), WAIT_MS);
  }

  /**
   * As one comes to the program for the first time: at a name of this machine for which the browser keeps nothing.
   * What it keeps for another is not cleared: where a service worker is filling a cache just then, the browser may
   * never say that it is done.
   */
  async forget(): Promise<void> {
    await this.driver.get('about:blank');
    const { protocol, port } = new URL(this.url);
    this.visits += 1;
    this.url = `${protocol}//visit-${this.visits}.localhost:${port}`;
  }

  async openRig(query: string): Promise<void> {
    await this.open(`/bench?${query}`);
    await this.verdictWord();
  }

  find(css: string): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.css(css)), WAIT_MS, `nothing at ${css}`);
  }

  /** The element with just this text, of a kind. */
  saying(text: string, tag = '*'): Promise<WebElement> {
    const path = `//${tag}[normalize-space(.)=${quoted(text)}][not(.//*[normalize-space(.)=${quoted(text)}])]`;
    return this.driver.wait(
      until.elementLocated(By.xpath(path)),
      WAIT_MS,
      `nothing says “${text}”`,
    );
  }

  async verdictWord(): Promise<string> {
    return (await this.find('[data-testid="verdict"]')).getText();
  }

  /** Waits until the verdict is `word`. */
  async expectVerdict(word: string): Promise<void> {
    await this.driver.wait(
      async () => (await this.verdictWord()) === word,
      WAIT_MS,
      `the verdict never became ${word}`,
    );
  }

  /** Waits until `read` answers something that passes. */
  async expectSoon<T>(
    read: () => Promise<T>,
    test: (value: T) => boolean,
    what: string,
  ): Promise<void> {
    const isThere = async () => {
      try {
        return test(await read());
      } catch (caught) {
        // What was read was drawn anew meanwhile: read again.
        if (caught instanceof error.StaleElementReferenceError) return false;
        throw caught;
      }
    };
    await this.driver.wait(isThere, WAIT_MS, what);
  }

  /** A reading by its name, unfolding groups to find it. */
  private async readingRow(name: string): Promise<WebElement> {
    const path = By.xpath(`//section[@aria-label="Readings"]//button[span[1]=${quoted(name)}]`);
    if ((await this.driver.findElements(path)).length === 0) {
      await this.find('[data-testid="verdict"]');
      for (const heading of await this.driver.findElements(
        By.css('h3 > button[aria-expanded="false"]'),
      )) {
        await heading.click();
      }
    }
    return this.driver.wait(until.elementLocated(path), WAIT_MS, `no reading ${name}`);
  }

  /** The figure and note of a reading, by its name. */
  async reading(name: string): Promise<string> {
    const figures = await (await this.readingRow(name)).findElement(By.xpath('./span[2]'));
    return (await figures.getText()).replace(/\s+/g, ' ');
  }

  /** Asks a reading why. */
  async ask(name: string): Promise<void> {
    await (await this.readingRow(name)).click();
  }

  async press(name: string): Promise<void> {
    const path = `//button[@aria-label=${quoted(name)} or normalize-space(.)=${quoted(name)}]`;
    const button = await this.driver.wait(
      until.elementLocated(By.xpath(path)),
      WAIT_MS,
      `no button ${name}`,
    );
    await this.driver.wait(until.elementIsEnabled(button), WAIT_MS);
    await button.click();
  }

  /** Presses one of the answers to a question that are all in sight. */
  async answer(question: string, answer: string): Promise<void> {
    const path = `//*[@role="radiogroup"][.//*[normalize-space(.)=${quoted(question)}]]//label[starts-with(normalize-space(.), ${quoted(answer)})]`;
    const chip = await this.driver.wait(until.elementLocated(By.xpath(path)), WAIT_MS, path);
    await this.driver.executeScript('arguments[0].scrollIntoView({block:"center"})', chip);
    await chip.click();
  }

  /** Presses the button whose words begin so. */
  async pressStarting(words: string): Promise<void> {
    const path = `//button[starts-with(normalize-space(.), ${quoted(words)})]`;
    const button = await this.driver.wait(
      until.elementLocated(By.xpath(path)),
      WAIT_MS,
      `no button ${words}…`,
    );
    await button.click();
  }

  /** Opens a folded group of readings. */
  async unfold(title: string): Promise<void> {
    const path = `//h3/button[@aria-expanded="false"][starts-with(normalize-space(.), ${quoted(title)})]`;
    const button = await this.driver.wait(
      until.elementLocated(By.xpath(path)),
      WAIT_MS,
      `no folded ${title}`,
    );
    await button.click();
  }

  /**
   * Presses an entry of an open list or menu until the list is gone: a press that falls while the list is
   * still finding its place does nothing, and a person presses again.
   */
  protected async pressEntry(role: string, begins: string, what: string): Promise<void> {
    const path = By.xpath(
      `//*[@role=${quoted(role)}][starts-with(normalize-space(.), ${quoted(begins)})]`,
    );
    const entries = () => this.driver.findElements(path);
    await this.driver.wait(async () => (await entries()).length > 0, WAIT_MS, what);
    await this.driver.wait(
      async () => {
        const [entry] = await entries();
        if (!entry) return true;
        try {
          await this.driver.executeScript('arguments[0].scrollIntoView({block:"nearest"})', entry);
          await entry.click();
          await this.driver.wait(async () => (await entries()).length === 0, 1500);
          return true;
        } catch {
          return false;
        }
      },
      WAIT_MS,
      `${what}: pressing it did nothing`,
    );
  }

  /** Chooses from the list named `label`. */
  async choose(label: string, option: string): Promise<void> {
    const path = `//*[label[normalize-space(.)=${quoted(label)}] or span[normalize-space(.)=${quoted(label)}]]/button`;
    const trigger = await this.driver.wait(
      until.elementLocated(By.xpath(path)),
      WAIT_MS,
      `no list ${label}`,
    );
    await trigger.click();
    await this.pressEntry('option', option, `${label} offers ${option}`);
  }

  async menu(menu: string, item: string): Promise<void> {
    const trigger = await this.driver.findElement(
      By.xpath(`//button[@aria-label=${quoted(menu)} and @aria-haspopup]`),
    );
    await trigger.click();
    await this.pressEntry('menuitem', item, `${menu} offers ${item}`);
  }

  ring(name: string): Promise<WebElement> {
    return this.find(`[data-ring="${name}"]`);
  }

  async ringWords(name: string): Promise<string> {
    return (await (await this.ring(name)).getAttribute('aria-valuetext')) ?? '';
  }

  /** Drags a ring from one place along it to another, 0..1. */
  async dragRing(name: string, from: number, to: number): Promise<void> {
    const ring = await this.ring(name);
    const { width } = await ring.getRect();
    const at = (place: number) => Math.round((place - 0.5) * (width - 28));
    const steps = Array.from({ length: 8 }, (_, i) => from + ((to - from) * (i + 1)) / 8);
    let actions = this.driver
      .actions({ async: true })
      .move({ origin: ring, x: at(from) })
      .press();
    for (const place of steps) actions = actions.move({ origin: ring, x: at(place), duration: 20 });
    await actions.release().perform();
  }

  async typeRing(name: string, text: string): Promise<void> {
    const field = await this.driver.findElement(
      By.xpath(`//label[normalize-space(.)=${quoted(name)}]/following-sibling::input`),
    );
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), text, Key.ENTER);
  }

  keys(...keys: string[]): Promise<void> {
    return this.driver
      .actions({ async: true })
      .sendKeys(...keys)
      .perform();
  }

  /** A letter with Control held, Shift too if asked. */
  async control(letter: string, shift = false): Promise<void> {
    let actions = this.driver.actions({ async: true }).keyDown(Key.CONTROL);
    if (shift) actions = actions.keyDown(Key.SHIFT);
    actions = actions.sendKeys(letter);
    if (shift) actions = actions.keyUp(Key.SHIFT);
    await actions.keyUp(Key.CONTROL).perform();
  }

  async notice(): Promise<string> {
    return (await this.find('[data-testid="notice"] p')).getText();
  }

  /** Hands files to the page as the file picker would. */
  async giveFile(path: string, label = 'Workspace file'): Promise<void> {
    await (await this.find(`input[type="file"][aria-label="${label}"]`)).sendKeys(path);
  }

  /** The next finished download. */
  async download(ending = '.json'): Promise<{ path: string; text: string }> {
    let name: string | undefined;
    await this.driver.wait(
      () => {
        name = readdirSync(this.downloads).find((f) => f.endsWith(ending));
        return name !== undefined && existsSync(join(this.downloads, name));
      },
      WAIT_MS,
      'nothing was downloaded',
    );
    const path = join(this.downloads, name ?? '');
    return { path, text: readFileSync(path, 'utf8') };
  }

  /** Everything in the database but backups, which come by the clock, as text to compare before and after. */
  async stored(): Promise<string> {
    return this.driver.executeAsyncScript<string>(`
      const done = arguments[arguments.length - 1];
      const open = indexedDB.open('wandering-halo');
      open.onsuccess = async () => {
        const db = open.result;
        const out = {};
        for (const name of [...db.objectStoreNames].sort()) {
          if (name === 'backups' || name === 'backupTexts') continue;
          out[name] = await new Promise((r) => {
            const all = db.transaction(name).objectStore(name).getAll();
            all.onsuccess = () => r(all.result);
          });
        }
        db.close();
        done(JSON.stringify(out));
      };`);
  }

  /** Errors the browser logged since the last call. */
  async complaints(): Promise<string[]> {
    const entries = await this.driver.manage().logs().get('browser');
    return entries.filter((e) => e.level.name === 'SEVERE').map((e) => e.message);
  }

  async expectQuiet(): Promise<void> {
    expect(await this.complaints()).toEqual([]);
  }
}
