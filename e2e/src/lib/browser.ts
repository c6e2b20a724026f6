import { writeFileSync } from 'node:fs';
import { By } from 'selenium-webdriver';
import type { WebDriver, WebElement } from 'selenium-webdriver';
import { giveBack, takeBrowser } from './browserPool';

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

/** How long anything may take to appear, ms. */
const PATIENCE_MS = 30_000;
/** How often it is looked for, ms. */
const POLL_MS = 40;
/** Brings an element into the middle of the sight and waits until it stays where it is, a second at the most. */
const TO_REST = `
  const [element, done] = arguments;
  element.scrollIntoView({ block: "center", inline: "center" });
  let before = "";
  let left = 60;
  const look = () => {
    const { x, y } = element.getBoundingClientRect();
    const now = x + " " + y;
    left -= 1;
    if (now === before || left === 0) return done();
    before = now;
    requestAnimationFrame(look);
  };
  look();`;

/** A browser with the application in it. */
export class Visitor {
  readonly driver: WebDriver;
  readonly base: string;

  private constructor(driver: WebDriver, base: string) {
    this.driver = driver;
    this.base = base;
  }

  /** Opens a fresh browser of a size; `close` gives it back. */
  static async open(base: string, size: Size): Promise<Visitor> {
    const visitor = new Visitor(await takeBrowser(), base);
    await visitor.resize(size);
    return visitor;
  }

  /** Gives the window a size; a phone's is narrower than a window can be made otherwise. */
  async resize(size: Size): Promise<void> {
    await this.command('Emulation.setDeviceMetricsOverride', {
      width: size.width,
      height: size.height,
      deviceScaleFactor: 1,
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
    await this.driver.executeScript(
      'history.pushState({}, "", arguments[0]); dispatchEvent(new PopStateEvent("popstate", { state: {} }))',
      to,
    );
  }

  /** The element of a test id, once it is there and in sight. */
  see(id: string): Promise<WebElement> {
    return this.settle(`${id} is not to be seen`, async () => {
      const [element] = await this.driver.findElements(byId(id));
      return element !== undefined && (await element.isDisplayed()) ? element : undefined;
    });
  }

  /** Tries something until it gives a result; what is redrawn meanwhile is looked up again. */
  private async settle<T>(complaint: string, work: () => Promise<T | undefined>): Promise<T> {
    let result: T | undefined;
    await this.driver.wait(
      async () => {
        try {
          result = await work();
        } catch (error) {
          if (!(error instanceof Error && PASSING.includes(error.name))) throw error;
        }
        return result !== undefined;
      },
      PATIENCE_MS,
      complaint,
      POLL_MS,
    );
    return result as T;
  }

  /** Whether a test id is on the page now. */
  async has(id: string): Promise<boolean> {
    return (await this.driver.findElements(byId(id))).length > 0;
  }

  /** Touches the element of a test id; one that is replaced while it is touched is looked up again. */
  async touch(id: string): Promise<void> {
    await this.settle(`${id} could not be touched`, async () => {
      const element = await this.see(id);
      await this.driver.executeAsyncScript(TO_REST, element);
      await element.click();
      return true;
    });
  }

  /** The text of a test id. */
  text(id: string): Promise<string> {
    return this.settle(`${id} has no text`, async () => (await this.see(id)).getText());
  }

  /** Waits until the text of a test id fits. */
  async textIs(id: string, wanted: RegExp): Promise<string> {
    let last = '';
    await this.driver
      .wait(
        async () => {
          const found = await this.driver.findElements(byId(id));
          if (found[0] === undefined) return false;
          last = await found[0].getText().catch(() => '');
          return wanted.test(last);
        },
        PATIENCE_MS,
        undefined,
        POLL_MS,
      )
      .catch(() => {
        throw new Error(`${id} should match ${String(wanted)}, it is “${last}”`);
      });
    return last;
  }

  /** Types into the field of a test id, replacing what is there. */
  async type(id: string, text: string): Promise<void> {
    const field = await this.see(id);
    await field.click();
    // Select all, then overwrite: clear() alone does not tell React.
    await field.sendKeys('\uE009a\uE000', text);
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
    await this.driver.executeAsyncScript(STILL);
    writeFileSync(file, Buffer.from(await this.driver.takeScreenshot(), 'base64'));
  }

  /** Closes the browser. */
  async close(): Promise<void> {
    await giveBack(this.driver, this.base);
  }
}

/** Answers when nothing on the page has changed for some frames; a clock that runs on is waited for only so long. */
const STILL = `
  const done = arguments[arguments.length - 1];
  let [quiet, left] = [0, 180];
  const watch = new MutationObserver(() => { quiet = 0; });
  watch.observe(document.body, { attributes: true, childList: true, characterData: true, subtree: true });
  const look = () => {
    quiet += 1;
    left -= 1;
    if (quiet < 20 && left > 0) return requestAnimationFrame(look);
    watch.disconnect();
    done();
  };
  requestAnimationFrame(look);`;

/** Errors of an element that was moved or redrawn under the finger. */
const PASSING = [
  'StaleElementReferenceError',
  'ElementClickInterceptedError',
  'ElementNotInteractableError',
];

function byId(id: string): By {
  return By.css(`[data-testid="${id}"]`);
}
