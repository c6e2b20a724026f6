import type { SizingField } from '@lucky-thread/core/size';
import { SIZING_RANGES } from '@lucky-thread/core/size';
import type { Quantity } from '@lucky-thread/core/units';
import { useAppSelector } from '../../store/store';
import { View } from 'react-native';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { fieldProblem } from '../../sizing/fieldProblem';

/** Props of {@link ToolNumber}. */
export interface ToolNumberProps {
  /** What it is called on the screen. */
  readonly label: string;
  /** Which range it is held against. */
  readonly field: SizingField;
  /** The number; undefined while it is empty or can't be read. */
  readonly value: number | undefined;
  /** Called with the number; undefined while it can't be read. */
  readonly onValue: (value: number | undefined) => void;
  /** A quantity whose unit follows the system; by default the unit of the range. */
  readonly of?: Quantity;
  /** A line below: the unit, the form, or where to find it. */
  readonly hint?: string;
  /** Whether it may be left empty. */
  readonly optional?: boolean;
}

/** One number of a tool, with its range told when it is left. */
export function ToolNumber(props: ToolNumberProps) {
  const units = useAppSelector((state) => state.prefs.units);
  const missing = props.optional !== true && props.value === undefined;
  return (
    <NumberField
      label={props.label}
      of={props.of ?? { unit: SIZING_RANGES[props.field].unit }}
      value={props.value}
      problem={missing ? 'give a number' : fieldProblem(props.field, props.value, units)}
      hint={props.hint}
      testID={`in-${props.field}`}
      onValue={props.onValue}
    />
  );
}

/** Props of {@link ToolChoice}. */
export interface ToolChoiceProps<T extends string> {
  /** What it is called on the screen. */
  readonly label: string;
  /** What can be chosen, in order. */
  readonly options: readonly (readonly [value: T, label: string])[];
  /** The chosen one. */
  readonly value: string;
  /** Called with the value that was chosen. */
  readonly onChange: (value: T) => void;
  /** Names it for tests; it is not shown. */
  readonly testID: string;
  /** Whether all get the same width. */
  readonly even?: boolean;
}

/** One of a few, with its name above. */
export function ToolChoice<T extends string>(props: ToolChoiceProps<T>) {
  return (
    <View style={{ gap: SPACE.xs }}>
      <Words kind="label">{props.label}</Words>
      <Choice
        label={props.label}
        even={props.even ?? true}
        testID={props.testID}
        options={props.options.map(([value, label]) => ({ value, label }))}
        value={props.options.find(([value]) => value === props.value)?.[0]}
        onChange={props.onChange}
      />
    </View>
  );
}
