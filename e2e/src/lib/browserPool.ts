import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Browser, Builder } from 'selenium-webdriver';
import type { WebDriver } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome';

/** Without a window; it opens in a fifth of the time. */
const PROGRAM = fileURLToPath(new URL('../../bin/headless-shell', import.meta.url));

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--hide-scrollbars',
  // Nothing is to be seen of ripples and fades; a test only waits for them.
  '--force-prefers-reduced-motion',
  // A page lives for a minute: what the last compiler gains it costs twice.
  '--js-flags=--no-turbofan --no-concurrent-sparkplug --no-flush-bytecode',
  '--in-process-gpu',
];

/** A running browser. */
interface Running {
  readonly driver: WebDriver;
  readonly profile: string;
}

/** Browsers that nobody uses: they keep the compiled application, so that the next one loads it in half the time. */
const idle: Running[] = [];
const inUse: Running[] = [];

/** A browser with nothing in it of whoever used it before. */
export async function takeBrowser(): Promise<WebDriver> {
  const running = idle.pop() ?? (await start());
  inUse.push(running);
  return running.driver;
}

/** Gives a browser back: what an address stored in it is wiped, and its tab is another one from then on. */
export async function giveBack(driver: WebDriver, base: string): Promise<void> {
  const running = inUse.find((one) => one.driver === driver);
  // After the last test every browser has been ended already.
  if (running === undefined) return;
  inUse.splice(inUse.indexOf(running), 1);
  try {
    await wipe(driver, base);
    idle.push(running);
  } catch (error) {
    await end(running);
    throw error;
  }
}

/** Ends every browser; after the last test of a file. */
export async function endBrowsers(): Promise<void> {
  await Promise.all([...inUse.splice(0), ...idle.splice(0)].map(end));
}

async function start(): Promise<Running> {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-browser-'));
  const options = new chrome.Options();
  options.setBinaryPath(PROGRAM);
  options.addArguments(...FLAGS, `--user-data-dir=${profile}`);
  const driver = await new Builder()
    .forBrowser(Browser.CHROME)
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder('/usr/bin/chromedriver'))
    .build();
  return { driver, profile };
}

/** What was set up for the old tab, such as its size or a cut network, goes with it. */
async function wipe(driver: WebDriver, base: string): Promise<void> {
  const old = await driver.getAllWindowHandles();
  await driver.switchTo().newWindow('tab');
  const fresh = await driver.getWindowHandle();
  for (const handle of old) {
    await driver.switchTo().window(handle);
    await driver.close();
  }
  await driver.switchTo().window(fresh);
  const devTools = driver as WebDriver & {
    sendDevToolsCommand(name: string, params: object): Promise<void>;
  };
  await devTools.sendDevToolsCommand('Network.clearBrowserCookies', {});
  await devTools.sendDevToolsCommand('Storage.clearDataForOrigin', {
    origin: base,
    storageTypes: 'all',
  });
}

async function end({ driver, profile }: Running): Promise<void> {
  await driver.quit();
  rmSync(profile, { recursive: true, force: true });
}
