import type { FeedRole } from '@lucky-thread/contract';
import { ROLE_WORDS } from '@lucky-thread/core/identify';

/** What a feed of each role is called. */
export function roleName(role: FeedRole): string {
  return role === 'ground' ? 'Ground' : ROLE_WORDS[role].feed;
}
