import { api } from './api';
import type { RootState } from './store';

const selectSession = api.endpoints.session.select();

/** Id of whoever is signed in, as far as this device knows. */
export function userIdIn(state: RootState): string | undefined {
  return selectSession(state).data?.user?.id;
}
