import type { Alignment } from '@lucky-thread/core/identify/legend';
import { LEGEND_LANGUAGE_NAMES, alignLegend } from '@lucky-thread/core/identify/legend';
import type { Panel } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { parseRow, printedGrid } from '../../panel/legendGrid';

/** Which way up the legend belongs: the ratings seen in the panel, row by row, against the printed ones. */
export function LegendCheck({ panels }: { readonly panels: readonly Panel[] }) {
  const [panelId, setPanelId] = useState(panels[0]?.id);
  const panel = panels.find((one) => one.id === panelId) ?? panels[0];
  const [rows, setRows] = useState<readonly string[]>([]);
  if (panel === undefined) return null;
  const count = panel.rows;
  const outcome = rows.some((row) => row.trim() !== '')
    ? alignmentOf(
        panel,
        Array.from({ length: count }, (_, row) => rows[row] ?? ''),
      )
    : undefined;
  return (
    <Card testID="legend-check">
      <Words kind="heading">Which way up is the legend?</Words>
      {panels.length > 1 && (
        <Choice
          label="Panel"
          testID="legend-panel"
          options={panels.map((one) => ({ value: one.id, label: one.name }))}
          value={panel.id}
          onChange={(id) => {
            setPanelId(id);
            setRows([]);
          }}
        />
      )}
      <Words kind="small" soft>
        Hold the panel as you see it. Type the ratings you read, left to right: “10 15 - ?” with -
        for an empty position and ? for one you did not look at.
      </Words>
      <Rows panel={panel} rows={rows} onRows={setRows} />
      {typeof outcome === 'string' ? (
        <Words kind="small">✕ {outcome}</Words>
      ) : (
        outcome !== undefined && <Outcome alignment={outcome} />
      )}
      <Words kind="small" soft testID="legend-languages">
        {`Legends are read in ${LEGEND_LANGUAGE_NAMES.join(', ')}, and in the letter codes of Japanese-market cars, shortened as print does. A legend that can’t be read is unknown, not harmless.`}
      </Words>
    </Card>
  );
}

/** A field for each row of the panel, as it is held. */
function Rows(props: {
  readonly panel: Panel;
  readonly rows: readonly string[];
  readonly onRows: (rows: readonly string[]) => void;
}) {
  const { panel, rows, onRows } = props;
  const all = Array.from({ length: panel.rows }, (_, row) => rows[row] ?? '');
  return (
    <View style={styles.rows}>
      {all.map((typed, row) => (
        <Field
          key={row}
          label={`Row ${row + 1} of ${panel.rows}, ${panel.columns} positions`}
          value={typed}
          testID={`legend-row-${row}`}
          onChange={(text) => onRows(all.map((one, at) => (at === row ? text : one)))}
        />
      ))}
    </View>
  );
}

function Outcome({ alignment }: { readonly alignment: Alignment }) {
  switch (alignment.kind) {
    case 'noMatch':
      return <Caution>{alignment.reason}</Caution>;
    case 'matched':
      return (
        <Words kind="heading" testID="legend-outcome">
          {`✓ ${lieWords(alignment.best)}, ${Math.min(99, Math.round(100 * alignment.best.probability))} % sure.`}
        </Words>
      );
    case 'ambiguous': {
      const next = alignment.readNext;
      return (
        <Words kind="heading" testID="legend-outcome">
          {`Ambiguous: look for the arrow on the cover${
            next === undefined ? '' : `, or read row ${next.row + 1}, position ${next.column + 1}`
          }.`}
        </Words>
      );
    }
  }
}

function lieWords(lie: { readonly quarterTurns: number; readonly mirrored: boolean }): string {
  const turn = ['As printed', 'A quarter turn right', 'Upside down', 'A quarter turn left'][
    lie.quarterTurns
  ];
  return lie.mirrored ? `${turn ?? ''}, and mirrored` : (turn ?? '');
}

function alignmentOf(panel: Panel, rows: readonly string[]): Alignment | string {
  try {
    const seen = rows.map((text, at) => {
      const row = parseRow(text);
      if (row.length > panel.columns)
        throw new RangeError(`Row ${at + 1} has ${row.length} ratings, the panel ${panel.columns}`);
      return Array.from({ length: panel.columns }, (_, column) => row[column]);
    });
    return alignLegend(printedGrid(panel), seen);
  } catch (error) {
    if (error instanceof RangeError) return error.message;
    throw error;
  }
}

const styles = StyleSheet.create({ rows: { gap: SPACE.xs } });
