import type { BodyInput } from '@lucky-thread/contract';
import type { Passage } from '@lucky-thread/core/build';
import { PASSAGE_KINDS, ROUTE_HAZARDS } from '@lucky-thread/core/build';
import { shown } from '@lucky-thread/core/units';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { fieldProblem } from '../../sizing/fieldProblem';
import { ActionButton } from '../../ui/ActionButton';
import { NumberField } from '../../ui/NumberField';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE, TARGET } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';

/** Props of {@link PassageRow}. */
export interface PassageRowProps {
  /** Which on the way, from 1. */
  readonly number: number;
  /** The passage between two spots. */
  readonly passage: Passage;
  /** So many leads lie there. */
  readonly leads: number;
  /** How thick they are together, mm. */
  readonly bundleMm: number;
  /** It was measured, or nothing goes through; undefined while nobody has said which body this is. */
  readonly onFound: ((found: Omit<BodyInput['passages'][number], 'id'>) => void) | undefined;
}

/** What a passage’s kind may say of it. */
interface PassageFacts {
  readonly along: string;
  readonly trim?: string;
  readonly fasteners?: string;
  readonly narrow?: boolean;
}

/** One passage of the route: what comes off, how long it is, what to mind; touched, it is put right for the model. */
export function PassageRow(props: PassageRowProps) {
  const { number, passage, leads, onFound } = props;
  const palette = usePalette();
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const facts: PassageFacts = PASSAGE_KINDS[passage.kind];
  const hazards = passage.hazards.map((one) => ROUTE_HAZARDS[one].name).join(', ');
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <TouchableRipple
        role="button"
        aria-expanded={open}
        testID={`passage-${number}`}
        style={styles.head}
        onPress={() => setOpen(!open)}
      >
        <View style={styles.inside}>
          <Words kind="label" style={styles.number}>
            {number}
          </Words>
          <View style={styles.grow}>
            <Words>{`${facts.along}${hazards === '' ? '' : ` ⚠ ${hazards}`}`}</Words>
            {facts.trim !== undefined && (
              <Words kind="small" soft>
                {`off: ${facts.trim} (${facts.fasteners ?? 'clips'})`}
              </Words>
            )}
          </View>
          <Words kind="label">{`${shown('length', passage.lengthM, units)} × ${leads}`}</Words>
        </View>
      </TouchableRipple>
      {open && onFound === undefined && (
        <Words kind="small">Say below which body the model has; then it is put right here.</Words>
      )}
      {open && onFound !== undefined && (
        <PassageFound
          {...props}
          onFound={(found) => {
            onFound(found);
            setOpen(false);
          }}
        />
      )}
    </View>
  );
}

/** The passage by the tape, what is free in its rubber, or that nothing goes through. */
function PassageFound(
  props: PassageRowProps & { readonly onFound: NonNullable<PassageRowProps['onFound']> },
) {
  const { number, passage, onFound } = props;
  const units = useUnits();
  const [measuredM, setMeasuredM] = useState<number | undefined>(passage.lengthM);
  const [roomMm, setRoomMm] = useState<number | undefined>(passage.roomMm);
  const problem = fieldProblem('oneWayM', measuredM, units);
  const roomProblem = fieldProblem('roomMm', roomMm, units);
  const facts: PassageFacts = PASSAGE_KINDS[passage.kind];
  return (
    <View style={styles.stack}>
      <NumberField
        label="By the tape"
        of="length"
        value={measuredM}
        problem={problem}
        testID={`measured-${number}`}
        onValue={setMeasuredM}
      />
      {facts.narrow === true && (
        <NumberField
          label={`Free in its rubber (${props.bundleMm.toFixed(1)} mm of leads go through)`}
          of="smallLength"
          value={roomMm}
          problem={roomProblem}
          testID={`room-${number}`}
          onValue={setRoomMm}
        />
      )}
      <View style={styles.buttons}>
        <ActionButton
          label="Keep for the model"
          testID={`keep-measured-${number}`}
          disabled={measuredM === undefined || problem !== undefined || roomProblem !== undefined}
          onPress={() => {
            const room = roomMm === undefined ? {} : { roomMm };
            if (measuredM !== undefined) onFound({ lengthM: measuredM, ...room });
          }}
        />
        <ActionButton
          label="Nothing goes through"
          testID={`blocked-${number}`}
          onPress={() => onFound({ blocked: true })}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1 },
  head: { minHeight: TARGET, justifyContent: 'center' },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  number: { width: 22, textAlign: 'right' },
  grow: { flex: 1 },
  stack: { gap: SPACE.s, paddingBottom: SPACE.s },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
