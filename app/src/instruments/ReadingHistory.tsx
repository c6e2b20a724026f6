import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { withdraw } from '../store/outbox';
import { forget } from '../store/sending';
import { useAppDispatch } from '../store/store';
import { ActionButton } from '../ui/ActionButton';
import { usePalette } from '../ui/ThemeProvider';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import type { ReadingRow } from '../work/jobReadings';
import { readingLine } from '../panel/VerdictCard';

/** Props of {@link ReadingHistory}. */
export interface ReadingHistoryProps {
  /** UUID of the job. */
  readonly jobId: string;
  /** What was measured, as the history shows it. */
  readonly rows: readonly ReadingRow[];
  /** Printed position of a slot. */
  readonly nameOf: (sourceId: string) => string;
}

const SAVED_WORDS: Record<ReadingRow['saved'], string> = {
  saved: '',
  sending: 'saving…',
  unsaved: 'not saved yet, will be retried',
  refused: 'refused',
};

/** Every reading of the job, newest first, each with its way back. */
export function ReadingHistory({ jobId, rows, nameOf }: ReadingHistoryProps) {
  if (rows.length === 0)
    return (
      <Words kind="small" soft>
        No reading yet. Touch a slot, then the lamp or the meter.
      </Words>
    );
  return (
    <View role="list" aria-label="Readings" testID="history">
      {[...rows].reverse().map((row) => (
        <HistoryRow key={row.id} {...{ jobId, row, name: nameOf(row.sourceId) }} />
      ))}
    </View>
  );
}

/** One reading; drawn anew only when something of it changes, for a job has dozens and each new one redraws the list. */
const HistoryRow = memo(function HistoryRow(props: {
  readonly jobId: string;
  readonly row: ReadingRow;
  readonly name: string;
}) {
  const dispatch = useAppDispatch();
  const palette = usePalette();
  const { jobId, row, name } = props;
  const undo = row.saved === 'refused' ? 'Drop' : 'Withdraw';
  return (
    <View
      role="listitem"
      testID={`reading-${row.saved}`}
      style={[styles.row, { borderColor: palette.line }]}
    >
      <View style={styles.grow}>
        <Words kind="label" style={row.withdrawnAt !== null && styles.struck}>
          {name}
          {row.contact === null ? '' : ` · contact ${row.contact}`} · {readingLine(row)}
        </Words>
        <RowNote row={row} />
      </View>
      {row.withdrawnAt === null && (
        <ActionButton
          kind="quiet"
          label={undo}
          spoken={`${undo} reading ${readingLine(row)} at ${name}`}
          onPress={() =>
            dispatch(row.saved === 'refused' ? forget(row.id) : withdraw(jobId, row.id))
          }
        />
      )}
    </View>
  );
});

/** What is still to happen to a reading, or has happened to it. */
function RowNote({ row }: { readonly row: ReadingRow }) {
  if (row.saved === 'saved' && row.withdrawnAt === null) return null;
  return (
    <Words kind="small" soft testID={`reading-note-${row.saved}`}>
      {[row.withdrawnAt === null ? '' : 'withdrawn', SAVED_WORDS[row.saved], row.problem ?? '']
        .filter((part) => part !== '')
        .join(' · ')}
    </Words>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.s,
    borderBottomWidth: 1,
    minHeight: 48,
  },
  grow: { flex: 1 },
  struck: { textDecorationLine: 'line-through' },
});
