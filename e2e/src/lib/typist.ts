import type { Visitor } from './browser';

/** Somebody who types five keys a second and takes 0.6 s a touch; what the app itself takes is added. */
export class Typist {
  /** A touch, s. */
  static readonly TOUCH_S = 0.6;
  private static readonly KEYS_PER_S = 5;
  /** So many letters go to the page key by key. */
  private static readonly BY_KEY = 40;
  private readonly visitor: Visitor;
  private seconds = 0;
  /** Touches so far; going into a field to type is one. */
  touches = 0;
  private readonly began = Date.now();

  constructor(visitor: Visitor) {
    this.visitor = visitor;
  }

  async type(field: string, text: string): Promise<void> {
    await this.touch(field);
    await this.visitor.typeKeys(field, text.slice(0, Typist.BY_KEY));
    // All of it counts as keys; the page gets the rest at once.
    if (text.length > Typist.BY_KEY)
      await this.visitor.command('Input.insertText', { text: text.slice(Typist.BY_KEY) });
    this.add(text.length / Typist.KEYS_PER_S);
  }

  async touch(what: string): Promise<void> {
    await this.visitor.touch(what);
    this.touches += 1;
    this.add(Typist.TOUCH_S);
  }

  /** Something a person does that is done otherwise here, s. */
  add(seconds: number): void {
    this.seconds += seconds;
  }

  /** Seconds so far, the driver's own and the app's included. */
  total(): number {
    return this.seconds + (Date.now() - this.began) / 1000;
  }
}
