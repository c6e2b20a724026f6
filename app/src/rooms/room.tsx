import type { ComponentType } from 'react';
import { createElement, useEffect, useState } from 'react';
import { Failed, Loading } from '../ui/States';
import type { Rooms } from './importRooms';
import { importRooms } from './importRooms';

let fetched: Rooms | undefined;

/** Fetches all rooms; one that has been entered stays at hand. */
export async function fetchRooms(): Promise<Rooms> {
  return (fetched ??= await importRooms());
}

/** A room by what it is called among them: what they are made of is fetched with the first that is entered. */
export function room(pick: (rooms: Rooms) => ComponentType): ComponentType {
  return function InRoom() {
    const [rooms, setRooms] = useState(fetched);
    const [failed, setFailed] = useState(false);
    const isTrying = rooms === undefined && !failed;
    useEffect(() => {
      if (!isTrying) return;
      fetchRooms().then(
        (them) => setRooms(them),
        () => setFailed(true),
      );
    }, [isTrying]);
    if (failed) return <Failed what="This screen" onRetry={() => setFailed(false)} />;
    if (rooms === undefined) return <Loading what="the screen" />;
    return createElement(pick(rooms));
  };
}
