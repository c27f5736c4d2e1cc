/** The Kit as a person works it: by what is written on it. */
import { By, Key, until, type WebElement } from 'selenium-webdriver';
import { BenchPage, WAIT_MS } from './bench';

export class KitPage extends BenchPage {
  async openKit(): Promise<void> {
    await this.open('/kit');
    await this.row('18–35/1.8');
  }

  private at(path: string, what: string): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.xpath(path)), WAIT_MS, what);
  }

  row(name: string): Promise<WebElement> {
    return this.at(`//*[@role="rowheader"][normalize-space(.)="${name}"]`, `no row ${name}`);
  }

  rows(): Promise<string[]> {
    return this.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('[role="rowheader"]')].map((e) => e.textContent)`,
    );
  }

  async openRow(name: string): Promise<void> {
    await (await this.row(name)).click();
  }

  /** The head of a column, which sorts by it; an arrow may stand beside its name. */
  async pressHead(name: string): Promise<void> {
    const path = `//*[@role="columnheader"][starts-with(normalize-space(.), "${name}")]`;
    await (await this.at(path, `no column ${name}`)).click();
  }

  async openTable(name: string): Promise<void> {
    const path = `//nav[@aria-label="Kit"]//button[starts-with(normalize-space(.), "${name}")]`;
    const entry = await this.at(path, `no table ${name}`);
    // On a phone it may lie under the bar above.
    await this.driver.executeScript('arguments[0].scrollIntoView({block:"center"})', entry);
    await entry.click();
  }

  private field(label: string): Promise<WebElement> {
    const path = `//label[starts-with(normalize-space(.), "${label}")]/following-sibling::*[1]`;
    return this.at(path, `no field ${label}`);
  }

  /** The box before something that is there or not. */
  async tick(label: string): Promise<void> {
    const path = `//label[starts-with(normalize-space(.), "${label}")]`;
    await (await this.at(path, `no box ${label}`)).click();
  }

  async type(label: string, text: string, ...last: string[]): Promise<void> {
    const entry = await this.field(label);
    await entry.click();
    await entry.sendKeys(Key.chord(Key.CONTROL, 'a'), text, ...last);
  }

  async shown(label: string): Promise<string> {
    return (await (await this.field(label)).getAttribute('value')) ?? '';
  }

  /** Everything that is said of how things stand. */
  status(): Promise<string> {
    return this.driver.executeScript<string>(
      `return [...document.querySelectorAll('[role="status"]')].map((e) => e.textContent).join(' ')`,
    );
  }

  async inAndOut(item: string): Promise<void> {
    await (await this.find('button[aria-label="In and out"]')).click();
    await this.pressEntry('menuitem', item, `In and out offers ${item}`);
  }

  /** Waits until a row is gone. */
  async gone(name: string): Promise<void> {
    await this.expectSoon(
      () => this.rows(),
      (names) => !names.includes(name),
      `${name} stayed`,
    );
  }
}
