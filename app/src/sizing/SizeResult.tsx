import type { ConductorCheck, FeedLoad, FeedSize } from '@lucky-thread/core/size';
import { coordinationCurves, leadOf, nextUpFrom, reasonsFor } from '@lucky-thread/core/size';
import type { UnitSystem } from '@lucky-thread/core/units';
import { shown } from '@lucky-thread/core/units';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { Caution } from '../ui/Caution';
import { CoordinationChart } from '../ui/charts/CoordinationChart';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

/** Props of {@link SizeResult}. */
export interface SizeResultProps {
  /** What was worked out. */
  readonly size: FeedSize;
  /** What the feed draws. */
  readonly load: FeedLoad;
  /** Tells it from others on the screen, for tests. */
  readonly id: string;
  /** What lengths and gauges are shown in. */
  readonly units: UnitSystem;
}

/** Fuse, wire and drop in large figures, what they rest on, and the chart that shows that the fuse keeps the wire whole. */
export function SizeResult({ size, load, id, units }: SizeResultProps) {
  const [why, setWhy] = useState(false);
  if (!size.ok)
    return (
      <View style={styles.stack} testID={`refused-${id}`}>
        <Caution>{`Does not work out, ${size.failed.constraint}: ${size.failed.text}`}</Caution>
        <Words>{size.relax}</Words>
      </View>
    );
  const { awg, metric } = size.conductors;
  const mine = shownConductor(size, units);
  const other = mine === awg ? metric : awg;
  if (mine === undefined) return null;
  return (
    <View style={styles.stack}>
      <View style={styles.figures}>
        <Figure value={`${size.fuseA} A`} name="added fuse" />
        <Figure
          value={mine.size.name}
          name={other === undefined ? 'wire' : `wire; or ${other.size.name}`}
        />
        <Figure
          value={`${mine.drop.dropV.toFixed(2)} V`}
          name={`drop, ${mine.drop.percent.toFixed(1)} %`}
        />
      </View>
      <Words kind="small" soft testID={`basis-${id}`}>
        {`Basis: ${mine.drop.statement}; limit ${load.dropLimitPercent} %.${mine.drop.returnV > 0 ? ` Out ${mine.drop.supplyV.toFixed(2)} V, back ${mine.drop.returnV.toFixed(2)} V.` : ''}`}
      </Words>
      <ActionButton
        kind="quiet"
        label={why ? 'Hide why' : 'Why these, and the fuse chart'}
        testID={`why-${id}`}
        onPress={() => setWhy(!why)}
      />
      {why && <Why {...{ size, load, units, mine }} />}
    </View>
  );
}

/** The fuse chart, and why fuse and wire are these. */
function Why(
  props: Pick<SizeResultProps, 'load' | 'units'> & {
    readonly size: Extract<SizeResultProps['size'], { ok: true }>;
    readonly mine: NonNullable<ReturnType<typeof shownConductor>>;
  },
) {
  const { size, load, units, mine } = props;
  const nextUp = nextUpFrom(load, mine, size.fuseA);
  return (
    <>
      <CoordinationChart
        curves={coordinationCurves(leadOf(load, size.fuseA, mine.size.areaMm2))}
        wire={mine.size.name}
        fuseA={size.fuseA}
      />
      {reasonsFor(load, mine, size).map((reason) => (
        <Words kind="small" key={reason.constraint}>{`· ${reason.text}`}</Words>
      ))}
      {nextUp !== undefined && (
        <Words kind="small">
          {`· One size up, ${nextUp.name}: ${nextUp.percent.toFixed(1)} % drop, ${shown('mass', nextUp.moreGrams, units)} more copper.`}
        </Words>
      )}
      {size.withoutSpare !== undefined && (
        <Words kind="small">
          {`· Without the spare ${size.withoutSpare.name} would do: ${shown('mass', -size.withoutSpare.moreGrams, units)} of copper saved.`}
        </Words>
      )}
    </>
  );
}

/** The conductor that is shown large: of the user's own system where one of it passes. */
export function shownConductor(size: FeedSize, units: UnitSystem): ConductorCheck | undefined {
  if (!size.ok) return undefined;
  const { awg, metric } = size.conductors;
  return units === 'us' ? (awg ?? metric) : (metric ?? awg);
}

/** A number that is read at arm's length, with its name below. */
export function Figure(props: { readonly value: string; readonly name: string }) {
  return (
    <View style={styles.figure}>
      <Words kind="figure">{props.value}</Words>
      <Words kind="small" soft>
        {props.name}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.m, rowGap: SPACE.s },
  figure: { minWidth: 80 },
});
