import { writeFileSync } from 'node:fs';
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
/** How often a page that was left, or a condition of a test, is asked again, ms. */
const POLL_MS = 40;
/** How long the page looks by itself before it is asked anew, ms. */
const PAGE_PATIENCE_MS = 5000;
/** How often the page looks for it, ms. The driver’s own ways to ask send a library each time, and a wait would ask all the while. */
const LOOK_MS = 40;

/** What the page’s scripts know: what is to be seen of a test id, and to look again until something is there. */
export const SIGHT = `
  const seen = (id) => {
    const element = document.querySelector('[data-testid="' + id + '"]');
    const shown = element?.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && element.getClientRects().length > 0;
    return shown ? element : null;
  };
  // What is scrolled away is not laid out, so that the browser itself would say that it has no text.
  const words = (node) => {
    if (node.nodeType === Node.TEXT_NODE) return node.data;
    if (node.nodeType !== Node.ELEMENT_NODE) return "";
    const { display } = getComputedStyle(node);
    if (display === "none") return "";
    const text = [...node.childNodes].map(words).join("");
    return display === "inline" ? text : "\\n" + text + "\\n";
  };
  const said = (element) => words(element).replace(/\\s*\\n\\s*/g, "\\n").trim();
  const look = (patience, find, done) => {
    const end = performance.now() + patience;
    const again = (waited) => {
      const found = find();
      if (found !== null || performance.now() > end) return done(found, waited);
      setTimeout(() => again(true), ${LOOK_MS});
    };
    again(false);
  };`;

/** Answers the element of a test id once it is in sight; null where it does not come. */
const COMES_IN_SIGHT = `
  const [id, patience, done] = arguments;
  ${SIGHT}
  look(patience, () => seen(id), (element) => done(element));`;

/** Goes to a path once the address stands still: the page tells its own way a little after the screen is drawn, and would go back to it. */
const GO_ON = `
  const [to, done] = arguments;
  let [before, still] = ["", 0];
  const look = () => {
    still = location.href === before ? still + 1 : 0;
    before = location.href;
    if (still < 6) return setTimeout(look, ${LOOK_MS});
    history.pushState({}, "", to);
    dispatchEvent(new PopStateEvent("popstate", { state: {} }));
    done();
  };
  look();`;

/** Answers what there is of a test id and what hides it, in words. */
const AS_IT_STANDS = `
  const all = [...document.querySelectorAll('[data-testid="' + arguments[0] + '"]')];
  const hides = (one) => {
    const { display, visibility, opacity } = getComputedStyle(one);
    return display === "none" || visibility !== "visible" || opacity === "0" ? [display, visibility, opacity].join(" ") : "";
  };
  const way = (one) => one === null ? [] : [one, ...way(one.parentElement)];
  const words = all.map((element) => {
    const hidden = way(element).filter((one) => hides(one) !== "").map((one) => one.outerHTML.slice(0, 200) + " is " + hides(one));
    const { x, y, width, height } = element.getBoundingClientRect();
    return "“" + element.textContent + "” at " + [x, y, width, height].map(Math.round).join(" ") + (hidden.length > 0 ? ", hidden: " + hidden.join(", ") : "");
  });
  const where = " at " + location.pathname;
  return words.length === 0 ? "; nothing of it is there" + where : "; there is " + words.join(" and ") + where;`;

/** Answers what an element of a test id says once that fits a pattern; null where it does not. */
const COMES_TO_SAY = `
  const [id, pattern, flags, patience, done] = arguments;
  ${SIGHT}
  const wanted = new RegExp(pattern, flags);
  look(patience, () => {
    const element = seen(id);
    if (element === null) return null;
    const text = said(element);
    return wanted.test(text) ? text : null;
  }, (text) => done(text));`;

/**
 * Brings the element of a test id into the middle of the sight, waits until it stays where it is (a second at the most), and
 * answers where its middle is; null where it is not to be seen or something lies over it. From then on the page knows whether a
 * click has come to it: none does where it moves away between press and release.
 */
const WITHIN_REACH = `
  const [id, patience, done] = arguments;
  ${SIGHT}
  const settle = (element, waited) => {
    if (element === null) return done(null);
    element.scrollIntoView({ block: "center", inline: "center" });
    let [before, stays, left] = ["", 0, 60];
    const still = () => {
      const { x, y, width, height } = element.getBoundingClientRect();
      const now = x + " " + y;
      left -= 1;
      stays = now === before ? stays + 1 : 0;
      before = now;
      // What has only just come may still be moved by what comes with it.
      if (stays < (waited ? 6 : 1) && left > 0) return requestAnimationFrame(still);
      const middle = { x: x + width / 2, y: y + height / 2 };
      const met = document.elementFromPoint(middle.x, middle.y);
      if (met === null || !(element === met || element.contains(met))) return done(null);
      window.touched = false;
      // One that was drawn anew meanwhile goes by the same name.
      const heard = (event) => { window.touched ||= event.composedPath().some((one) => one.dataset?.testid === id); };
      document.addEventListener("click", heard, { capture: true, once: true });
      done(middle);
    };
    still();
  };
  look(patience, () => seen(id), settle);`;

/** Selects what the field of a test id holds, and answers that; null where the keys go elsewhere. */
const TAKE_FIELD = `
  const field = document.activeElement;
  if (field?.dataset.testid !== arguments[0]) return null;
  field.select();
  return field.value;`;

/** A browser with the application in it. */
export class Visitor {
  readonly driver: WebDriver;
  readonly base: string;
  /** The cookie of whoever is signed in, as a request carries it. */
  session: string | undefined;

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
      return (await this.driver.executeScript(TAKE_FIELD, id)) === text ? true : undefined;
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

/** Errors of an element that was redrawn, or of a page that was left, under the finger. */
const PASSING = ['StaleElementReferenceError', 'JavascriptError'];
