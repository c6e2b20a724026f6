import { writeFileSync } from 'node:fs';
import type { WebDriver, WebElement } from 'selenium-webdriver';
import { giveBack, takeBrowser } from './browserPool';
import {
  AS_IT_STANDS,
  COMES_IN_SIGHT,
  COMES_TO_SAY,
  FIELD_HOLDS,
  GO_ON,
  STILL,
  TAKE_FIELD,
  WITHIN_REACH,
} from './pageScripts';

/** A window size. */
export interface Size {
  readonly name: 'phone' | 'wide';
  readonly width: number;
  readonly height: number;
}

/** A phone held upright. */
export const PHONE: Size = { name: 'phone', width: 390, height: 844 };
/** A laptop on a desk. */
export const WIDE: Size = { name: 'wide', width: 1280, height: 800 };

/** Of how many pixels a page’s own is made: most tests look at no picture, and painting is a tenth of what a page costs. */
const COARSE = 0.25;
/** A pixel for each. */
export const FINE = 1;

/** How long anything may take to appear, ms. */
const PATIENCE_MS = 30_000;
/** How often a page that was left, or a condition of a test, is asked again, ms. */
const POLL_MS = 40;
/** How long the page looks by itself before it is asked anew, ms. */
const PAGE_PATIENCE_MS = 5000;
/** A browser with the application in it. */
export class Visitor {
  readonly driver: WebDriver;
  readonly base: string;
  /** The cookie of whoever is signed in, as a request carries it. */
  session: string | undefined;

  private size: Size;
  private readonly scale: number;

  private constructor(driver: WebDriver, base: string, size: Size, scale: number) {
    this.driver = driver;
    this.base = base;
    this.size = size;
    this.scale = scale;
  }

  /** Opens a fresh browser of a size; `close` gives it back. */
  static async open(base: string, size: Size, scale = COARSE): Promise<Visitor> {
    const visitor = new Visitor(await takeBrowser(), base, size, scale);
    await visitor.resize(size);
    return visitor;
  }

  /** Gives the window a size; a phone's is narrower than a window can be made otherwise. */
  async resize(size: Size, scale = this.scale): Promise<void> {
    this.size = size;
    await this.command('Emulation.setDeviceMetricsOverride', {
      width: size.width,
      height: size.height,
      deviceScaleFactor: scale,
      mobile: size.name === 'phone',
    });
  }

  /** Sends a command of the browser's own debugging protocol. */
  async command(name: string, params: object): Promise<void> {
    await (
      this.driver as WebDriver & {
        sendDevToolsCommand(name: string, params: object): Promise<void>;
      }
    ).sendDevToolsCommand(name, params);
  }

  /** Goes to a path of the application. */
  async go(to: string): Promise<void> {
    await this.driver.get(`${this.base}${to}`);
  }

  /** Goes to a path as a link within the application does; where it is not open yet, it is loaded. */
  async jump(to: string): Promise<void> {
    const here = await this.driver.getCurrentUrl();
    if (!here.startsWith(`${this.base}/`)) return this.go(to);
    await this.driver.executeAsyncScript(GO_ON, to);
  }

  /** Waits until the address says so: it follows what is drawn. */
  async at(path: string): Promise<void> {
    await this.until(`the address is ${path}`, async () =>
      (await this.driver.getCurrentUrl()).startsWith(`${this.base}${path}`),
    );
  }

  /** The element of a test id, once it is there and in sight. */
  see(id: string): Promise<WebElement> {
    return this.settle(id, `${id} is not to be seen`, async () => {
      const found = await this.inPage<WebElement | null>(COMES_IN_SIGHT, id);
      return found ?? undefined;
    });
  }

  /** Tries something until it gives a result; what is redrawn meanwhile is looked up again, and told of if it never ends. */
  private async settle<T>(
    id: string,
    complaint: string,
    work: () => Promise<T | undefined>,
  ): Promise<T> {
    let result: T | undefined;
    let passing = '';
    const attempt = async (): Promise<boolean> => {
      try {
        result = await work();
      } catch (error) {
        if (!(error instanceof Error && PASSING.includes(error.name))) throw error;
        passing = `; at last: ${error.message}`;
      }
      return result !== undefined;
    };
    await this.driver
      .wait(attempt, PATIENCE_MS, complaint, POLL_MS)
      .catch(async (cause: unknown) => {
        const message = cause instanceof Error ? cause.message : String(cause);
        const stands = await this.driver.executeScript<string>(AS_IT_STANDS, id);
        throw new Error(`${message}${stands}${passing}`, { cause });
      });
    return result as T;
  }

