import type { FeedPlanInput } from '@lucky-thread/contract';
import type { FeedSize } from '@lucky-thread/core/size';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { prefsChanged } from '../../store/prefsSlice';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Screen } from '../../ui/Screen';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { TappedFeed } from '../job/tappedFeeds';
import { slotFeeds, tappedFeeds } from '../job/tappedFeeds';
import type { JobContext } from '../job/useJob';
import { useJobChange } from '../job/useJobChange';
import { MissingTaps } from '../job/MissingTaps';
import { SIZING, feedSizeOf, lengthText, parseLength } from './feedSize';

interface Draft {
  readonly text: string;
  readonly returnPath: 'body' | 'lead';
}

/** Size: fuse, conductor and drop of every tapped feed, from its current and a typed length. */
export function SizeScreen({ context }: { readonly context: JobContext }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.prefs.units);
  const change = useJobChange(context.job);
  const tapped = tappedFeeds(context);
  const [drafts, setDrafts] = useState<Readonly<Record<string, Draft>>>(() =>
    Object.fromEntries(
      tapped.map(({ feed, plan }) => [
        feed.id,
        { text: lengthText(plan.oneWayM, units), returnPath: plan.returnPath ?? 'body' },
      ]),
    ),
  );
  if (tapped.length < slotFeeds(context).length) return <MissingTaps />;

  const sized = tapped.map((one) => {
    const draft = drafts[one.feed.id] ?? { text: '', returnPath: 'body' as const };
    const length = parseLength(draft.text, units);
    const plan: FeedPlanInput = {
      ...one.plan,
      returnPath: draft.returnPath,
      ...(length.metres === undefined ? {} : { oneWayM: length.metres }),
    };
    const size = length.metres === undefined ? undefined : feedSizeOf(one, plan);
    return { one, draft, problem: length.problem, plan, size };
  });
  const ready = sized.every(({ size }) => size?.ok === true);
  const setUnits = (to: 'metric' | 'us'): void => {
    dispatch(prefsChanged({ units: to }));
    // The lengths stay the same; only how they are written changes.
    setDrafts(
      Object.fromEntries(
        sized.map(({ one, draft, plan }) => [
          one.feed.id,
          { ...draft, text: lengthText(plan.oneWayM, to) },
        ]),
      ),
    );
  };
  return (
    <Screen
      testID="size"
      bottom={
        <ActionButton
          kind="next"
          label="Plan the work"
          testID="go-build"
          disabled={!ready || change.busy}
          onPress={() =>
            void change.goTo(
              'build',
              sized.map(({ plan }) => plan),
            )
          }
        />
      }
    >
      {change.problem !== undefined && <Caution testID="job-problem">{change.problem}</Caution>}
      <Choice
        label="Units"
        testID="units"
        options={[
          { value: 'metric', label: 'Metres, mm²' },
          { value: 'us', label: 'Feet, AWG' },
        ]}
        value={units}
        onChange={setUnits}
      />
      {sized.map(({ one, draft, problem, size }) => (
        <Card key={one.feed.id} testID={`size-${one.feed.id}`}>
          <Words kind="heading">{one.feed.name}</Words>
          <Words soft>
            {`${one.feed.currentA} A from ${one.slot.position} ${one.slot.legend ?? ''}, ${one.slot.ratingA ?? '–'} A slot`}
          </Words>
          <Field
            label={`Length of the lead one way, ${units === 'us' ? 'ft' : 'm'}`}
            testID={`length-${one.feed.id}`}
            keyboard="decimal-pad"
            value={draft.text}
            problem={problem}
            onChange={(text) => setDrafts({ ...drafts, [one.feed.id]: { ...draft, text } })}
          />
          <Choice
            label="Return"
            options={[
              { value: 'body', label: 'Return through body' },
              { value: 'lead', label: 'Return by own lead' },
            ]}
            value={draft.returnPath}
            onChange={(returnPath) =>
              setDrafts({ ...drafts, [one.feed.id]: { ...draft, returnPath } })
            }
          />
          {size !== undefined && <SizeResult size={size} tapped={one} units={units} />}
        </Card>
      ))}
    </Screen>
  );
}

function SizeResult(props: { size: FeedSize; tapped: TappedFeed; units: 'metric' | 'us' }) {
  const { size, tapped, units } = props;
  if (!size.ok)
    return (
      <View style={styles.stack} testID={`refused-${tapped.feed.id}`}>
        <Caution>{`Does not work out, ${size.failed.constraint}: ${size.failed.text}`}</Caution>
        <Words>{size.relax}</Words>
      </View>
    );
  const wire = units === 'us' ? `${size.awg} AWG` : `${size.metricMm2} mm²`;
  const other =
    units === 'us' ? `${size.metricMm2} mm²` : `${size.awg} AWG, ${size.areaMm2.toFixed(2)} mm²`;
  return (
    <View style={styles.stack}>
      <View style={styles.figures}>
        <Figure value={`${size.fuseA} A`} name="added fuse" />
        <Figure value={wire} name={other} />
        <Figure
          value={`${size.drop.dropV.toFixed(2)} V`}
          name={`drop, ${size.drop.percent.toFixed(1)} %`}
        />
      </View>
      <Words kind="small" soft testID={`basis-${tapped.feed.id}`}>
        {`Basis: ${size.drop.statement}; limit ${SIZING.dropLimitPercent} %.`}
      </Words>
      {size.reasons.map((reason) => (
        <Words kind="small" key={reason.constraint}>{`· ${reason.text}`}</Words>
      ))}
    </View>
  );
}

function Figure(props: { readonly value: string; readonly name: string }) {
  return (
    <View style={styles.figure}>
      <Words kind="figure">{props.value}</Words>
      <Words kind="small" soft>
        {props.name}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.xs },
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.l, rowGap: SPACE.s },
  figure: { minWidth: 88 },
});
