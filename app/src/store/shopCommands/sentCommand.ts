/** A request as it goes out. */
export interface SentCommand {
  /** HTTP method. */
  readonly method: 'PUT' | 'POST' | 'DELETE';
  /** Address below `/api`. */
  readonly path: string;
  /** What is sent as JSON. */
  readonly body?: object;
}
