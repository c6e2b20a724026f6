import type { FeedInput, FeedRole } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import { roleName } from './roleName';

/** A lead of a role to begin with, with an id of its own. */
export function newLead(role: FeedRole): FeedInput {
  return { id: newId('feed'), name: roleName(role), role, currentA: 1 };
}

/** An id within a device. */
export function newId(of: 'feed' | 'option'): string {
  // The short end of a UUID is its random part.
  return `${of}-${uuidv7().slice(-8)}`;
}