  /** Whether a test id is on the page now. */
  async has(id: string): Promise<boolean> {
    return this.driver.executeScript<boolean>(
      `return document.querySelector('[data-testid="${id}"]') !== null`,
    );
  }

  /**
   * Touches the element of a test id where it lies, as soon as nothing lies over it. The press is the browser's own input, in a
   * fifth of the driver's time.
   */
  async touch(id: string): Promise<void> {
    await this.settle(id, `${id} could not be touched`, async () => {
      const at = await this.inPage<{ x: number; y: number } | null>(WITHIN_REACH, id);
      if (at === null) return undefined;
      for (const type of ['mousePressed', 'mouseReleased'])
        await this.command('Input.dispatchMouseEvent', {
          type,
          ...at,
          button: 'left',
          clickCount: 1,
        });
      return (await this.driver.executeScript<boolean>('return window.touched !== false'))
        ? true
        : undefined;
    });
  }

  /** The text of a test id. */
  text(id: string): Promise<string> {
    return this.textIs(id, /^/);
  }

  /** Waits until the text of a test id fits. */
  textIs(id: string, wanted: RegExp): Promise<string> {
    return this.settle(
      id,
      `${id} should match ${String(wanted)}`,
      async () =>
        (await this.inPage<string | null>(COMES_TO_SAY, id, wanted.source, wanted.flags)) ??
        undefined,
    );
  }

  /** Asks the page for what it looks for by itself. */
  private inPage<Answer>(script: string, ...asked: readonly string[]): Promise<Answer> {
    return this.driver.executeAsyncScript<Answer>(script, ...asked, PAGE_PATIENCE_MS);
  }

  /** Types into the field of a test id, replacing what is there; one that changes under the keys is typed into again. */
  async type(id: string, text: string): Promise<void> {
    await this.settle(id, `${id} does not take what is typed`, async () => {
      await this.touch(id);
      if ((await this.driver.executeScript(TAKE_FIELD, id)) === null) return undefined;
      await this.command('Input.insertText', { text });
      return (await this.driver.executeScript(FIELD_HOLDS, id)) === text ? true : undefined;
    });
  }

  /** The same key by key, as a person types. */
  async typeKeys(id: string, text: string): Promise<void> {
    await this.touch(id);
    // Select all, then overwrite: clear() alone does not tell React.
    await (await this.see(id)).sendKeys('\uE009a\uE000', text);
  }

  /** Waits until a condition holds. */
  async until(what: string, condition: () => Promise<boolean>): Promise<void> {
    await this.driver.wait(condition, PATIENCE_MS, `waited in vain: ${what}`, POLL_MS);
  }

  /** Cuts or mends this browser's network. */
  async offline(cut: boolean): Promise<void> {
    await this.command('Network.enable', {});
    await this.command('Network.emulateNetworkConditions', {
      offline: cut,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1,
    });
  }

  /** Scrolls everything back to the top. */
  async top(): Promise<void> {
    await this.driver.executeScript(
      'for (const one of document.querySelectorAll("*")) if (one.scrollTop > 0) one.scrollTop = 0',
    );
  }

  /** Scrolls an element to the upper edge. */
  async show(id: string): Promise<void> {
    const element = await this.see(id);
    await this.driver.executeScript('arguments[0].scrollIntoView({ block: "start" })', element);
  }

  /** Saves what is on the screen as a PNG, once nothing on it moves any more: a label that slides aside is in nobody's way then. */
  async picture(file: string): Promise<void> {
    await this.resize(this.size, FINE);
    await this.driver.executeAsyncScript(STILL);
    writeFileSync(file, Buffer.from(await this.driver.takeScreenshot(), 'base64'));
    await this.resize(this.size);
  }

  /** Closes the browser. */
  async close(): Promise<void> {
    await giveBack(this.driver, this.base);
  }
}

/** Errors of an element that was redrawn, or of a page that was left, under the finger. */
const PASSING = ['StaleElementReferenceError', 'JavascriptError'];
