import { useCallback, useEffect, useSyncExternalStore } from 'react';
import type { MeterLink, MeterSocket, NetworkMeter } from './networkMeter';
import { networkMeter } from './networkMeter';

/** One job's connection, shared by every pad on the screen. */
interface Line {
  readonly meter: NetworkMeter;
  link: MeterLink;
  users: number;
  readonly listeners: Set<() => void>;
}

const lines = new Map<string, Line>();
/** A line that nobody has used for so long is let go, ms: moving from slot to slot keeps it. */
const IDLE_MS = 2000;

function lineOf(jobId: string): Line {
  const known = lines.get(jobId);
  if (known !== undefined) return known;
  const line: Line = {
    meter: networkMeter(
      () => openSocket(jobId),
      (link) => {
        line.link = link;
        for (const listener of line.listeners) listener();
      },
    ),
    link: 'closed',
    users: 0,
    listeners: new Set(),
  };
  lines.set(jobId, line);
  return line;
}

/** The networked meter of a job, and how its connection stands; let go of when no screen uses it any more. */
export function useNetworkMeter(jobId: string): {
  readonly meter: () => NetworkMeter;
  readonly link: MeterLink;
} {
  useEffect(() => {
    const line = lineOf(jobId);
    line.users += 1;
    return () => {
      line.users -= 1;
      setTimeout(() => {
        if (line.users > 0 || lines.get(jobId) !== line) return;
        lines.delete(jobId);
        line.meter.close();
      }, IDLE_MS);
    };
  }, [jobId]);
  const listen = useCallback(
    (listener: () => void) => {
      const { listeners } = lineOf(jobId);
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    [jobId],
  );
  const link = useSyncExternalStore(listen, () => lines.get(jobId)?.link ?? 'closed');
  const meter = useCallback(() => lineOf(jobId).meter, [jobId]);
  return { link, meter };
}

function openSocket(jobId: string): MeterSocket {
  const { protocol, host } = window.location;
  const scheme = protocol === 'https:' ? 'wss' : 'ws';
  return new WebSocket(`${scheme}://${host}/api/jobs/${jobId}/meter`) as unknown as MeterSocket;
}
