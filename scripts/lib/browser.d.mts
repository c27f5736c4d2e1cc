import type { WebDriver } from 'selenium-webdriver';

export function openBrowser(): Promise<{ driver: WebDriver; downloads: string }>;
export function setSize(driver: WebDriver, width: number, height: number): Promise<void>;
