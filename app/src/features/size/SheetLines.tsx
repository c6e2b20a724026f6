import type { FeedSheet, HolderFit } from '@lucky-thread/core/choose';
import type { UnitSystem } from '@lucky-thread/core/units';
import { shown } from '@lucky-thread/core/units';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link SheetLines}. */
export interface SheetLinesProps {
  /** Joint, fuse, wire and steps of the feed. */
  readonly sheet: FeedSheet;
  /** Tells it from others on the screen, for tests. */
  readonly id: string;
  /** What lengths and gauges are shown in. */
  readonly units: UnitSystem;
}

/** Joint, terminal, ground and headroom of a feed, each with its why, and the ways that were refused. */
export function SheetLines({ sheet, id, units }: SheetLinesProps) {
  const best = sheet.methods.ranked[0];
  const { terminal, ground, holder, headroom } = sheet;
  return (
    <View style={styles.stack} testID={`sheet-${id}`}>
      {best !== undefined && (
        <Line name="Joint" what={best.name} why={best.why.join(' ')} cautions={best.cautions} />
      )}
      {holder !== undefined && <HolderLine holder={holder} />}
      <Line
        name="Headroom"
        what={headroom.verdict === 'ok' ? 'enough' : headroom.verdict}
        why={headroom.text}
        cautions={headroom.wayOut === undefined ? [] : [headroom.wayOut]}
      />
      {terminal !== undefined && (
        <Line
          name="Terminal"
          what={terminal.ok ? `${terminal.sleeve.colour} sleeve` : 'none fits'}
          why={
            terminal.ok
              ? `${terminal.because} Strip ${shown('smallLength', terminal.sleeve.stripMm, units)}. On first: ${terminal.first.join(', ')}.`
              : terminal.problem
          }
          cautions={terminal.ok ? [] : [terminal.wayOut]}
        />
      )}
      <Line
        name="Ground"
        what={ground.ring === undefined ? ground.place : `${ground.place}, ring ${ground.ring}`}
        why={`${ground.because} ${ground.steps.join(' ')} At most ${ground.limitV} V over the joint with the load on (${(1000 * ground.limitOhm).toFixed(0)} mΩ).`}
        cautions={[]}
      />
      <Refused methods={sheet.methods.refused} />
    </View>
  );
}

/** What will not do here, and why: shown when it is asked for. */
function Refused({
  methods,
}: {
  readonly methods: SheetLinesProps['sheet']['methods']['refused'];
}) {
  const [shown, setShown] = useState(false);
  if (methods.length === 0) return null;
  return (
    <>
      <ActionButton
        kind="quiet"
        label={shown ? 'Hide what will not do' : 'What will not do'}
        onPress={() => setShown(!shown)}
      />
      {shown &&
        methods.map((one) => (
          <Words
            kind="small"
            key={one.method}
          >{`✕ ${one.name}: ${one.constraint} ${one.wayOut}`}</Words>
        ))}
    </>
  );
}

function HolderLine({ holder }: { readonly holder: HolderFit }) {
  if (!holder.fits)
    return <Line name="Holder" what="none fits" why={holder.note} cautions={[holder.wayOut]} />;
  const cautions = holder.substitute === undefined ? [] : [holder.substitute];
  return <Line name="Holder" what={holder.holder.name} why={holder.note} cautions={cautions} />;
}

function Line(props: {
  readonly name: string;
  readonly what: string;
  readonly why: string;
  readonly cautions: readonly string[];
}) {
  return (
    <View style={styles.line}>
      <Words kind="code" soft style={styles.name}>
        {props.name}
      </Words>
      <View style={styles.what}>
        <Words kind="label">{props.what}</Words>
        <Words kind="small" soft>
          {props.why}
        </Words>
        {props.cautions.map((text) => (
          <Caution key={text}>{text}</Caution>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
  line: { flexDirection: 'row', gap: SPACE.m },
  name: { width: 76, paddingTop: 2 },
  what: { flex: 1, gap: SPACE.xs },
});
