import type { ModelView, PlaceView } from '@lucky-thread/contract';
import { modelName } from '@lucky-thread/contract';
import { PLACE_KIND_NAMES } from '@lucky-thread/core/vehicle';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useModel } from '../../../store/shown';
import { ActionButton } from '../../../ui/ActionButton';
import { Screen, useWide } from '../../../ui/Screen';
import { Failed, Loading } from '../../../ui/States';
import { SPACE } from '../../../ui/tokens';
import { TwoColumns } from '../../../ui/TwoColumns';
import { Words } from '../../../ui/Words';
import { PlacePhotos } from '../photos/PlacePhotos';
import { HandbookList } from './HandbookList';
import { Notes } from './Notes';
import { PlaceSources } from './PlaceSources';
import { SourceSheet } from './SourceSheet';

/** Props of {@link PlacePage}. */
export interface PlacePageProps {
  /** UUID of the vehicle model. */
  readonly modelId: string;
  /** Id of the place in its model. */
  readonly placeId: string;
}

/** One place of a vehicle: how to get at it, what it holds, and photos of it. */
export function PlacePage({ modelId, placeId }: PlacePageProps) {
  const model = useModel(modelId);
  if (model.isError)
    return <Failed what="The vehicle model" onRetry={() => void model.refetch()} />;
  if (model.data === undefined) return <Loading what="the vehicle model" />;
  const place = model.data.places.find((one) => one.id === placeId);
  if (place === undefined) return <Failed what="That place" onRetry={() => void model.refetch()} />;
  return <Page model={model.data} place={place} />;
}

function Page({ model, place }: { readonly model: ModelView; readonly place: PlaceView }) {
  const router = useRouter();
  const wide = useWide();
  const [sourceId, setSourceId] = useState<string>();
  const source = place.sources.find((one) => one.id === sourceId);
  const touch = (id: string): void => setSourceId(id === sourceId ? undefined : id);
  return (
    <Screen
      testID="place-page"
      roomy
      {...(model.simulated
        ? {}
        : {
            bottom: (
              <ActionButton
                label="Put this place right"
                testID="edit-place"
                onPress={() => router.navigate(`/vehicles/${model.id}/places/${place.id}/edit`)}
              />
            ),
          })}
    >
      <TwoColumns
        first={
          <>
            <Head model={model} place={place} />
            <PlaceSources place={place} touchedId={sourceId} onTouch={touch} />
            <HandbookList model={model} place={place} />
          </>
        }
        second={
          <>
            {source === undefined ? (
              wide && <Words soft>Touch one to see what is known of it.</Words>
            ) : (
              <SourceSheet key={source.id} model={model} source={source} />
            )}
            <Notes model={model} placeId={place.id} />
            <PlacePhotos model={model} place={place} />
          </>
        }
      />
    </Screen>
  );
}

function Head({ model, place }: { readonly model: ModelView; readonly place: PlaceView }) {
  const { steps, fasteners, tools, seconds } = place.reach;
  const needed = [
    ...(tools.length === 0 ? [] : [`With: ${tools.join(', ')}`]),
    ...(fasteners.length === 0 ? [] : [`undone: ${fasteners.join(', ')}`]),
    ...(seconds === undefined ? [] : [`about ${seconds} s`]),
  ];
  return (
    <View style={styles.head}>
      <Words kind="title">{place.name}</Words>
      <Words soft>{`${modelName(model)} · ${PLACE_KIND_NAMES[place.kind]}`}</Words>
      <Words kind="instruction">{place.location}</Words>
      {steps.map((step, index) => (
        <Words key={step}>{`${index + 1}. ${step}`}</Words>
      ))}
      {needed.length > 0 && (
        <Words kind="small" soft>
          {needed.join(' · ')}
        </Words>
      )}
      {place.keying !== undefined && <Words>{`Keyed: ${place.keying}`}</Words>}
      {place.harness !== undefined && (
        <Words kind="small" soft>
          {`Its colours mean something inside this harness only: ${place.harness}.`}
        </Words>
      )}
      {place.notes !== '' && <Words>“{place.notes}”</Words>}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { gap: SPACE.xs },
});
