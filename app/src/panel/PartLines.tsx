import type { PartRow } from '@lucky-thread/core/build';
import { shown } from '@lucky-thread/core/units';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '../ui/tokens';
import { useUnits } from '../ui/Units';
import { Words } from '../ui/Words';

/** Props of {@link PartLines}. */
export interface PartLinesProps {
  /** What is needed, with whether it is in the van. */
  readonly parts: readonly (Omit<PartRow, 'missing'> & {
    readonly missing?: boolean | undefined;
    /** So many jobs want it; left out for one job. */
    readonly jobs?: number;
  })[];
}

/** Parts one below the other: how much, what, whether the van has it and what passes instead. */
export const PartLines = memo(function PartLines({ parts }: PartLinesProps) {
  const units = useUnits();
  return (
    <View role="list" aria-label="Parts">
      {parts.map((part) => (
        <View key={part.what} role="listitem" style={styles.line}>
          <Words kind="label" style={styles.count}>
            {part.unit === 'm' ? shown('length', part.need, units) : String(part.need)}
          </Words>
          <Words style={styles.grow}>{part.what}</Words>
          {part.missing === true && (
            <Words kind="small">
              {part.instead === undefined
                ? '✕ not in the van'
                : `✕ not in the van; ${part.instead} passes too`}
            </Words>
          )}
          {part.jobs !== undefined && part.jobs > 1 && (
            <Words kind="small" soft>{`${part.jobs} jobs`}</Words>
          )}
          {part.unit === 'pieces' && part.packOf > 1 && (
            <Words kind="small" soft>{`of a pack of ${part.packOf}`}</Words>
          )}
        </View>
      ))}
    </View>
  );
});

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, minHeight: 28 },
  count: { minWidth: 56, textAlign: 'right' },
  grow: { flex: 1 },
});
