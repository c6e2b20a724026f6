import type { FeedPlanInput } from '@lucky-thread/contract';
import { feedersOf } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Joinable } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { slotsOf } from '@lucky-thread/work';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { slotTitle } from '../../panel/sourceTitle';
import { fieldProblem } from '../../sizing/fieldProblem';
import { useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { NumberField } from '../../ui/NumberField';
import { PickRow } from '../../ui/PickRow';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link FeedingFuse}. */
export interface FeedingFuseProps {
  /** The wire whose fuse is asked for. */
  readonly source: Joinable;
  /** The vehicle's model. */
  readonly model: JobContext['model'];
  /** What is known of each source, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** The plan of this feed as it stands. */
  readonly plan: FeedPlanInput;
  /** Called with the changed plan. */
  readonly onPlan: (plan: FeedPlanInput) => void;
}

/** Which fuse of the car feeds a wire, a terminal or a stud: found by pulling one at a time, or typed from the handbook. */
export function FeedingFuse(props: FeedingFuseProps) {
  const { source, model, verdicts, plan, onPlan } = props;
  const units = useAppSelector((state) => state.prefs.units);
  const [typedA, setTypedA] = useState(plan.fedBy === undefined ? plan.feedFuseA : undefined);
  const feeders = useMemo(
    () => feedersOf(source, { slots: slotsOf(model), verdicts }),
    [source, model, verdicts],
  );
  const problem = fieldProblem('slotA', typedA, units);
  const { fedBy: _fedBy, ...plain } = plan;
  return (
    <View style={styles.stack} testID={`feeding-${plan.feedId}`}>
      <Words kind="label">Which fuse of the car feeds it?</Words>
      {feeders.length > 0 && (
        <>
          <Words kind="small">
            With the circuit live, pull one of these at a time: at its own this goes dead. Put each
            back before the next.
          </Words>
          <View role="radiogroup" aria-label="Fuse that feeds it" style={styles.tight}>
            {feeders.map(({ slot, because }) => (
              <PickRow
                key={slot.id}
                title={slotTitle(slot)}
                text={because}
                chosen={slot.id === plan.fedBy}
                testID={`fed-by-${slot.id}`}
                onPress={() =>
                  onPlan({
                    ...plan,
                    fedBy: slot.id,
                    ...(slot.ratingA === undefined ? {} : { feedFuseA: slot.ratingA }),
                  })
                }
              />
            ))}
          </View>
        </>
      )}
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="Another fuse, as the handbook has it"
            of={{ unit: 'A' }}
            value={typedA}
            problem={problem}
            testID={`feed-fuse-${plan.feedId}`}
            onValue={setTypedA}
          />
        </View>
        <ActionButton
          label="Keep it"
          testID={`keep-feed-fuse-${plan.feedId}`}
          disabled={typedA === undefined || problem !== undefined || typedA === plan.feedFuseA}
          onPress={() =>
            typedA === undefined ? undefined : onPlan({ ...plain, feedFuseA: typedA })
          }
        />
      </View>
      <Caution>
        Never pull a fuse of airbag, brakes, steering, engine or high voltage to find out: the
        maker’s wiring diagram says what feeds it.
      </Caution>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  tight: { gap: SPACE.xs },
  row: { flexDirection: 'row', gap: SPACE.s, alignItems: 'flex-start' },
  grow: { flex: 1 },
});
