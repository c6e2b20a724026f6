import type { PlugCavity } from '@lucky-thread/core/sound';
import { POWER_HALF, SPEAKER_HALF, seenFromTheWheel } from '@lucky-thread/core/sound';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../../ui/Card';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import { ToolChoice } from '../ToolFields';

/** Props of {@link PlugNumbers}. */
export interface PlugNumbersProps {
  /** On which side the wheel is. */
  readonly wheel: 'left' | 'right';
  /** Called with the other side. */
  readonly onWheel: (wheel: 'left' | 'right') => void;
}

/** How the common radio plug numbers its cavities, and what driver's and passenger's side mean in this car. */
export function PlugNumbers({ wheel, onWheel }: PlugNumbersProps) {
  return (
    <Card testID="plug-numbers">
      <Words kind="heading">Numbers and sides</Words>
      <Words>
        Left and right are the car’s, looking forward. Plugs and diagrams that say driver and
        passenger change over with the wheel.
      </Words>
      <ToolChoice
        label="The wheel is"
        testID="wheel"
        options={[
          ['left', 'On the left'],
          ['right', 'On the right'],
        ]}
        value={wheel}
        onChange={onWheel}
      />
      <View style={styles.halves}>
        <Half
          name="Speaker half"
          cavities={SPEAKER_HALF}
          besides={({ speaker }) =>
            speaker === undefined ? undefined : seenFromTheWheel(speaker.place, wheel)
          }
        />
        <Half name="Power half" cavities={POWER_HALF} besides={() => undefined} />
      </View>
      <Words kind="small" soft>
        The common plug of ISO 10487. Makers differ: each cavity is read or popped before it is
        joined.
      </Words>
    </Card>
  );
}

function Half(props: {
  readonly name: string;
  readonly cavities: readonly PlugCavity[];
  readonly besides: (cavity: PlugCavity) => string | undefined;
}) {
  return (
    <View style={styles.half}>
      <Words kind="label">{props.name}</Words>
      {props.cavities.map((cavity) => {
        const more = props.besides(cavity);
        return (
          <View key={cavity.number} style={styles.line}>
            <Words kind="label" style={styles.number}>
              {String(cavity.number)}
            </Words>
            <Words kind="small" style={styles.words}>
              {more === undefined ? cavity.carries : `${cavity.carries} · ${more}`}
            </Words>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  halves: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l },
  half: { flexGrow: 1, minWidth: 260, gap: 2 },
  line: { flexDirection: 'row', gap: SPACE.s, alignItems: 'baseline' },
  number: { width: 24 },
  words: { flex: 1 },
});
