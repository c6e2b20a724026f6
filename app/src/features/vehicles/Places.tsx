import type { ModelView, PlaceView } from '@lucky-thread/contract';
import type { PlaceKind } from '@lucky-thread/core/vehicle';
import { PLACE_KINDS, PLACE_KIND_NAMES } from '@lucky-thread/core/vehicle';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { ActionButton } from '../../ui/ActionButton';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Where a vehicle's sources sit: its panels, connectors, looms, sockets, studs and grounds. */
export function Places({ model }: { readonly model: ModelView }) {
  return (
    <View style={styles.stack} testID="places">
      <Words kind="heading">Places</Words>
      {model.places.length === 0 && (
        <Words soft>
          Nothing entered yet. A job can start all the same: each slot is entered when it is in
          hand.
        </Words>
      )}
      {model.places.map((place) => (
        <PlaceRow key={place.id} model={model} place={place} />
      ))}
      {model.simulated ? (
        <Words kind="small" soft>
          A simulated car stands behind this model: its places are those that it was made with.
        </Words>
      ) : (
        <AddPlace modelId={model.id} />
      )}
    </View>
  );
}

function PlaceRow({ model, place }: { readonly model: ModelView; readonly place: PlaceView }) {
  const router = useRouter();
  const palette = usePalette();
  const inside = (
    <View style={styles.inside}>
      <View style={styles.grow}>
        <Words kind="label">{place.name}</Words>
        <Words>{place.location}</Words>
        {place.reach.steps.map((step, index) => (
          <Words kind="small" soft key={step}>{`${index + 1}. ${step}`}</Words>
        ))}
        {place.notes !== '' && (
          <Words kind="small" soft>
            {place.notes}
          </Words>
        )}
      </View>
      <View style={styles.count}>
        <Words kind="figure">{place.sources.length}</Words>
        <Words kind="small" soft>
          {HOLDS[place.kind][place.sources.length === 1 ? 0 : 1]}
        </Words>
      </View>
    </View>
  );
  const look = [styles.row, { backgroundColor: palette.raised }];
  if (model.simulated) return <View style={look}>{inside}</View>;
  return (
    <TouchableRipple
      role="link"
      testID={`place-${place.id}`}
      onPress={() => router.navigate(`/vehicles/${model.id}/places/${place.id}`)}
      style={look}
    >
      {inside}
    </TouchableRipple>
  );
}

/** What each kind of place holds: one, several. */
const HOLDS: Record<PlaceKind, readonly [string, string]> = {
  fusePanel: ['slot', 'slots'],
  connector: ['wire', 'wires'],
  loom: ['wire', 'wires'],
  relaySocket: ['terminal', 'terminals'],
  stud: ['stud', 'studs'],
  groundPoint: ['bolt', 'bolts'],
  socketOutlet: ['wire', 'wires'],
};

function AddPlace({ modelId }: { readonly modelId: string }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  if (!open)
    return <ActionButton label="Add a place" testID="add-place" onPress={() => setOpen(true)} />;
  return (
    <View style={styles.kinds} role="group" aria-label="What sort of place">
      {PLACE_KINDS.map((kind) => (
        <ActionButton
          key={kind}
          label={capital(PLACE_KIND_NAMES[kind])}
          testID={`add-${kind}`}
          style={styles.kind}
          onPress={() => router.navigate(`/vehicles/${modelId}/places/new?kind=${kind}`)}
        />
      ))}
    </View>
  );
}

function capital(text: string): string {
  return text.slice(0, 1).toUpperCase() + text.slice(1);
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { borderRadius: RADIUS, minHeight: TARGET, padding: SPACE.m },
  inside: { flexDirection: 'row', gap: SPACE.m, alignItems: 'center' },
  grow: { flex: 1 },
  count: { alignItems: 'center', minWidth: 64 },
  kinds: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  kind: { flexGrow: 1, flexBasis: 150 },
});
