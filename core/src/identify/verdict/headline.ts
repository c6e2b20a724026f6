import type { LookAlike } from '../circuit/lookAlikes';
import type { CircuitFunction } from '../../vehicle';
import { FUNCTION_NAMES, PLACE_WORDS, STANDING_FUNCTIONS, SWITCHED_FUNCTIONS } from '../../vehicle';
import type { VerdictStatus } from './verdict';

/** A verdict in one line of plain words. */
export function headlineOf(
  status: VerdictStatus,
  leading: CircuitFunction,
  missing: readonly LookAlike[],
): string {
  switch (status) {
    case 'unread':
      return 'Not read yet';
    case 'contradicted':
      return 'Readings disagree: read it again or withdraw one';
    case 'resolved':
      return FUNCTION_NAMES[leading].plain;
    case 'unresolved':
      return `${groupWords(leading)}: ${untestedWords(missing)}`;
    case 'open':
      return 'Still open';
  }
}

/** Up to so many untested places are named in the headline; more are only counted. */
const NAMED_IN_HEADLINE = 2;

function untestedWords(missing: readonly LookAlike[]): string {
  if (missing.length === 0) return 'one more reading';
  if (missing.length > NAMED_IN_HEADLINE) return `${missing.length} states untested`;
  return `${missing.map((one) => PLACE_WORDS[one.place]).join(', ')} untested`;
}

function groupWords(leading: CircuitFunction): string {
  if (SWITCHED_FUNCTIONS.includes(leading)) return 'Switched, accessory or ignition unresolved';
  if (STANDING_FUNCTIONS.includes(leading)) return 'Live with the key off, constant unresolved';
  return FUNCTION_NAMES[leading].plain;
}
