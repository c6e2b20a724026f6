import type { ModelView, PlaceView } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useUploadPhotoMutation } from '../../../store/api';
import { problemText } from '../../../store/problemText';
import { ActionButton } from '../../../ui/ActionButton';
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
        <PhotoCard key={photo.id} photo={photo} sources={place.sources} />
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
      {adding.again !== undefined && (
        <ActionButton label="Send it again" testID="photo-again" onPress={adding.again} />
      )}
      <Words kind="small" soft>
        Scaled down on this device; where and when the camera says it was taken is left out.
      </Words>
    </View>
  );
}

/** Scales and sends a photo; one that did not arrive is kept to be sent again under the same id. */
function useAddPhoto(modelId: string, placeId: string) {
  const [upload, { isLoading }] = useUploadPhotoMutation();
  const [scaling, setScaling] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [unsent, setUnsent] = useState<{ readonly photoId: string; readonly jpeg: Blob }>();
  const send = async (photo: { readonly photoId: string; readonly jpeg: Blob }): Promise<void> => {
    setUnsent(undefined);
    const { error } = await upload({ modelId, placeId, ...photo });
    setProblem(error === undefined ? undefined : problemText(error));
    if (error !== undefined) setUnsent(photo);
  };
  return {
    busy: scaling || isLoading,
    problem,
    again: unsent === undefined ? undefined : () => void send(unsent),
    add: async (file: File): Promise<void> => {
      setScaling(true);
      setProblem(undefined);
      try {
        await send({ photoId: uuidv7(), jpeg: await jpegFrom(file) });
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
