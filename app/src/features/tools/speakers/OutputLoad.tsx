import type { Arrangement } from '@lucky-thread/core/sound';
import { MOST_SPEAKERS, arrangementsOf } from '@lucky-thread/core/sound';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../../ui/ActionButton';
import { Card } from '../../../ui/Card';
import { Caution } from '../../../ui/Caution';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import { ToolChoice } from '../ToolFields';

/** Nominal ohms that speakers are sold with. */
const NOMINAL = [2, 3, 4, 6, 8] as const;
/** So many ways are shown; the rest are worse. */
const SHOWN = 4;

/** Props of {@link OutputLoad}. */
export interface OutputLoadProps {
  /** Nominal ohms of the speakers, e.g. `4-8`. */
  readonly on: string;
  /** What the output must stand at least, Ω. */
  readonly least: 2 | 4;
  /** Called with what changed. */
  readonly onChange: (changed: { on?: string; least?: 2 | 4 }) => void;
}

/** What several speakers come to on one output, and which way of hanging them it stands. */
export function OutputLoad({ on, least, onChange }: OutputLoadProps) {
  const ohms = ohmsOf(on);
  const ways = ohms.length === 0 ? [] : arrangementsOf(ohms, least);
  const put = (next: readonly number[]): void => onChange({ on: next.join('-') });
  return (
    <Card testID="output-load">
      <Words kind="heading">Several speakers on one output</Words>
      <ToolChoice
        label="The output stands, by its print, no less than"
        testID="least-ohm"
        options={[
          ['4', '4 Ω'],
          ['2', '2 Ω'],
        ]}
        value={String(least)}
        onChange={(value) => onChange({ least: value === '2' ? 2 : 4 })}
      />
      <Words kind="label" testID="on-output">
        {ohms.length === 0
          ? 'No speaker yet. Add one by what is printed on it:'
          : `On it: ${ohms.map((ohm) => `${ohm} Ω`).join(', ')}. Add one:`}
      </Words>
      <View style={styles.row}>
        {NOMINAL.map((ohm) => (
          <ActionButton
            key={ohm}
            label={`${ohm} Ω`}
            spoken={`${ohm} Ω: add a speaker`}
            testID={`add-${ohm}-ohm`}
            style={styles.even}
            disabled={ohms.length >= MOST_SPEAKERS}
            onPress={() => put([...ohms, ohm])}
          />
        ))}
      </View>
      <ActionButton
        kind="quiet"
        label="Take the last away"
        testID="drop-speaker"
        disabled={ohms.length === 0}
        onPress={() => put(ohms.slice(0, -1))}
      />
      <View aria-live="polite" style={styles.ways}>
        {ways.slice(0, SHOWN).map((way) => (
          <Way key={JSON.stringify(way.branches)} way={way} least={least} />
        ))}
        {ways.length > 0 && !ways.some(({ stands }) => stands) && (
          <Caution testID="no-way">
            No way of hanging these stands: a speaker of more ohms, or an output each.
          </Caution>
        )}
      </View>
      <Words kind="small" soft>
        Never a minus shared between outputs, none to ground: bridged outputs stand at half the
        supply. A meter shows some four fifths of the nominal ohms.
      </Words>
    </Card>
  );
}

function Way({ way, least }: { readonly way: Arrangement; readonly least: number }) {
  return (
    <View testID="way">
      <Words kind="label">
        {`${way.stands ? '✓' : '✕'} ${wordsOf(way)}: ${figure(way.ohm)} Ω`}
      </Words>
      <Words kind="small" soft>
        {way.stands
          ? `Power: ${way.branches
              .flatMap((branch, at) =>
                branch.map((ohm, index) => `${ohm} Ω ${percent(way.shares[at]?.[index] ?? 0)}`),
              )
              .join(', ')}.`
          : `Under ${least} Ω the output runs hot, cuts out or dies.`}
      </Words>
    </View>
  );
}

/** How they hang: "4 Ω + 4 Ω in series", "8 Ω with 8 Ω in parallel". */
function wordsOf({ branches }: Arrangement): string {
  if (branches.length === 1 && branches[0]?.length === 1) return `${branches[0][0] ?? 0} Ω alone`;
  const rows = branches.map((branch) => {
    const row = branch.map((ohm) => `${ohm} Ω`).join(' + ');
    return branch.length > 1 && branches.length > 1 ? `(${row})` : row;
  });
  return rows.length === 1 ? `${rows.join('')} in series` : `${rows.join(' with ')} in parallel`;
}

function ohmsOf(on: string): number[] {
  return on
    .split('-')
    .map(Number)
    .filter((ohm) => NOMINAL.some((one) => one === ohm))
    .slice(0, MOST_SPEAKERS);
}

function figure(ohm: number): string {
  return String(Number(ohm.toFixed(2)));
}

function percent(share: number): string {
  return `${Math.round(100 * share)} %`;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.xs },
  even: { flex: 1, paddingHorizontal: 2 },
  ways: { gap: SPACE.s },
});
