import type { Quantity, UnitFace } from '@lucky-thread/core/units';
import { QUANTITIES } from '@lucky-thread/core/units';
import { useState } from 'react';
import { Field } from './Field';
import { useUnits } from './Units';

/** Props of {@link NumberField}. */
export interface NumberFieldProps {
  readonly label: string;
  /** The number in its SI unit; NaN for text that is no number; undefined when empty. */
  readonly value: number | undefined;
  readonly onValue: (value: number | undefined) => void;
  /** A quantity whose unit follows the chosen system, or the unit's name. */
  readonly of: Quantity | { readonly unit: string };
  readonly problem?: string | undefined;
  readonly hint?: string | undefined;
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
      problem={props.problem}
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
