import type { OutboxItem } from './outboxSlice';
import { isOwn } from './outboxSlice';

/** What is to be said about entries that the server does not have; undefined when there is nothing. */
export function outboxSentence(
  items: readonly OutboxItem[],
  userId: string | undefined,
): string | undefined {
  const own = items.filter((item) => isOwn(item, userId));
  const unsaved = own.filter((item) => item.status === 'unsaved');
  const kept = unsaved.filter((item) => item.adrift !== true).length;
  const adrift = own.filter((item) => item.adrift === true && item.status !== 'refused').length;
  const others = items.length - own.length;
  const why = unsaved.find((item) => item.problem !== undefined)?.problem;
  const them = adrift === 1 ? 'it' : 'them';
  const sentences = [
    ...(kept > 0 ? [`${entries(kept)} not saved yet: kept on this device and retried.`] : []),
    ...(adrift > 0
      ? [
          `${entries(adrift)} not saved yet, and this device has no room to keep ${them}: leave this page open until the server has ${them}.`,
        ]
      : []),
    ...(why === undefined ? [] : [`The server says: ${why}`]),
    ...(others > 0
      ? [`${entries(others)} somebody else’s: sent when they sign in on this device.`]
      : []),
  ];
  return sentences.length === 0 ? undefined : sentences.join(' ');
}

function entries(count: number): string {
  return count === 1 ? '1 entry is' : `${count} entries are`;
}
