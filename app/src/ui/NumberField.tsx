import type { Quantity, UnitFace } from '@lucky-thread/core/units';
import { QUANTITIES } from '@lucky-thread/core/units';
import { useState } from 'react';
import { Field } from './Field';
import { useUnits } from './Units';

/** Props of {@link NumberField}. */
export interface NumberFieldProps {
  /** What it is called on the screen. */
  readonly label: string;
  /** The number in its SI unit; NaN for text that is no number; undefined when empty. */
  readonly value: number | undefined;
  /** Called with the number; undefined while it can't be read. */
  readonly onValue: (value: number | undefined) => void;
  /** A quantity whose unit follows the chosen system, or the unit's name. */
  readonly of: Quantity | { readonly unit: string };
  /** What is wrong, in words for people; undefined when nothing is. */
  readonly problem?: string | undefined;
  /** A line below: the unit, the form, or where to find it. */
  readonly hint?: string | undefined;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
}

/** A number with its unit. What is kept is the SI value as typed: changing the system of units changes only the text. */
export function NumberField(props: NumberFieldProps) {
  const system = useUnits();
  const face: UnitFace =
    typeof props.of === 'string'
      ? QUANTITIES[props.of][system]
      : { name: props.of.unit, fromSi: asIs, toSi: asIs, digits: 4 };
  const [draft, setDraft] = useState<{ text: string; value: number | undefined; unit: string }>();
  // The typed text stands as long as value and unit are those it was typed for.
  const own =
    draft !== undefined && Object.is(draft.value, props.value) && draft.unit === face.name;
  return (
    <Field
      label={face.name === '' ? props.label : `${props.label}, ${face.name}`}
      value={own ? draft.text : textOf(props.value, face)}
      keyboard="decimal-pad"
      problem={own && Number.isNaN(draft.value) ? 'That is no number' : props.problem}
      hint={props.hint}
      testID={props.testID}
      onChange={(text) => {
        const value = valueOf(text, face);
        setDraft({ text, value, unit: face.name });
        props.onValue(value);
      }}
    />
  );
}

function asIs(value: number): number {
  return value;
}

function textOf(value: number | undefined, face: UnitFace): string {
  if (value === undefined || Number.isNaN(value)) return '';
  return String(Number(face.fromSi(value).toFixed(face.digits)));
}

function valueOf(text: string, face: UnitFace): number | undefined {
  const plain = text.trim().replace(',', '.');
  return plain === '' ? undefined : face.toSi(Number(plain));
}
