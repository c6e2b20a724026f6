import { isLeadPoint } from '@lucky-thread/core/vehicle';
import { withdraw } from '../../store/outbox';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import type { ReadingRow } from '../../work/jobReadings';
import { countingRows } from '../../work/jobReadings';

/** Takes back the last reading at a source; undefined while there is none. */
export function useUndoLast(jobId: string, rows: readonly ReadingRow[]): (() => void) | undefined {
  const dispatch = useAppDispatch();
  const last = countingRows(rows).findLast((row) => !isLeadPoint(row.sourceId));
  if (last === undefined) return undefined;
  return () => void dispatch(withdraw(jobId, last.id));
}

/** The way back from the last reading. */
export function UndoLast(props: { readonly jobId: string; readonly rows: readonly ReadingRow[] }) {
  const undo = useUndoLast(props.jobId, props.rows);
  return (
    <ActionButton
      kind="quiet"
      label="Undo last"
      testID="undo"
      disabled={undo === undefined}
      onPress={() => undo?.()}
    />
  );
}
