import type { WebSocket } from 'ws';

/** Connections that one person may hold: a phone, a desk, and some that nobody closed. */
export const MOST_PER_USER = 8;
/** Time between two looks whether the other end is still there, ms. */
const PING_MS = 30_000;

/** Who holds a connection. */
export interface Holder {
  /** Who opened it. */
  readonly userId: string;
  /** The session that it was opened with; it ends with it. */
  readonly sessionId: string;
  /** Whether the session that opened it still stands. */
  readonly stands: () => Promise<boolean>;
}

/** The meter's open connections: few per person, looked after, ended with their session. */
export interface MeterConnections {
  /** Whether a person may open one more. */
  readonly hasRoom: (userId: string) => boolean;
  /** Keeps count of an open connection until it closes. */
  readonly add: (connection: WebSocket, holder: Holder) => void;
  /** Ends what was opened in a session. */
  readonly endSession: (sessionId: string) => void;
  /** Looks after all once: what does not answer, or whose session ended, is dropped. */
  readonly lookAfter: () => Promise<void>;
  /** Drops all, and looks after none any more. */
  readonly close: () => void;
}

/** No connections yet. */
export function newMeterConnections(): MeterConnections {
  const open = new Map<WebSocket, { readonly holder: Holder; answered: boolean }>();
  const lookAfter = async (): Promise<void> => {
    for (const [connection, one] of [...open]) {
      const stands = one.answered && (await stillStands(one.holder));
      if (!stands) connection.terminate();
      else {
        one.answered = false;
        connection.ping();
      }
    }
  };
  const timer = setInterval(() => void lookAfter(), PING_MS);
  timer.unref();
  return {
    hasRoom: (userId) =>
      [...open.values()].filter((one) => one.holder.userId === userId).length < MOST_PER_USER,
    add: (connection, holder) => {
      const one = { holder, answered: true };
      open.set(connection, one);
      connection.on('pong', () => (one.answered = true));
      connection.on('close', () => open.delete(connection));
    },
    endSession: (sessionId) => {
      for (const [connection, one] of open)
        if (one.holder.sessionId === sessionId) connection.terminate();
    },
    lookAfter,
    close: () => {
      clearInterval(timer);
      for (const connection of open.keys()) connection.terminate();
    },
  };
}

/** A database that does not answer right now ends nobody's session. */
async function stillStands(holder: Holder): Promise<boolean> {
  try {
    return await holder.stands();
  } catch {
    return true;
  }
}
