import type { AnswerOf, ShopCommandName } from './shopCommands';

/** How a command on the shop's things went, for whoever made it: stored, refused, or kept until a signal comes back. */
export type ShopOutcome<Name extends ShopCommandName> =
  | { readonly kind: 'stored'; readonly data: AnswerOf<Name> }
  | { readonly kind: 'refused'; readonly error: unknown; readonly problem: string }
  | { readonly kind: 'kept' };

/** Those who wait to hear how their command went. */
const awaited = new Map<string, (outcome: ShopOutcome<ShopCommandName>) => void>();

/** Waits to hear how a command goes. */
export function toldOf<Name extends ShopCommandName>(key: string): Promise<ShopOutcome<Name>> {
  return new Promise((resolve) => {
    awaited.set(key, resolve as (outcome: ShopOutcome<ShopCommandName>) => void);
  });
}

/** Tells whoever waits for a command how it went; false where nobody does, since the page was loaded anew meanwhile. */
export function tell(key: string, outcome: ShopOutcome<ShopCommandName>): boolean {
  const waiting = awaited.get(key);
  awaited.delete(key);
  waiting?.(outcome);
  return waiting !== undefined;
}
