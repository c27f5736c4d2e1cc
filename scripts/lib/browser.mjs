/** Headless Chromium as the tests, the pictures and the bench drive it. */
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';

const FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--enable-unsafe-swiftshader',
  '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost, EXCLUDE *.localhost',
  '--window-size=1280,800',
];

/** A new browser, with a profile of its own unless one is given; answers the driver and where its downloads land. */
export async function openBrowser(profile = mkdtempSync(join(tmpdir(), 'halo-profile-'))) {
  const downloads = mkdtempSync(join(tmpdir(), 'halo-downloads-'));
  const options = new chrome.Options();
  options.setChromeBinaryPath('/usr/bin/chromium');
  options.addArguments(...FLAGS, `--user-data-dir=${profile}`);
  options.setUserPreferences({ 'download.default_directory': downloads });
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder('/usr/bin/chromedriver'))
    .build();
  await setSize(driver, 1280, 800);
  return { driver, downloads };
}

/** The page's size exactly, px. */
export const setSize = (driver, width, height) =>
  driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width,
    height,
    deviceScaleFactor: 1,
    mobile: false,
  });
