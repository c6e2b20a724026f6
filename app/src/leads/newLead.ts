import type { FeedInput, FeedRole } from '@lucky-thread/contract';
import { isSpeakerLead } from '@lucky-thread/core/identify';
import { SPEAKER_PLACES } from '@lucky-thread/core/vehicle';
import { v7 as uuidv7 } from 'uuid';
import { roleName } from './roleName';

/** A lead of a role to begin with, with an id of its own. */
export function newLead(role: FeedRole): FeedInput {
  return { id: newId('feed'), name: roleName(role), role, currentA: 1 };
}

/** A lead with another role; a speaker's alone says which speaker it drives. */
export function withRole(lead: FeedInput, role: FeedRole): FeedInput {
  const { speaker = SPEAKER_PLACES[0], ...rest } = lead;
  return isSpeakerLead(role) ? { ...rest, role, speaker, direction: 'out' } : { ...rest, role };
}

/** An id within a device. */
export function newId(of: 'feed' | 'option'): string {
  // The short end of a UUID is its random part.
  return `${of}-${uuidv7().slice(-8)}`;
}
