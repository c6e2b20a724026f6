import { LACKING, USUAL_ANSWERS } from '@lucky-thread/core/prove';
import type { HandOverFigure } from '@lucky-thread/core/prove';
import type { StandingTest } from '@lucky-thread/work';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { fieldProblem } from '../../sizing/fieldProblem';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { NumberField } from '../../ui/NumberField';
import { SPACE } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';

/** Props of {@link HandOverDock}. */
export interface HandOverDockProps {
  /** The test that comes next. */
  readonly of: StandingTest;
  /** So many tests are still open. */
  readonly left: number;
  /** The car is started by what was fitted. */
  readonly starts: boolean;
  /** Called with what was measured, in the test's unit. */
  readonly onFound: (value: number) => void;
  /** What was noted is taken back. */
  readonly onUndo: () => void;
  /** It can't be tried now: the job says so. */
  readonly onLater: () => void;
}

/** The test in hand: what is done, what must come of it, and what came of it under the thumb. */
export function HandOverDock({ of, left, starts, ...on }: HandOverDockProps) {
  const { test, standing } = of;
  const [good, bad] = test.answers ?? USUAL_ANSWERS;
  return (
    <View style={styles.dock} aria-live="polite">
      <View style={styles.head}>
        <Words kind="small" soft style={styles.grow} testID="hand-over-left">
          {`Before it is handed over · ${left} to go`}
        </Words>
        <ActionButton
          kind="quiet"
          label="Undo"
          testID="hand-over-undo"
          disabled={standing.is === 'open'}
          onPress={on.onUndo}
        />
      </View>
      <Words kind="instruction" testID="hand-over-what">
        {test.what}
      </Words>
      <Words testID="hand-over-must">{test.must}</Words>
      {starts && (
        <Caution>
          One at the wheel with a foot ready, one outside in sight, nobody in front or behind; in
          the open, wheels chocked.
        </Caution>
      )}
      {standing.is === 'failed' && (
        <View role="alert" testID="hand-over-failed" style={styles.tight}>
          <Words kind="label">{`${standing.shows}. ${test.figure?.because ?? ''} Look at:`}</Words>
          {standing.look.map((one, index) => (
            <Words key={one} kind="small">{`${index + 1}. ${one}`}</Words>
          ))}
        </View>
      )}
      {test.figure === undefined ? (
        <View style={styles.row}>
          <ActionButton
            kind="next"
            label={good}
            testID="hand-over-good"
            style={styles.grow}
            onPress={() => on.onFound(1)}
          />
          <ActionButton
            label={bad}
            testID="hand-over-bad"
            style={styles.grow}
            onPress={() => on.onFound(0)}
          />
        </View>
      ) : (
        <FigureEntry
          key={test.id}
          figure={test.figure}
          failed={standing.is === 'failed'}
          onFound={on.onFound}
        />
      )}
      <View style={styles.row}>
        {test.lacks !== undefined && (
          <ActionButton
            kind="quiet"
            label={test.lacks}
            testID="hand-over-lacks"
            onPress={() => on.onFound(LACKING)}
          />
        )}
        <ActionButton
          kind="quiet"
          label="Not now: remind"
          testID="hand-over-later"
          onPress={on.onLater}
        />
      </View>
    </View>
  );
}

function FigureEntry(props: {
  readonly figure: HandOverFigure;
  /** Where the limits come from is said already. */
  readonly failed: boolean;
  readonly onFound: (value: number) => void;
}) {
  const units = useUnits();
  const { figure } = props;
  const [value, setValue] = useState<number>();
  const problem = value === undefined ? undefined : fieldProblem('handOverFigure', value, units);
  return (
    <>
      {!props.failed && (
        <Words kind="small" soft>
          {figure.because}
        </Words>
      )}
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label={figure.label}
            of={{ unit: figure.unit }}
            value={value}
            problem={problem}
            testID="hand-over-figure"
            onValue={setValue}
          />
        </View>
        <ActionButton
          kind="next"
          label="Note it"
          testID="hand-over-note"
          disabled={value === undefined || problem !== undefined}
          onPress={() => value !== undefined && props.onFound(value)}
        />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  dock: { gap: SPACE.s },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'flex-end', flexWrap: 'wrap', gap: SPACE.s },
  tight: { gap: SPACE.xs },
  grow: { flex: 1 },
});
