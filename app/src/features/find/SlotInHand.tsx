import type { SeenScope } from '@lucky-thread/contract';
import { FUSE_FAMILY_FACTS, POSITION, nextPosition } from '@lucky-thread/core/vehicle';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { panelInHand, panelsOf, seenId } from '@lucky-thread/work';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { slotTouched } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { useJobChange } from '../../work/useJobChange';

/** Props of {@link SlotInHand}. */
export interface SlotInHandProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** The slot that reads otherwise than it was entered; left out for one that was not entered. */
  readonly slot?: SlotSource | undefined;
  /** Called to lay it down. */
  readonly onDone: () => void;
}

const NONE = 'none';

/** What is printed and fitted at the slot in hand: one that nobody had entered, or one that differs from what was. */
export function SlotInHand({ context, slot, onDone }: SlotInHandProps) {
  const dispatch = useAppDispatch();
  const change = useJobChange(context.job);
  const panels = panelsOf(context.model);
  const [placeId, setPlaceId] = useState(slot?.id.split('/')[0] ?? panelInHand(context.model));
  const shown = panels.find((one) => one.id === placeId);
  const [position, setPosition] = useState(slot?.position ?? '');
  const [legend, setLegend] = useState(slot?.legend ?? '');
  const [ratingA, setRatingA] = useState(slot?.ratingA);
  const [holds, setHolds] = useState<SeenScope>(slot === undefined ? 'model' : 'car');
  const family = slot?.family ?? shown?.slots.at(-1)?.family ?? 'mini';
  const taken =
    slot === undefined && shown?.slots.some((one) => one.position === position) === true;
  const problem = problemOf(position, taken);
  const isLong = legend.trim().length > MOST_LETTERS;
  const keep = (): void => {
    const words = legend.trim();
    const marks = {
      ...(words === '' ? {} : { legend: words }),
      ...(ratingA === undefined ? {} : { ratingA }),
    };
    change.seeSlot({ placeId, position, marks, holds });
    dispatch(slotTouched({ jobId: context.job.id, sourceId: seenId({ placeId, position }) }));
    onDone();
  };
  return (
    <Card testID="slot-in-hand">
      <Words kind="heading">
        {slot === undefined ? 'A slot in hand' : `${slot.position} reads otherwise here`}
      </Words>
      {slot === undefined && panels.length > 1 && (
        <Choice
          label="In which panel"
          options={panels.map((one) => ({ value: one.id, label: one.name }))}
          value={placeId}
          onChange={setPlaceId}
        />
      )}
      <View style={styles.row}>
        {slot === undefined && (
          <View style={styles.narrow}>
            <Field
              label="Position"
              hint={shown === undefined ? 'F12' : `after ${lastOf(shown.slots)}`}
              testID="hand-position"
              value={position}
              problem={position === '' ? undefined : problem}
              onChange={(text) => setPosition(text.trim())}
            />
          </View>
        )}
        <View style={styles.wide}>
          <Field
            label="Legend, as printed"
            hint="empty where nothing is printed"
            problem={isLong ? `up to ${MOST_LETTERS} letters` : undefined}
            testID="hand-legend"
            value={legend}
            onChange={setLegend}
          />
        </View>
      </View>
      <Words kind="label">Fuse, A</Words>
      <Choice
        label="Rating of the fuse"
        testID="hand-rating"
        options={[
          { value: NONE, label: 'none' },
          ...FUSE_FAMILY_FACTS[family].ratingsA.map((one) => ({
            value: String(one),
            label: String(one),
          })),
        ]}
        value={ratingA === undefined ? NONE : String(ratingA)}
        onChange={(value) => setRatingA(value === NONE ? undefined : Number(value))}
      />
      {slot !== undefined && (
        <>
          <Words kind="label">It holds for</Words>
          <Choice<SeenScope>
            label="For which cars it holds"
            testID="hand-holds"
            options={[
              { value: 'car', label: 'This car' },
              { value: 'years', label: `${context.job.vehicle.year} and later` },
              { value: 'model', label: 'Every car of the model' },
            ]}
            value={holds}
            onChange={setHolds}
          />
        </>
      )}
      <View style={styles.row}>
        <ActionButton kind="quiet" label="Cancel" testID="hand-cancel" onPress={onDone} />
        <ActionButton
          kind="next"
          label={slot === undefined ? 'Read it' : 'Keep it'}
          testID="hand-keep"
          style={styles.wide}
          disabled={problem !== undefined || isLong}
          onPress={keep}
        />
      </View>
    </Card>
  );
}

/** Longest legend that is stored. */
const MOST_LETTERS = 40;

function problemOf(position: string, taken: boolean): string | undefined {
  if (taken) return 'it is on the panel already';
  return POSITION.test(position) ? undefined : 'up to 12 letters or digits';
}

function lastOf(slots: readonly { readonly position: string }[]): string {
  const last = slots.at(-1)?.position ?? '';
  return `${last}: ${nextPosition(last)}`;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.s },
  narrow: { flex: 1 },
  wide: { flex: 2 },
});
