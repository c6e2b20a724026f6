import type { FeedPlanInput } from '@lucky-thread/contract';
import type { Candidate } from '@lucky-thread/core/choose';
import type { Source } from '@lucky-thread/core/vehicle';
import { isConductor } from '@lucky-thread/core/vehicle';
import type { TappedFeed } from '@lucky-thread/work';
import { mayChain, titleOf } from '@lucky-thread/work';
import { View } from 'react-native';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';

/** Other leads of the device on the chosen source: all of them go into one joint. */
export function Meeting(props: { readonly feedId: string; readonly names: readonly string[] }) {
  const { feedId, names } = props;
  if (names.length === 0) return null;
  return (
    <Words kind="small" testID={`meets-${feedId}`}>
      {`In one joint with ${names.join(' and ')}: the wire carries what all of them draw.`}
    </Words>
  );
}

/** Props of {@link ChainChoice}. */
export interface ChainChoiceProps {
  /** The feed with its chosen source. */
  readonly tapped: TappedFeed;
  /** What could serve the same feed. */
  readonly candidates: readonly Candidate[];
  /** The sources that are spoken of, by their id. */
  readonly sources: ReadonlyMap<string, Source>;
  /** Called with the plan that names the chain. */
  readonly onPlan: (plan: FeedPlanInput) => void;
}

/** Wires that a lead which gives goes on to, in the order in which they are touched; nothing where there are no others. */
export function ChainChoice({ tapped, candidates, sources, onPlan }: ChainChoiceProps) {
  const { feed, plan, source } = tapped;
  const { alsoAt = [], ...alone } = plan;
  const others = candidates.flatMap(({ sourceId }) => {
    const other = sources.get(sourceId);
    return other !== undefined && isConductor(other) && other.id !== source.id ? [other] : [];
  });
  if (!mayChain(feed, source.kind === 'slot') || (others.length === 0 && alsoAt.length === 0))
    return null;
  const put = (next: readonly string[]): void =>
    onPlan(next.length === 0 ? alone : { ...alone, alsoAt: [...next] });
  return (
    <View style={{ gap: SPACE.s }} testID={`chain-${feed.id}`}>
      <Words kind="label">The lead goes on from there to</Words>
      {others.map((other) => {
        const on = alsoAt.includes(other.id);
        return (
          <Toggle
            key={other.id}
            label={titleOf(other)}
            state={on ? `${alsoAt.indexOf(other.id) + 2}. in the chain` : 'no'}
            on={on}
            testID={`chain-${feed.id}-${other.id}`}
            onChange={(next) =>
              put(next ? [...alsoAt, other.id] : alsoAt.filter((id) => id !== other.id))
            }
          />
        );
      })}
      {alsoAt.length > 0 && (
        <Caution>
          The chain bridges these wires to each other, also while the device is at rest: only wires
          that are live in the same states, anything else through a relay of its own.
        </Caution>
      )}
    </View>
  );
}
