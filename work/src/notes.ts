import type { NoteView } from '@lucky-thread/contract';
import type { JobContext } from './jobContext';

/** A model's notes. */
type Noted = { readonly model: Pick<JobContext['model'], 'notes'> };

/** What was written about a place as a whole, with who. */
export function placeNotesOf({ model }: Noted, placeId: string): string[] {
  return model.notes
    .filter((note) => note.placeId === placeId && note.sourceId === null)
    .map(written);
}

/** What was written about a source, with who. */
export function sourceNotesOf({ model }: Noted, sourceId: string): string[] {
  return model.notes.filter((note) => note.sourceId === sourceId).map(written);
}

/** The damage that is known at a source; undefined where none is. Nothing is joined there. */
export function bulletinAt({ model }: Noted, sourceId: string): string | undefined {
  return damageOf({ model })[sourceId];
}

/** The damage that is known on a model, by source. */
export function damageOf({ model }: Noted): Record<string, string> {
  return Object.fromEntries(
    model.notes.flatMap(({ sourceId, kind, text }) =>
      sourceId !== null && kind === 'bulletin' ? [[sourceId, text] as const] : [],
    ),
  );
}

function written({ kind, by, text }: NoteView): string {
  return kind === 'bulletin' ? `Known damage, by ${by}: ${text}` : `Noted by ${by}: ${text}`;
}
