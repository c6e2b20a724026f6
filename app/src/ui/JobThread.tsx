import type { Phase } from '@lucky-thread/contract';
import { PHASES } from '@lucky-thread/contract';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import Svg, { Circle, Path, Rect } from 'react-native-svg';
import { usePalette } from './ThemeProvider';
import type { Palette } from './tokens';
import { TARGET } from './tokens';
import { Words } from './Words';

/** How a phase of a job stands. */
export type KnotState = 'done' | 'here' | 'waiting' | 'blocked' | 'ahead';

/** Props of {@link JobThread}. */
export interface JobThreadProps {
  /** How each phase of the job stands. */
  readonly knots: Readonly<Record<Phase, KnotState>>;
  /** Phase whose screen is open; none on lists. */
  readonly open?: Phase | undefined;
  /** Called with the phase touched; without it the thread is a picture. */
  readonly onOpen?: (phase: Phase) => void;
}

const NAMES: Record<Phase, string> = {
  vehicle: 'Vehicle',
  device: 'Device',
  find: 'Find',
  choose: 'Choose',
  size: 'Size',
  build: 'Build',
  prove: 'Prove',
  log: 'Log',
};
const SPOKEN: Record<KnotState, string> = {
  done: 'done',
  here: 'here',
  waiting: 'waiting',
  blocked: 'blocked',
  ahead: 'not reached',
};
const HEIGHT = 24;
const MIDDLE = HEIGHT / 2;

/** A job as a thread with a knot per phase: tied when done, a loop where the work is, bare where it has not been. */
export function JobThread(props: JobThreadProps) {
  const { onOpen } = props;
  if (onOpen === undefined)
    return (
      <View
        style={styles.picture}
        role="img"
        aria-label={`Phases: ${PHASES.map((phase) => `${NAMES[phase]} ${SPOKEN[props.knots[phase]]}`).join(', ')}`}
      >
        {PHASES.map((phase) => (
          <View key={phase} style={styles.svgSmall}>
            <Knot state={props.knots[phase]} />
          </View>
        ))}
      </View>
    );
  return (
    <View style={styles.row} role="navigation" aria-label="Phases of the job">
      {PHASES.map((phase) => (
        <TouchableRipple
          key={phase}
          testID={`knot-${phase}`}
          role="link"
          aria-label={`${NAMES[phase]}, ${SPOKEN[props.knots[phase]]}`}
          aria-current={props.open === phase ? 'step' : undefined}
          onPress={() => onOpen(phase)}
          style={styles.target}
        >
          <KnotWithName phase={phase} state={props.knots[phase]} open={props.open === phase} />
        </TouchableRipple>
      ))}
    </View>
  );
}

function KnotWithName(props: { phase: Phase; state: KnotState; open: boolean }) {
  const palette = usePalette();
  return (
    <View style={styles.knot}>
      <View style={styles.svg}>
        <Knot state={props.state} />
      </View>
      <Words
        kind="code"
        lines={1}
        colour={props.open || props.state !== 'ahead' ? palette.ink : palette.inkSoft}
        style={props.open && styles.open}
      >
        {NAMES[props.phase]}
      </Words>
    </View>
  );
}

function Knot({ state }: { readonly state: KnotState }) {
  const palette = usePalette();
  const walked = state !== 'ahead';
  return (
    <View style={styles.stretch}>
      <View
        style={[
          styles.line,
          walked
            ? { borderColor: palette.ink, borderTopWidth: 2.5 }
            : { borderColor: palette.line, borderTopWidth: 2, borderStyle: 'dashed' },
        ]}
      />
      <Svg width={HEIGHT} height={HEIGHT} aria-hidden>
        <KnotMark state={state} palette={palette} />
      </Svg>
    </View>
  );
}

function KnotMark({ state, palette }: { state: KnotState; palette: Palette }) {
  const c = MIDDLE;
  switch (state) {
    case 'done':
      return <Circle cx={c} cy={c} r={6} fill={palette.ink} />;
    case 'here':
      return (
        <>
          <Circle
            cx={c}
            cy={c}
            r={9}
            fill={palette.canvas}
            stroke={palette.accent}
            strokeWidth={3.5}
          />
          <Circle cx={c} cy={c} r={3} fill={palette.accent} />
        </>
      );
    case 'waiting':
      return (
        <Circle
          cx={c}
          cy={c}
          r={8}
          fill={palette.canvas}
          stroke={palette.ink}
          strokeWidth={2.5}
          strokeDasharray="3 3"
        />
      );
    case 'blocked':
      return <BlockedMark palette={palette} />;
    case 'ahead':
      return (
        <Circle cx={c} cy={c} r={4} fill={palette.canvas} stroke={palette.line} strokeWidth={2} />
      );
  }
}

/** A square with a bar across: nothing goes on here. */
function BlockedMark({ palette }: { readonly palette: Palette }) {
  const c = MIDDLE;
  return (
    <>
      <Rect
        x={c - 8}
        y={c - 8}
        width={16}
        height={16}
        fill={palette.danger}
        stroke={palette.onDanger}
        strokeWidth={2}
      />
      <Path
        d={`M${c - 6} ${c + 6} L${c + 6} ${c - 6}`}
        stroke={palette.onDanger}
        strokeWidth={2.5}
      />
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row' },
  picture: { flexDirection: 'row', width: 176, maxWidth: '100%' },
  target: { flex: 1, minHeight: TARGET, justifyContent: 'center' },
  knot: { alignItems: 'center' },
  svg: { width: '100%', height: HEIGHT },
  stretch: { width: '100%', height: HEIGHT, alignItems: 'center', justifyContent: 'center' },
  line: { position: 'absolute', left: 0, right: 0, top: MIDDLE - 1 },
  svgSmall: { flex: 1, height: HEIGHT },
  open: { textDecorationLine: 'underline' },
});
