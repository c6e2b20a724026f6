import type { ColourSystem } from '@lucky-thread/core/vehicle';
import { COLOUR_SYSTEMS } from '@lucky-thread/core/vehicle';
import { View } from 'react-native';
import { Choice } from '../ui/Choice';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

const SYSTEM_LABELS: Record<ColourSystem, string> = {
  iec: 'BK BN RD BU',
  german: 'sw br rt bl',
  'letters, B black': 'B black, L blue',
  'letters, B blue': 'B blue, S black',
  english: 'words',
};
const SYSTEMS = COLOUR_SYSTEMS.map((value) => ({ value, label: SYSTEM_LABELS[value] }));

/** In which letters wire colours are written. */
export function ColourSystemChoice(props: {
  readonly value: ColourSystem | undefined;
  readonly onChange: (system: ColourSystem) => void;
}) {
  return (
    <View style={{ gap: SPACE.s }}>
      <Words kind="label">How are they written?</Words>
      <Choice
        label="How the colours are written"
        testID="colour-system"
        options={SYSTEMS}
        value={props.value}
        onChange={props.onChange}
      />
    </View>
  );
}
