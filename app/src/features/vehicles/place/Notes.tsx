import type { ModelView, NoteKind, NoteView } from '@lucky-thread/contract';
import { LONGEST_NOTE } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useShopCommand } from '../../../store/useShopCommand';
import { ActionButton } from '../../../ui/ActionButton';
import { Caution } from '../../../ui/Caution';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';

/** Props of {@link Notes}. */
export interface NotesProps {
  /** The vehicle model. */
  readonly model: Pick<ModelView, 'id' | 'notes'>;
  /** Id of the place in its model. */
  readonly placeId: string;
  /** The source that they are about; left out for the whole place. */
  readonly sourceId?: string;
}

/** What people wrote about a place or a source, with who and when; one more can be written, and each taken away. */
export function Notes({ model, placeId, sourceId }: NotesProps) {
  const [open, setOpen] = useState(false);
  const notes = model.notes.filter(
    (note) => note.placeId === placeId && note.sourceId === (sourceId ?? null),
  );
  const testID = sourceId === undefined ? 'place-notes' : 'source-notes';
  return (
    <View style={styles.stack} testID={testID}>
      {notes.map((note) => (
        <Note key={note.id} modelId={model.id} note={note} />
      ))}
      {open ? (
        <NewNote
          {...{ model, placeId }}
          {...(sourceId === undefined ? {} : { sourceId })}
          onDone={() => setOpen(false)}
        />
      ) : (
        <ActionButton
          kind="quiet"
          label={
            sourceId === undefined ? 'Note something about this place…' : 'Note something here…'
          }
          testID={`${testID}-open`}
          onPress={() => setOpen(true)}
        />
      )}
    </View>
  );
}

/** One note; taking it away asks once more. */
function Note({ modelId, note }: { readonly modelId: string; readonly note: NoteView }) {
  const [take, { busy, said }] = useShopCommand('noteRemoval');
  const [doubted, setDoubted] = useState(false);
  const text = `${note.text} (${note.by}, ${note.at.slice(0, 10)})`;
  return (
    <View style={styles.row} testID={`note-${note.id}`}>
      <View style={styles.grow}>
        {note.kind === 'bulletin' ? (
          <Caution>{`Known damage: ${text}`}</Caution>
        ) : (
          <Words>{text}</Words>
        )}
        {said !== undefined && <Words kind="small">{said}</Words>}
      </View>
      <ActionButton
        kind="quiet"
        label={doubted ? 'Really take it away' : 'Take away'}
        spoken={`${doubted ? 'Really take it away' : 'Take away'}: ${note.text}`}
        testID={`drop-note-${note.id}`}
        disabled={busy}
        onPress={() => (doubted ? void take({ modelId, noteId: note.id }) : setDoubted(true))}
      />
    </View>
  );
}

const KINDS = [
  { value: 'note', label: 'To know' },
  { value: 'bulletin', label: 'Known damage' },
] as const;

function NewNote({
  model,
  placeId,
  sourceId,
  onDone,
}: NotesProps & { readonly onDone: () => void }) {
  const [write, { busy, said }] = useShopCommand('note');
  const [text, setText] = useState('');
  const [kind, setKind] = useState<NoteKind>('note');
  // One id for all tries: a note whose answer was lost is not written twice.
  const [noteId] = useState(() => uuidv7());
  const words = text.trim();
  const save = async (): Promise<void> => {
    const request = { placeId, kind, text: words, ...(sourceId === undefined ? {} : { sourceId }) };
    const outcome = await write({ modelId: model.id, noteId, request });
    if (outcome.kind !== 'refused') onDone();
  };
  return (
    <>
      <Choice
        label="What it is"
        even
        testID="note-kind"
        options={KINDS}
        value={kind}
        onChange={setKind}
      />
      <Field
        label="What the next one should know"
        hint={
          kind === 'bulletin' && sourceId !== undefined
            ? 'A bulletin or a burnt contact: nothing is joined here any more.'
            : undefined
        }
        testID="note-text"
        value={text}
        problem={words.length > LONGEST_NOTE ? `At most ${LONGEST_NOTE} characters` : said}
        onChange={setText}
      />
      <View style={styles.row}>
        <ActionButton label="Leave it" testID="note-leave" onPress={onDone} />
        <ActionButton
          label="Note it"
          testID="note-keep"
          style={styles.grow}
          disabled={busy || words === '' || words.length > LONGEST_NOTE}
          onPress={() => void save()}
        />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
});
