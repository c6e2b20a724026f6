import { groundUnderLoad } from '@lucky-thread/core/choose';
import { useState } from 'react';
import { View } from 'react-native';
import type { NumberFieldProps } from '../ui/NumberField';
import { NumberField } from '../ui/NumberField';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

/** What is typed is within these, V and A. */
const MOST_V = 2;
const MOST_A = 200;

/** A ground proved by what drops over it under load, not by continuity. */
export function GroundCheck(props: {
  /** Current that is to come back by it, A; asked for when left out. */
  readonly currentA?: number | undefined;
}) {
  const [dropMv, setDropMv] = useState<number>();
  const [atA, setAtA] = useState<number>();
  const [loadA, setLoadA] = useState(props.currentA);
  const currentA = props.currentA ?? loadA;
  const isRead =
    within(dropMv, 0, 1000 * MOST_V) && within(atA, 0.05, MOST_A) && within(currentA, 0.05, MOST_A);
  const verdict = isRead
    ? groundUnderLoad({ dropV: (dropMv ?? 0) / 1000, atA: atA ?? 1 }, currentA ?? 0)
    : undefined;
  return (
    <View style={{ gap: SPACE.s }} testID="ground-check">
      <Words kind="label">Prove it under load</Words>
      <Words kind="small">
        Meter on millivolts, one probe on the bolt’s metal, the other on the battery’s negative
        post; switch something on that comes back by it. Continuity proves nothing: one strand
        passes it.
      </Words>
      <Read label="Drop" unit="mV" value={dropMv} testID="ground-drop" onValue={setDropMv} />
      <Read label="What flows then" unit="A" value={atA} testID="ground-amps" onValue={setAtA} />
      {props.currentA === undefined && (
        <Read
          label="What is to come back by it"
          unit="A"
          value={loadA}
          testID="ground-load"
          onValue={setLoadA}
        />
      )}
      {verdict !== undefined && (
        <Words kind="instruction" testID="ground-verdict">
          {`${verdict.good ? '✓ Good.' : '✕ Not good.'} ${verdict.text}`}
        </Words>
      )}
    </View>
  );
}

/** A figure as it was read. */
function Read({ unit, ...field }: Omit<NumberFieldProps, 'of'> & { readonly unit: string }) {
  return <NumberField {...field} of={{ unit }} />;
}

function within(value: number | undefined, least: number, most: number): boolean {
  return value !== undefined && value >= least && value <= most;
}
