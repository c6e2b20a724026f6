import { currentAt12V, numberProblems } from '@lucky-thread/core/size';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

type Unit = 'A' | 'W' | 'USB';

/** Amperes at 12 V from what is printed on the device: amperes, watts, or amperes at 5 V. */
export function Amperes(props: {
  /** Current to begin with, A at 12 V. */
  readonly startA: number;
  readonly problem: string | undefined;
  readonly onAmps: (amps: number) => void;
  readonly testID: string;
}) {
  const [text, setText] = useState(String(props.startA));
  const [unit, setUnit] = useState<Unit>('A');
  const apply = (nextText: string, nextUnit: Unit): void => {
    setText(nextText);
    setUnit(nextUnit);
    props.onAmps(Number(amps(Number(nextText.replace(',', '.')), nextUnit).toFixed(3)));
  };
  const at12V = amps(Number(text.replace(',', '.')), unit);
  return (
    <View style={styles.stack}>
      <Field
        label="Printed on it"
        testID={props.testID}
        keyboard="decimal-pad"
        value={text}
        problem={props.problem}
        hint={
          Number.isFinite(at12V)
            ? `${at12V.toFixed(2)} A at 12 V${unit === 'USB' ? ', converter 85 % efficient' : ''}`
            : undefined
        }
        onChange={(next) => apply(next, unit)}
      />
      <Choice
        label="Unit"
        options={[
          { value: 'A', label: 'A at 12 V' },
          { value: 'W', label: 'W' },
          { value: 'USB', label: 'A at 5 V' },
        ]}
        value={unit}
        onChange={(next) => apply(text, next)}
      />
      <Words kind="small" soft>
        3 A at 5 V is not 3 A at 12 V.
      </Words>
    </View>
  );
}

function amps(value: number, unit: Unit): number {
  const field = unit === 'W' ? 'watts' : 'printedA';
  // While it is being typed it may be nothing yet: the contract refuses it by name when it is sent.
  if (numberProblems({ [field]: value }).length > 0) return Number.NaN;
  if (unit === 'W') return currentAt12V({ kind: 'watts', watts: value });
  return currentAt12V({ kind: 'amps', amps: value, atV: unit === 'USB' ? 5 : 12 });
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
