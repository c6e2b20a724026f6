import { isLeadPoint } from '@lucky-thread/core/vehicle';
import { withdraw } from '../../store/outbox';
import { useAppDispatch } from '../../store/store';
import { memo, useMemo } from 'react';
import { ActionButton } from '../../ui/ActionButton';
import type { ReadingRow } from '../../work/jobReadings';
import { countingRows } from '../../work/jobReadings';

/** Takes back the last reading at a source; undefined while there is none. */
export function useUndoLast(jobId: string, rows: readonly ReadingRow[]): (() => void) | undefined {
  const dispatch = useAppDispatch();
  const last = countingRows(rows).findLast((row) => !isLeadPoint(row.sourceId))?.id;
  return useMemo(
    () => (last === undefined ? undefined : () => void dispatch(withdraw(jobId, last))),
    [dispatch, jobId, last],
  );
}

/** The way back from the last reading. */
export const UndoLast = memo(function UndoLast(props: {
  /** Takes it back; undefined while there is none. */
  readonly undo: (() => void) | undefined;
}) {
  const { undo } = props;
  return (
    <ActionButton
      kind="quiet"
      label="Undo last"
      testID="undo"
      disabled={undo === undefined}
      onPress={() => undo?.()}
    />
  );
});
