import type { InstrumentFinding, InstrumentTrial } from '@lucky-thread/core/identify/instruments';
import { checkInstruments } from '@lucky-thread/core/identify/instruments';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { parseVolts } from '../../meter/readingRequest';

const GLOWS: readonly { readonly value: 'lit' | 'dim' | 'dark'; readonly label: string }[] = [
  { value: 'lit', label: 'Lit' },
  { value: 'dim', label: 'Dim' },
  { value: 'dark', label: 'Dark' },
];

/** Lamp, clip and battery tried on something known, before anything is judged by them. */
export function InstrumentCheck() {
  const [battery, setBattery] = useState('');
  const [clip, setClip] = useState('');
  const [lamp, setLamp] = useState<'lit' | 'dim' | 'dark'>();
  const outcome = findingsOf({ battery, clip, lamp });
  return (
    <Card testID="instrument-check">
      <Words kind="heading">Trust the tester first</Words>
      <View style={styles.row}>
        <View style={styles.even}>
          <Field
            label="Battery posts, V"
            value={battery}
            onChange={setBattery}
            keyboard="decimal-pad"
            testID="check-battery"
          />
        </View>
        <View style={styles.even}>
          <Field
            label="Battery + to your clip, V"
            value={clip}
            onChange={setClip}
            keyboard="decimal-pad"
            testID="check-clip"
          />
        </View>
      </View>
      <Words kind="label">Test lamp on something surely live</Words>
      <Choice
        label="Test lamp on something live"
        even
        options={GLOWS}
        value={lamp}
        onChange={setLamp}
      />
      {typeof outcome === 'string' ? (
        <Words kind="small">✕ {outcome}</Words>
      ) : (
        outcome.map((finding) => <Finding key={finding.about} finding={finding} />)
      )}
    </Card>
  );
}

function Finding({ finding }: { readonly finding: InstrumentFinding }) {
  if (finding.weight === 'stop') return <Caution>{finding.text}</Caution>;
  return (
    <Words kind="small" testID={`finding-${finding.about}`}>
      {finding.weight === 'good' ? '✓' : '△'} {finding.text}
    </Words>
  );
}

/** What the entries say; a sentence when one of them is no voltage. */
function findingsOf(typed: {
  readonly battery: string;
  readonly clip: string;
  readonly lamp: InstrumentTrial['lampOnLive'];
}): readonly InstrumentFinding[] | string {
  const volts: (number | undefined)[] = [];
  for (const text of [typed.battery, typed.clip]) {
    const value = text.trim() === '' ? undefined : parseVolts(text);
    if (text.trim() !== '' && value === undefined) return `“${text}” is no number of volts`;
    volts.push(value);
  }
  const [batteryV, throughClipV] = volts;
  try {
    return checkInstruments({
      ...(batteryV === undefined ? {} : { batteryV }),
      ...(throughClipV === undefined ? {} : { throughClipV }),
      ...(typed.lamp === undefined ? {} : { lampOnLive: typed.lamp }),
    });
  } catch (error) {
    if (error instanceof RangeError) return error.message;
    throw error;
  }
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.s },
  even: { flex: 1 },
});
