import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { ActionButton } from './ActionButton';
import { usePalette } from './ThemeProvider';
import { SPACE } from './tokens';
import { Words } from './Words';

/** Shown while something loads. */
export function Loading(props: { readonly what: string }) {
  const palette = usePalette();
  return (
    <View style={styles.middle} role="status" aria-label={`Loading ${props.what}`}>
      <ActivityIndicator color={palette.ink} aria-label={`Loading ${props.what}`} />
      <Words soft>Loading {props.what}</Words>
    </View>
  );
}

/** Shown when something could not be had, with a way to try again. */
export function Failed(props: {
  readonly what: string;
  /** What the server said; left out when it said nothing. */
  readonly why?: string | undefined;
  readonly onRetry: () => void;
  /** Leads back to where there is something. */
  readonly onBack?: () => void;
}) {
  return (
    <View style={styles.middle} role="alert">
      <Words kind="heading">{props.what} could not be loaded</Words>
      <Words soft testID="failed-why">
        {props.why ?? 'Readings you take are kept on this phone until the server answers.'}
      </Words>
      <ActionButton label="Try again" onPress={props.onRetry} />
      {props.onBack !== undefined && (
        <ActionButton kind="quiet" label="‹ Jobs" testID="failed-back" onPress={props.onBack} />
      )}
    </View>
  );
}

/** Shown when something could not be worked out on this device, with a way to try again. */
export function NotWorkedOut(props: {
  readonly what: string;
  readonly problem: string | undefined;
  readonly onRetry: () => void;
}) {
  if (props.problem === undefined) return null;
  return (
    <View role="alert" testID="not-worked-out" style={styles.line}>
      <Words kind="small" style={styles.grow}>
        ✕ {props.what} could not be worked out: {props.problem}. What you entered is kept.
      </Words>
      <ActionButton label="Try again" onPress={props.onRetry} />
    </View>
  );
}

/** Shown where nothing is yet, with what to do about it. */
export function Empty(props: { readonly title: string; readonly text: string }) {
  return (
    <View style={styles.middle}>
      <Words kind="heading">{props.title}</Words>
      <Words soft style={styles.centred}>
        {props.text}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({
  middle: { padding: SPACE.xl, gap: SPACE.m, alignItems: 'center', justifyContent: 'center' },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
  centred: { textAlign: 'center', maxWidth: 420 },
});
