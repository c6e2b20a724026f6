import type { HarnessWireInput } from '@lucky-thread/contract';
import { WIRE_COLOURS } from '@lucky-thread/core/vehicle';
import { BUNCH_PLACE } from '@lucky-thread/work';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { Toggle } from '../../ui/Toggle';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { TypedWires } from './TypedWires';

/** Props of {@link WireEditor}. */
export interface WireEditorProps {
  /** The wires that are spoken of, in their order. */
  readonly wires: readonly HarnessWireInput[];
  /** The bunch as the model's notes have it; empty when unknown. */
  readonly known: readonly HarnessWireInput[];
  /** Called with all wires as they are now. */
  readonly onWires: (wires: HarnessWireInput[]) => void;
}

const CODES = Object.keys(WIRE_COLOURS).map((code) => ({ value: code, label: code }));

/** The wires as they are seen: base colour, stripe, and which are still taped together. */
export function WireEditor({ wires, known, onWires }: WireEditorProps) {
  const [base, setBase] = useState<string>();
  const [stripe, setStripe] = useState<string>();
  const [taped, setTaped] = useState(false);
  const last = wires.at(-1);
  const addTyped = (colours: readonly string[]): void => {
    const made = colours.map((colour, at) => ({ ...nextWire({ wires, known }, at), colour }));
    onWires([...wires, ...made]);
  };
  const add = (): void => {
    const wire: HarnessWireInput = {
      ...nextWire({ wires, known }, 0),
      ...(base === undefined ? {} : { colour: stripe === undefined ? base : `${base}/${stripe}` }),
      ...(taped && last !== undefined ? { tapedWith: last.id } : {}),
    };
    onWires([...wires, wire]);
    setStripe(undefined);
    setTaped(false);
  };
  return (
    <Card testID="wire-editor">
      <Words kind="heading">Add a wire</Words>
      <Words kind="label">Base colour, as seen</Words>
      <Choice label="Base colour" testID="base" options={CODES} value={base} onChange={setBase} />
      <Words kind="label">Stripe</Words>
      <Choice
        label="Stripe"
        testID="stripe"
        options={[{ value: 'none', label: 'none' }, ...CODES.filter(({ value }) => value !== base)]}
        value={stripe ?? 'none'}
        onChange={(code) => setStripe(code === 'none' ? undefined : code)}
      />
      {last !== undefined && (
        <View style={styles.row}>
          <Toggle
            label={`Taped or twisted with ${last.name}`}
            state={taped ? 'yes' : 'no'}
            on={taped}
            testID="taped"
            onChange={setTaped}
          />
        </View>
      )}
      <View style={styles.row}>
        <ActionButton label="Add this wire" testID="add-wire" style={styles.grow} onPress={add} />
        <ActionButton
          label="Take the last away"
          kind="quiet"
          testID="drop-wire"
          disabled={last === undefined}
          onPress={() => onWires(wires.slice(0, -1))}
        />
      </View>
      <TypedWires onColours={addTyped} />
      {wires.length === 0 && known.length > 0 && (
        <ActionButton
          kind="next"
          label={`Lay out this model’s bunch of ${known.length}`}
          testID="known-bunch"
          onPress={() => onWires([...known])}
        />
      )}
    </Card>
  );
}

/**
 * Name and id of the next wire but so many. Names count on from those that lie there; ids are never those of the
 * model's own bunch, for this wire may be another.
 */
function nextWire(
  { wires, known }: Pick<WireEditorProps, 'wires' | 'known'>,
  after: number,
): Pick<HarnessWireInput, 'id' | 'name'> {
  const name = highest(wires.map((wire) => wire.name)) + 1 + after;
  const id = highest([...wires, ...known].map((wire) => wire.id)) + 1 + after;
  return { id: `${BUNCH_PLACE}/W${id}`, name: `W${name}` };
}

/** The highest number that texts end in; 0 without any. */
function highest(texts: readonly string[]): number {
  return Math.max(0, ...texts.map((text) => Number(/\d+$/.exec(text)?.[0] ?? 0)));
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flexGrow: 1 },
});
