import type { JobView } from '@lucky-thread/contract';
import type { Guide } from '@lucky-thread/core/build';

/** Begins what is noted on a job of the guide that lay in the device's box. */
const GUIDE = 'guide:';
/** Between version and date. */
const DATED = '@';
/** Longest version and date that fit, characters. */
export const LONGEST_GUIDE = { version: 24, dated: 20 } as const;

/** Whether something noted on a job is its guide. */
export function isGuide({ item }: Pick<JobView['closing'][number], 'item'>): boolean {
  return item.startsWith(GUIDE);
}

/** The guide that was in the box, as it was noted on a job; undefined while nobody has looked. */
export function guideInBox({ closing }: Pick<JobView, 'closing'>): Guide | undefined {
  const noted = closing.filter(isGuide).at(-1);
  if (noted === undefined) return undefined;
  const [version = '', dated] = noted.item.slice(GUIDE.length).split(DATED);
  return { version: shown(version), dated: dated === undefined ? undefined : shown(dated) };
}

/** What notes a guide on a job: its item, and those that it takes the place of. */
export function notedGuide(
  { closing }: Pick<JobView, 'closing'>,
  { version, dated }: Guide,
): { readonly item: string; readonly before: readonly string[] } {
  const date = dated === undefined || dated.trim() === '' ? '' : DATED + kept(dated);
  const item = GUIDE + kept(version) + date;
  const before = closing.filter(isGuide).map((one) => one.item);
  return { item, before: before.filter((one) => one !== item) };
}

/** As part of an address: neither blanks nor what has a meaning there. */
function kept(text: string): string {
  return text.replace(/[\s/@_\p{C}]+/gu, '_').replace(/^_|_$/g, '');
}

function shown(text: string): string {
  return text.replaceAll('_', ' ');
}
