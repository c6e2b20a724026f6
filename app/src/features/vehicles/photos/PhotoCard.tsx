import type { PhotoPinInput, PhotoView } from '@lucky-thread/contract';
import type { Source } from '@lucky-thread/core/vehicle';
import { nameOf } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BodyOf } from '../../../store/shopCommands';
import { useShopCommand } from '../../../store/useShopCommand';
import { ActionButton } from '../../../ui/ActionButton';
import { Card } from '../../../ui/Card';
import { Caution } from '../../../ui/Caution';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import { PinnedPhoto } from './PinnedPhoto';

/** Props of {@link PhotoCard}. */
export interface PhotoCardProps {
  /** UUID of the vehicle model. */
  readonly modelId: string;
  /** The photo with its pins. */
  readonly photo: PhotoView;
  /** What can be pinned on it. */
  readonly sources: readonly Source[];
}

/** A photo of a place; what it shows can be said and pinned. */
export function PhotoCard({ modelId, photo, sources }: PhotoCardProps) {
  const [open, setOpen] = useState(false);
  if (open)
    return (
      <PinEditor
        key={photo.version}
        modelId={modelId}
        photo={photo}
        sources={sources}
        onDone={() => setOpen(false)}
      />
    );
  return (
    <Card>
      <PinnedPhoto photo={photo} />
      <View style={styles.row}>
        <Words kind="small" soft style={styles.grow}>
          {`${photo.takenBy}, ${photo.takenAt.slice(0, 10)}`}
        </Words>
        <ActionButton
          label={photo.pins.length === 0 ? 'Put pins on it' : 'Change pins'}
          testID={`pin-photo-${photo.id}`}
          onPress={() => setOpen(true)}
        />
      </View>
    </Card>
  );
}

/** A source is chosen, then the photo is touched where it is seen. */
function PinEditor({
  modelId,
  photo,
  sources,
  onDone,
}: PhotoCardProps & { readonly onDone: () => void }) {
  const [pins, setPins] = useState<readonly PhotoPinInput[]>(photo.pins);
  const [caption, setCaption] = useState(photo.caption);
  const [chosen, setChosen] = useState<string>();
  const [describe, { busy, said }] = useShopCommand('photoWords');
  const pinned = (sourceId: string): boolean => pins.some((pin) => pin.sourceId === sourceId);
  const put = (sourceId: string, at: { readonly x: number; readonly y: number }): void =>
    setPins([...pins.filter((pin) => pin.sourceId !== sourceId), { sourceId, ...at }]);
  const choose = (sourceId: string): void => {
    setChosen(sourceId);
    // In the middle at first: without a pointer it is moved from there.
    if (!pinned(sourceId)) put(sourceId, { x: 0.5, y: 0.5 });
  };
  const save = async (): Promise<void> => {
    const outcome = await describe({
      modelId,
      photoId: photo.id,
      request: { base: photo.version, caption: caption.trim(), pins: [...pins] },
    });
    if (outcome.kind !== 'refused') onDone();
  };
  return (
    <Card testID="pin-editor">
      <PinnedPhoto
        photo={{ ...photo, caption: '' }}
        pins={pins}
        chosenId={chosen}
        {...(chosen === undefined ? {} : { onTouch: (at) => put(chosen, at) })}
      />
      <Words>
        {chosen === undefined
          ? 'Choose what to pin, then touch the photo where it is.'
          : `Touch the photo where ${nameIn(sources, chosen)} is.`}
      </Words>
      <Choice
        label="What to pin"
        testID="pin-source"
        options={sources.map((source) => ({
          value: source.id,
          label: `${pinned(source.id) ? '● ' : ''}${nameOf(source)}`,
        }))}
        value={chosen}
        onChange={choose}
      />
      {chosen !== undefined && pinned(chosen) && (
        <Nudge
          pin={pins.find((pin) => pin.sourceId === chosen)}
          onMove={(at) => put(chosen, at)}
          onTakeAway={() => {
            setPins(pins.filter((pin) => pin.sourceId !== chosen));
            setChosen(undefined);
          }}
        />
      )}
      <Field
        label="What is to be seen"
        testID="photo-caption"
        value={caption}
        onChange={setCaption}
      />
      {said !== undefined && <Caution testID="photo-refusal">{said}</Caution>}
      <View style={styles.row}>
        <DropPhoto modelId={modelId} photoId={photo.id} />
        <ActionButton label="Leave it" testID="leave-pins" onPress={onDone} />
        <ActionButton
          kind="next"
          label="Keep it so"
          testID="keep-pins"
          style={styles.grow}
          disabled={busy}
          onPress={() => void save()}
        />
      </View>
    </Card>
  );
}

/** One step of the arrows, as a share of the photo's side. */
const STEP = 0.02;

/** Moves a pin in small steps, for whoever has no free thumb, or no pointer. */
function Nudge(props: {
  readonly pin: PhotoPinInput | undefined;
  readonly onMove: (at: { readonly x: number; readonly y: number }) => void;
  readonly onTakeAway: () => void;
}) {
  const { pin } = props;
  if (pin === undefined) return null;
  const within = (value: number): number => Math.min(1, Math.max(0, value));
  const move = (x: number, y: number) => () =>
    props.onMove({ x: within(pin.x + x * STEP), y: within(pin.y + y * STEP) });
  return (
    <View style={styles.nudge}>
      <ActionButton label="←" spoken="Left" kind="quiet" onPress={move(-1, 0)} />
      <ActionButton label="→" spoken="Right" kind="quiet" onPress={move(1, 0)} />
      <ActionButton label="↑" spoken="Up" kind="quiet" onPress={move(0, -1)} />
      <ActionButton label="↓" spoken="Down" kind="quiet" onPress={move(0, 1)} />
      <ActionButton
        label="Take pin off"
        testID="drop-pin"
        kind="quiet"
        onPress={props.onTakeAway}
      />
    </View>
  );
}

/** Taking a photo away asks once more. */
function DropPhoto(props: BodyOf<'photoRemoval'>) {
  const [drop] = useShopCommand('photoRemoval');
  const [asked, setAsked] = useState(false);
  return (
    <ActionButton
      kind="quiet"
      label={asked ? 'Really delete it' : 'Delete…'}
      testID="drop-photo"
      onPress={() => (asked ? void drop(props) : setAsked(true))}
    />
  );
}

function nameIn(sources: readonly Source[], id: string): string {
  const source = sources.find((one) => one.id === id);
  return source === undefined ? id : nameOf(source);
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.s },
  nudge: { flexDirection: 'row', alignItems: 'center' },
  grow: { flex: 1 },
});
