import type { WebDriver } from 'selenium-webdriver';

export function openBrowser(profile?: string): Promise<{ driver: WebDriver; downloads: string }>;
export function setSize(driver: WebDriver, width: number, height: number): Promise<void>;
/** All an origin keeps in this browser is gone: databases, settings, caches. */
export function emptyStorage(driver: WebDriver, origin: string): Promise<void>;
