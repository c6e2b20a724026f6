import type { BuildPlan } from '@lucky-thread/work';
import { shown } from '@lucky-thread/core/units';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { PartLines } from '../../panel/PartLines';
import { Card } from '../../ui/Card';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';

/** What is cut, what is taken along, and with what: the pick list of the job. */
export const PartsCard = memo(function PartsCard({ plan }: { readonly plan: BuildPlan }) {
  const units = useUnits();
  const palette = usePalette();
  return (
    <Card testID="parts">
      <Words kind="heading">To cut and to take along</Words>
      {plan.cut.map((row) => (
        <View key={row.label} style={[styles.row, { borderColor: palette.line }]}>
          <View style={styles.grow}>
            <Words kind="label">{row.name}</Words>
            <Words kind="small" soft>
              {`${[row.colour, row.conductor].filter(Boolean).join(' ')} · car’s end: ${row.carEnd} · label “${row.label}”`}
            </Words>
          </View>
          <Words kind="heading">{shown('length', row.cutM, units)}</Words>
        </View>
      ))}
      <PartLines parts={plan.parts} />
      <Words kind="small" testID="tools">{`Tools: ${plan.tools.join(', ')}.`}</Words>
    </Card>
  );
});

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.s,
    borderBottomWidth: 1,
    paddingBottom: SPACE.xs,
  },
  grow: { flex: 1 },
});
