import type { ModelView, TapPointView } from '@lucky-thread/contract';
import { FUNCTION_NAMES, markOf, nameOf } from '@lucky-thread/core/vehicle';
import { placeIdOf, sourcesOf } from '@lucky-thread/work';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TapPointCard } from '../../panel/TapPointCard';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Guard } from '../../ui/Guard';
import { Empty } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link TapPoints}. */
export interface TapPointsProps {
  /** The vehicle model. */
  readonly model: ModelView;
  /** Its tap points by source. */
  readonly taps: readonly TapPointView[];
}

/** As many are seen at one glance. */
const FEW = 3;

type Shown = 'all' | 'disputed' | 'notProbed';
const SHOWN: readonly { readonly value: Shown; readonly label: string }[] = [
  { value: 'all', label: 'All' },
  { value: 'disputed', label: 'Disputed' },
  { value: 'notProbed', label: 'Not probed here' },
];

/** What the log knows of a model, place by place; a longer one can be searched and cut down. */
export function TapPoints({ model, taps }: TapPointsProps) {
  const [typed, setTyped] = useState('');
  const [shown, setShown] = useState<Shown>('all');
  const words = useMemo(() => wordsOf(model), [model]);
  if (taps.length === 0)
    return (
      <Empty
        title="Nothing logged yet"
        text="The first proven tap of this model will stand here, with its readings."
      />
    );
  const fitting = taps.filter(
    (tap) => isShown(tap, shown) && textOf(tap, words).includes(typed.trim().toLowerCase()),
  );
  const places = [...new Set(fitting.map((tap) => placeIdOf(tap.sourceId)))];
  return (
    <View style={styles.stack}>
      {taps.length > FEW && (
        <View style={styles.cut}>
          <Field
            label="Find a tap point"
            hint="position, legend, colour, function or note"
            testID="find-tap"
            value={typed}
            onChange={setTyped}
          />
          <Choice
            label="Which tap points"
            testID="taps-shown"
            options={SHOWN}
            value={shown}
            onChange={setShown}
          />
        </View>
      )}
      {fitting.length === 0 && (
        <Empty title="None is like that" text="Choose “All”, or type less." />
      )}
      {places.map((placeId) => (
        <View key={placeId} style={styles.stack}>
          {places.length > 1 && (
            <Words kind="label" soft>
              {model.places.find((place) => place.id === placeId)?.name ?? placeId}
            </Words>
          )}
          <Cards
            model={model}
            taps={fitting.filter((tap) => placeIdOf(tap.sourceId) === placeId)}
          />
        </View>
      ))}
    </View>
  );
}

function Cards({ model, taps }: TapPointsProps) {
  return taps.map((tap) => (
    <Guard key={tap.id} what={`Tap point ${tap.sourceId}`}>
      <TapPointCard tap={tap} model={model} />
    </Guard>
  ));
}

function isShown({ status, grade }: TapPointView, shown: Shown): boolean {
  if (shown === 'disputed') return status === 'disputed';
  return shown === 'all' || grade !== 'probed';
}

/** What a source is called and goes by, small, by its id. */
function wordsOf(model: ModelView): ReadonlyMap<string, string> {
  return new Map(
    sourcesOf(model).map((source) => [source.id, `${nameOf(source)} ${markOf(source) ?? ''}`]),
  );
}

function textOf(tap: TapPointView, words: ReadonlyMap<string, string>): string {
  const { plain, term, code } = FUNCTION_NAMES[tap.function];
  const source = words.get(tap.sourceId) ?? tap.sourceId;
  return `${source} ${plain} ${term} ${code} ${tap.note} ${tap.loggedBy}`.toLowerCase();
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
  cut: { gap: SPACE.s },
});
