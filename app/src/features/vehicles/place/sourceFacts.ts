import type { Source } from '@lucky-thread/core/vehicle';
import { FUSE_FAMILY_FACTS, describeWireColour, parseWireColour } from '@lucky-thread/core/vehicle';

/** What the terminals of a relay socket are for (DIN 72552 part 2). */
const TERMINALS: Readonly<Record<string, string>> = {
  '30': 'in, from the battery',
  '85': 'coil, to ground',
  '86': 'coil, from the switch',
  '87': 'out, closed while the coil is fed',
  '87a': 'out, closed while it is not',
  '87b': 'second output, closed while the coil is fed',
};

/** What can be said of a source without having read it, one thing at a time. */
export function sourceFacts(source: Source): string[] {
  switch (source.kind) {
    case 'slot':
      return [
        source.ratingA === undefined ? 'no fuse fitted' : `${source.ratingA} A fuse`,
        FUSE_FAMILY_FACTS[source.family].name,
        `contacts: ${source.contacts.map((one) => one.landmark).join(' and ')}`,
        ...(source.clearance === 'clear' ? [] : [CLEARANCE[source.clearance]]),
        ...(source.handbook === undefined
          ? []
          : [`handbook: ${source.handbook ?? 'lists nothing'}`]),
      ];
    case 'cavity':
    case 'wire': {
      const { colour, seenColour, gaugeMm2, gaugeMeasured, tapedWith, alsoFeeds } = source;
      return [
        ...(colour === undefined ? ['colour not told'] : [inWords(colour)]),
        ...(seenColour === undefined ? [] : [`looks ${inWords(seenColour)}`]),
        ...(gaugeMm2 === undefined
          ? []
          : [`${gaugeMeasured === true ? '' : 'about '}${gaugeMm2} mm²`]),
        ...(tapedWith === undefined ? [] : [`taped with ${tapedWith.split('/')[1] ?? tapedWith}`]),
        ...(alsoFeeds === undefined ? [] : [`also feeds ${alsoFeeds}`]),
      ];
    }
    case 'relayTerminal':
      return [TERMINALS[source.terminal] ?? `terminal ${source.terminal}`];
    case 'stud':
    case 'ground':
      return [source.threadMm === undefined ? 'thread not measured' : `M${source.threadMm}`];
  }
}

const CLEARANCE = {
  tight: 'little room under the cover',
  none: 'no room under the cover',
} as const;

/** A colour in words, with the code that it was written as. */
function inWords(code: string): string {
  return `${describeWireColour(parseWireColour(code))} (${code})`;
}
