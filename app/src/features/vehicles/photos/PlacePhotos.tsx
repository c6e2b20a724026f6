import type { ModelView, PlaceView } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useShopCommand } from '../../../store/useShopCommand';
import { Caution } from '../../../ui/Caution';
import { FilePicker } from '../../../ui/FilePicker';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import { jpegFrom } from './jpegFrom';
import { PhotoCard } from './PhotoCard';

/** The photos of a place, and taking another. */
export function PlacePhotos(props: { readonly model: ModelView; readonly place: PlaceView }) {
  const { model, place } = props;
  const photos = model.photos.filter((photo) => photo.placeId === place.id);
  const adding = useAddPhoto(model.id, place.id);
  return (
    <View style={styles.stack} testID="photos">
      <Words kind="heading">Photos</Words>
      {photos.length === 0 && (
        <Words soft>
          None yet. One of the open panel, with a pin at what was tapped, spares the next one the
          search.
        </Words>
      )}
      {photos.map((photo) => (
        <PhotoCard modelId={model.id} key={photo.id} photo={photo} sources={place.sources} />
      ))}
      <View style={styles.row}>
        <FilePicker
          label="Take a photo"
          accept="image/*"
          camera
          testID="take-photo"
          disabled={adding.busy}
          onFile={adding.add}
        />
        <FilePicker
          label="Choose a picture"
          accept="image/*"
          testID="choose-photo"
          disabled={adding.busy}
          onFile={adding.add}
        />
      </View>
      {adding.busy && <Words testID="photo-sending">Scaling and sending…</Words>}
      {adding.problem !== undefined && <Caution testID="photo-problem">{adding.problem}</Caution>}
      <Words kind="small" soft>
        Scaled down on this device; where and when the camera says it was taken is left out.
      </Words>
    </View>
  );
}

/** Scales a photo and hands it over to be sent: without a signal it waits on this device. */
function useAddPhoto(modelId: string, placeId: string) {
  const [upload, { busy, said }] = useShopCommand('photo');
  const [scaling, setScaling] = useState(false);
  const [problem, setProblem] = useState<string>();
  return {
    busy: scaling || busy,
    problem: problem ?? said,
    add: async (file: File): Promise<void> => {
      setScaling(true);
      setProblem(undefined);
      try {
        const jpegBase64 = await jpegFrom(file);
        await upload({ modelId, placeId, photoId: uuidv7(), jpegBase64 });
      } catch (error) {
        setProblem(error instanceof Error ? error.message : String(error));
      } finally {
        setScaling(false);
      }
    },
  };
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
