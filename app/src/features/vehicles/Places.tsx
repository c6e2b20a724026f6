import type { ModelView, PlaceView } from '@lucky-thread/contract';
import type { PlaceKind } from '@lucky-thread/core/vehicle';
import { PLACE_KINDS, PLACE_KIND_NAMES } from '@lucky-thread/core/vehicle';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { BodyPlan } from './BodyPlan';

/** Where a vehicle's sources sit: on the plan of its body, and one by one. */
export function Places({ model }: { readonly model: ModelView }) {
  const router = useRouter();
  const numbers = new Map(model.places.map((place, index) => [place.id, index + 1]));
  const open = (placeId: string): void =>
    router.navigate(`/vehicles/${model.id}/places/${placeId}`);
  return (
    <View style={styles.stack} testID="places">
      <Words kind="heading">Places</Words>
      {model.places.length === 0 ? (
        <Words soft>
          Nothing entered yet. A job can start all the same: each slot is entered when it is in
          hand.
        </Words>
      ) : (
        <View style={styles.beside}>
          {model.places.some((place) => place.zone !== undefined) && (
            <Plan model={model} numbers={numbers} onPlace={open} />
          )}
          <View style={styles.list}>
            {model.places.map((place) => (
              <PlaceRow
                key={place.id}
                place={place}
                number={numbers.get(place.id) ?? 0}
                photos={model.photos.filter((photo) => photo.placeId === place.id).length}
                onPress={() => open(place.id)}
              />
            ))}
          </View>
        </View>
      )}
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

/** The plan, for the side that the wheel is on; where a model comes with both, one chooses. */
function Plan(props: {
  readonly model: ModelView;
  readonly numbers: ReadonlyMap<string, number>;
  readonly onPlace: (placeId: string) => void;
}) {
  const { model } = props;
  const [steering, setSteering] = useState(model.steering[0] ?? 'left');
  return (
    <View style={styles.plan}>
      <BodyPlan
        places={model.places}
        steering={steering}
        numbers={props.numbers}
        onPlace={props.onPlace}
      />
      {model.steering.length > 1 && (
        <Choice
          label="Steering wheel"
          testID="plan-steering"
          even
          options={[
            { value: 'left', label: 'Wheel left' },
            { value: 'right', label: 'Wheel right' },
          ]}
          value={steering}
          onChange={setSteering}
        />
      )}
    </View>
  );
}

function PlaceRow(props: {
  readonly place: PlaceView;
  readonly number: number;
  readonly photos: number;
  readonly onPress: () => void;
}) {
  const palette = usePalette();
  const { place, number, photos } = props;
  const { seconds } = place.reach;
  return (
    <TouchableRipple
      role="link"
      testID={`place-${place.id}`}
      onPress={props.onPress}
      style={[styles.row, { backgroundColor: palette.raised }]}
    >
      <View style={styles.inside}>
        <View style={[styles.number, { backgroundColor: palette.ink }]}>
          <Words kind="code" colour={palette.canvas}>
            {number}
          </Words>
        </View>
        <View style={styles.grow}>
          <Words kind="label">{place.name}</Words>
          <Words>{place.location}</Words>
          <Words kind="small" soft>
            {[
              PLACE_KIND_NAMES[place.kind],
              ...(seconds === undefined ? [] : [`${seconds} s to reach`]),
              ...(photos === 0 ? [] : [`${photos} ${photos === 1 ? 'photo' : 'photos'}`]),
            ].join(' · ')}
          </Words>
        </View>
        <View style={styles.count}>
          <Words kind="figure">{place.sources.length}</Words>
          <Words kind="small" soft>
            {HOLDS[place.kind][place.sources.length === 1 ? 0 : 1]}
          </Words>
        </View>
      </View>
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
  beside: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.l, justifyContent: 'center' },
  plan: { gap: SPACE.s },
  list: { flexGrow: 1, flexBasis: 300, gap: SPACE.s },
  row: { borderRadius: RADIUS, minHeight: TARGET, padding: SPACE.m },
  inside: { flexDirection: 'row', gap: SPACE.m, alignItems: 'center' },
  number: {
    width: 28,
    height: 28,
    borderRadius: 14,
    alignItems: 'center',
    justifyContent: 'center',
  },
  grow: { flex: 1 },
  count: { alignItems: 'center', minWidth: 64 },
  kinds: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  kind: { flexGrow: 1, flexBasis: 150 },
});
