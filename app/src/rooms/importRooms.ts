import type * as rooms from './rooms';

/** All rooms. */
export type Rooms = typeof rooms;

/** Fetches the rooms’ code from the server. */
export function importRooms(): Promise<Rooms> {
  return import('./rooms');
}
