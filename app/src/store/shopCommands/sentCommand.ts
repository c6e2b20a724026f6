/** A request as it goes out. */
export interface SentCommand {
  readonly method: 'PUT' | 'POST' | 'DELETE';
  readonly path: string;
  readonly body?: object;
}
