import { useEffect, useRef, useState } from 'react';
import type { MeterLink, MeterSocket, NetworkMeter } from './networkMeter';
import { networkMeter } from './networkMeter';

/** The networked meter of a job, and how its connection stands; let go of when the screen is left. */
export function useNetworkMeter(jobId: string): {
  readonly meter: () => NetworkMeter;
  readonly link: MeterLink;
} {
  const [link, setLink] = useState<MeterLink>('closed');
  const held = useRef<NetworkMeter | undefined>(undefined);
  useEffect(
    () => () => {
      held.current?.close();
      held.current = undefined;
    },
    [jobId],
  );
  return {
    link,
    meter: () => (held.current ??= networkMeter(() => openSocket(jobId), setLink)),
  };
}

function openSocket(jobId: string): MeterSocket {
  const { protocol, host } = window.location;
  const scheme = protocol === 'https:' ? 'wss' : 'ws';
  return new WebSocket(`${scheme}://${host}/api/jobs/${jobId}/meter`) as unknown as MeterSocket;
}
