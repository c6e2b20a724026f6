import type { BodyInput } from '@lucky-thread/contract';
import type { BodyMeasures, BodyStyle } from '@lucky-thread/core/build';
import { BODY_SHAPES, BODY_STYLES, BODY_STYLE_NAMES } from '@lucky-thread/core/build';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { fieldProblem } from '../../sizing/fieldProblem';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { SPACE } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';

/** Props of {@link BodyChoice}. */
export interface BodyChoiceProps {
  /** What is known of the model's body; null: nothing. */
  readonly body: BodyInput | null;
  /** The style in use. */
  readonly style: BodyStyle;
  /** Called with the chosen body. */
  readonly onBody: (body: BodyInput) => void;
}

const MEASURES: readonly (readonly [keyof BodyMeasures, string])[] = [
  ['lengthM', 'Length outside'],
  ['widthM', 'Width'],
  ['heightM', 'Height'],
];

/** What body the model has, its measures by the tape or the handbook, and passages found blocked; for every job of the model. */
export function BodyChoice({ body, style, onBody }: BodyChoiceProps) {
  const units = useUnits();
  const usual = BODY_SHAPES[style].measures;
  const [measures, setMeasures] = useState<Partial<BodyMeasures>>({
    lengthM: body?.lengthM ?? usual.lengthM,
    widthM: body?.widthM ?? usual.widthM,
    heightM: body?.heightM ?? usual.heightM,
  });
  const problems = MEASURES.map(([key]) => fieldProblem('bodyM', measures[key], units));
  const passages = body?.passages ?? [];
  const blocked = passages.filter((one) => one.blocked === true);
  return (
    <View style={styles.stack}>
      <Words kind="label">Body of the model</Words>
      <Choice
        label="Body of the model"
        testID="body"
        options={BODY_STYLES.map((one) => ({ value: one, label: BODY_STYLE_NAMES[one] }))}
        value={body?.style}
        // Measures and passages of another body say nothing of this one.
        onChange={(next) => onBody({ style: next, passages: next === body?.style ? passages : [] })}
      />
      {MEASURES.map(([key, label], index) => (
        <NumberField
          key={key}
          label={label}
          of="length"
          value={measures[key]}
          problem={problems[index]}
          testID={`body-${key}`}
          onValue={(value) => setMeasures({ ...measures, [key]: value })}
        />
      ))}
      <ActionButton
        label="Keep the measures"
        testID="keep-body"
        disabled={problems.some((one) => one !== undefined)}
        onPress={() => onBody({ ...measures, style, passages: [...passages] })}
      />
      {blocked.map(({ id }) => (
        <Blocked
          key={id}
          id={id}
          onOpen={() =>
            onBody({ style, ...(body ?? {}), passages: passages.filter((one) => one.id !== id) })
          }
        />
      ))}
    </View>
  );
}

/** A passage that nothing goes through; a touch opens it again. */
function Blocked({ id, onOpen }: { readonly id: string; readonly onOpen: () => void }) {
  return (
    <View style={styles.line}>
      <Words kind="small" style={styles.grow}>{`Nothing goes through: ${id}`}</Words>
      <ActionButton kind="quiet" label="Open again" testID={`reopen-${id}`} onPress={onOpen} />
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
