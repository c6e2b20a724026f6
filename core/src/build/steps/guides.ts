/** A guide to setting a device up. */
export interface Guide {
  /** Version as it is printed, e.g. "3.2". */
  readonly version: string;
  /** Date as it is printed, e.g. "2025-02"; undefined where none is. */
  readonly dated?: string | undefined;
}

/** How one guide stands to another. */
export type GuideAge = 'same' | 'newer' | 'older' | 'unclear';

/**
 * How the guide in the box stands to the one that a list of steps follows: by their dates where both have one, else by
 * the numbers of their versions; unclear where the two contradict each other or nothing can be compared.
 *
 * @example compareGuides({ version: '3.4', dated: '2026-03' }, { version: '3.2', dated: '2025-02' }) // 'newer'
 */
export function compareGuides(inBox: Guide, listed: Guide): GuideAge {
  const byDate = order(dateParts(inBox.dated), dateParts(listed.dated));
  const byVersion =
    plain(inBox.version) === plain(listed.version)
      ? 0
      : order(versionParts(inBox.version), versionParts(listed.version));
  if (byDate === undefined) return AGES[byVersion ?? NONE];
  if (byVersion === undefined || byVersion === 0) return AGES[byDate];
  // Another version of the same month is another guide: its number says which way.
  if (byDate === 0) return AGES[byVersion];
  return byDate === byVersion ? AGES[byDate] : 'unclear';
}

type Order = -1 | 0 | 1;
const NONE = 'none';
const AGES: Readonly<Record<Order | typeof NONE, GuideAge>> = {
  [-1]: 'older',
  0: 'same',
  1: 'newer',
  [NONE]: 'unclear',
};

/** Compares as many parts as both have; undefined where one has none. */
function order(
  one: readonly number[] | undefined,
  other: readonly number[] | undefined,
): Order | undefined {
  if (one === undefined || other === undefined) return undefined;
  const length = Math.min(one.length, other.length);
  for (let at = 0; at < length; at += 1) {
    const [left = 0, right = 0] = [one[at], other[at]];
    if (left !== right) return left < right ? -1 : 1;
  }
  return 0;
}

/** Year, month and day as far as they are given, year first: ISO 8601, or with dots or strokes between. */
function dateParts(text: string | undefined): number[] | undefined {
  const found = /^\s*(\d{4})(?:[-./](\d{1,2})(?:[-./](\d{1,2}))?)?\s*$/.exec(text ?? '');
  return found?.slice(1).filter(Boolean).map(Number);
}

/** The numbers of a version, e.g. 3 and 2; undefined where it is no row of numbers. */
function versionParts(text: string): number[] | undefined {
  return /^\d+(\.\d+)*$/.test(plain(text)) ? plain(text).split('.').map(Number) : undefined;
}

/** A version without what is only manner: case, blanks, a V before the number. */
function plain(text: string): string {
  return text
    .toLowerCase()
    .replace(/[\s_]+/g, '')
    .replace(/^(version|rev|v)\.?(?=\d)/, '');
}

/** By which guide a list of steps goes, and what the one in the box means for it; undefined while nobody has looked. */
export function guideWords(listed: Guide, inBox: Guide | undefined): string {
  const list = named(listed);
  if (inBox === undefined)
    return `By guide ${list}. The guide in the box goes before this list: another version may want other steps and times.`;
  const box = named(inBox);
  switch (compareGuides(inBox, listed)) {
    case 'same':
      return `By guide ${list}, the one in the box.`;
    case 'newer':
      return `The guide in the box, ${box}, is newer than ${list} that these steps follow: go by the guide, step by step.`;
    case 'older':
      return `The guide in the box, ${box}, is older than ${list} that these steps follow: go by the guide, and ask the maker whether the unit wants the newer one.`;
    case 'unclear':
      return `The guide in the box, ${box}, is another one than ${list} that these steps follow: go by the guide.`;
  }
}

function named({ version, dated }: Guide): string {
  return dated === undefined ? version : `${version} of ${dated}`;
}
