import type { Visitor } from './browser';

/** Asks and tells the server by itself, as whoever is signed in in a browser. */
export class Sender {
  private constructor(
    private readonly base: string,
    private readonly cookie: string,
  ) {}

  /** @throws Error when nobody is signed in. */
  static of(visitor: Visitor): Sender {
    if (visitor.session === undefined) throw new Error('nobody is signed in');
    return new Sender(visitor.base, visitor.session);
  }

  get<Answer>(path: string): Promise<Answer> {
    return this.send<Answer>('GET', path);
  }

  put<Answer>(path: string, body: object): Promise<Answer> {
    return this.send<Answer>('PUT', path, body);
  }

  private async send<Answer>(method: string, path: string, body?: object): Promise<Answer> {
    const response = await fetch(`${this.base}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', cookie: this.cookie },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const answer = await response.text();
    if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${answer}`);
    return JSON.parse(answer) as Answer;
  }
}
