import type { Source } from '@lucky-thread/core/vehicle';
import { markOf, nameOf } from '@lucky-thread/core/vehicle';

/** What a source is called on screens: its name, and what one goes by there. */
export function titleOf(source: Source): string {
  if (source.kind === 'relayTerminal') return `terminal ${source.terminal}`;
  if (source.kind === 'stud') return `stud ${source.name}`;
  return `${nameOf(source)} ${markOf(source) ?? (source.kind === 'slot' ? '(no legend)' : '')}`.trim();
}
