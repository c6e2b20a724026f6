import type { Verdict } from '@lucky-thread/core/identify';
import type { Place, Source } from '@lucky-thread/core/vehicle';
import { isConductor, panelsIn } from '@lucky-thread/core/vehicle';
import { ScrollView, StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { FusePanel } from '../../../panel/FusePanel';
import { WireSwatch } from '../../../panel/WireSwatch';
import { usePalette } from '../../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import { sourceFacts } from './sourceFacts';

/** Props of {@link PlaceSources}. */
export interface PlaceSourcesProps {
  /** The place whose sources are shown. */
  readonly place: Place;
  /** Id of the one that was touched last; undefined when none was. */
  readonly touchedId: string | undefined;
  /** Called with the id of the touched source. */
  readonly onTouch: (sourceId: string) => void;
}

const NO_VERDICTS: ReadonlyMap<string, Verdict> = new Map();
const NONE: ReadonlySet<string> = new Set();
/** Size of a cavity on the drawing, px. */
const CAVITY = 84;

/** What a place holds, drawn as each kind is seen. */
export function PlaceSources({ place, touchedId, onTouch }: PlaceSourcesProps) {
  const [panel] = panelsIn([place]);
  if (panel !== undefined)
    return (
      <FusePanel
        bare
        panel={panel}
        verdicts={NO_VERDICTS}
        selectedId={touchedId}
        wantedIds={NONE}
        loggedIds={NONE}
        onTouch={onTouch}
      />
    );
  if (place.kind === 'connector')
    return <Connector place={place} touchedId={touchedId} onTouch={onTouch} />;
  return (
    <View role="list" aria-label={place.name} style={styles.list} testID="place-sources">
      {place.sources.map((source) => (
        <View role="listitem" key={source.id}>
          <Key source={source} touched={source.id === touchedId} onTouch={onTouch}>
            <Words kind="small" soft style={styles.fill}>
              {sourceFacts(source).slice(0, 2).join(' · ')}
            </Words>
          </Key>
        </View>
      ))}
    </View>
  );
}

/** A connector as one looks at it, from the side that the wires go in. */
function Connector({ place, touchedId, onTouch }: PlaceSourcesProps) {
  const palette = usePalette();
  return (
    <View style={styles.stack} testID="place-sources">
      <Words kind="small" soft>
        Seen from the side that the wires go in.
      </Words>
      <ScrollView horizontal tabIndex={0}>
        <View
          style={{
            width: place.columns * CAVITY + 2 * SPACE.s,
            height: place.rows * CAVITY + 2 * SPACE.s,
            backgroundColor: palette.sunken,
            borderRadius: RADIUS * 2,
          }}
        >
          {place.sources.map((source) =>
            source.kind === 'cavity' ? (
              <View
                key={source.id}
                style={{
                  position: 'absolute',
                  left: SPACE.s + source.column * CAVITY,
                  top: SPACE.s + source.row * CAVITY,
                  width: CAVITY - 4,
                  height: CAVITY - 4,
                }}
              >
                <Key source={source} touched={source.id === touchedId} onTouch={onTouch} upright />
              </View>
            ) : null,
          )}
        </View>
      </ScrollView>
    </View>
  );
}

function Key(props: {
  readonly source: Source;
  readonly touched: boolean;
  readonly onTouch: (sourceId: string) => void;
  readonly upright?: boolean;
  readonly children?: React.ReactNode;
}) {
  const palette = usePalette();
  const { source, touched } = props;
  const colour = isConductor(source) ? (source.seenColour ?? source.colour) : undefined;
  return (
    <TouchableRipple
      role="button"
      aria-pressed={touched}
      testID={`source-${source.id}`}
      onPress={() => props.onTouch(source.id)}
      style={[
        styles.key,
        {
          backgroundColor: palette.raised,
          borderColor: touched ? palette.accent : palette.line,
          borderWidth: touched ? 3 : 1,
        },
        props.upright === true && styles.fill,
      ]}
    >
      <View style={props.upright === true ? styles.cavity : styles.row}>
        <Words kind="code">{source.kind === 'slot' ? source.position : source.name}</Words>
        {isConductor(source) && (
          <>
            <WireSwatch colour={colour} />
            <Words kind="code">{colour ?? '?'}</Words>
          </>
        )}
        {props.children}
      </View>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  list: { gap: SPACE.xs },
  fill: { flex: 1 },
  key: { minHeight: TARGET, borderRadius: RADIUS, overflow: 'hidden' },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, padding: SPACE.s, flex: 1 },
  cavity: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: 2 },
});
