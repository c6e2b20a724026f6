import { useCallback, useState } from 'react';
import type { ShopOutcome } from './awaited';
import { commandShop } from './outbox';
import type { BodyOf, ShopCommandName } from './shopCommands';
import { useAppDispatch } from './store';

/** How a command goes. */
export interface ShopCommandState<Name extends ShopCommandName> {
  /** It is on its way. */
  readonly busy: boolean;
  /** How the last one went; undefined before the first and while one is on its way. */
  readonly outcome?: ShopOutcome<Name>;
  /** Why it was refused, or that it is kept on the device until a signal comes back; undefined where it is stored. */
  readonly said?: string;
}

/** Said of what could not be sent. */
const KEPT = 'No answer from the server: it is kept on this device and goes out by itself.';

/** Makes commands of one kind, and follows how the last one goes. */
export function useShopCommand<Name extends ShopCommandName>(
  kind: Name,
): readonly [(body: BodyOf<Name>) => Promise<ShopOutcome<Name>>, ShopCommandState<Name>] {
  const dispatch = useAppDispatch();
  const [state, setState] = useState<ShopCommandState<Name>>({ busy: false });
  const make = useCallback(
    async (body: BodyOf<Name>) => {
      setState({ busy: true });
      const outcome = await dispatch(commandShop(kind, body));
      setState({ busy: false, outcome, ...saidOf(outcome) });
      return outcome;
    },
    [dispatch, kind],
  );
  return [make, state];
}

function saidOf(outcome: ShopOutcome<ShopCommandName>): { readonly said?: string } {
  if (outcome.kind === 'stored') return {};
  return { said: outcome.kind === 'kept' ? KEPT : outcome.problem };
}
