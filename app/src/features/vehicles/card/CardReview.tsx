import type { Gray } from '@lucky-thread/core/card';
import type { FuseFamily } from '@lucky-thread/core/vehicle';
import { FUSE_FAMILY_FACTS } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import { ActionButton } from '../../../ui/ActionButton';
import { Choice } from '../../../ui/Choice';
import { Field } from '../../../ui/Field';
import { usePalette } from '../../../ui/ThemeProvider';
import { RADIUS, SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import type { CheckedCell } from './cardDraft';
import { righted } from './cardDraft';

/** Props of {@link CardReview}. */
export interface CardReviewProps {
  /** Size of the straightened card, pixels. */
  readonly card: Pick<Gray, 'width' | 'height'>;
  /** Address of the picture, for as long as it is shown. */
  readonly url: string;
  /** What each place of the grid says, row by row. */
  readonly cells: readonly CheckedCell[];
  /** Family that most of its fuses are of. */
  readonly family: FuseFamily;
  /** Called with the place in the grid and what it says now. */
  readonly onCell: (at: number, cell: CheckedCell) => void;
}

/** Every fuse that was read beside its picture, those in doubt first: nothing is taken over that nobody has seen. */
export function CardReview({ cells, ...props }: CardReviewProps) {
  const numbered = cells.map((checked, at) => ({ checked, at }));
  const doubtful = numbered.filter(({ checked }) => checked.cell.doubts.length > 0);
  const others = numbered.filter(({ checked }) => checked.cell.doubts.length === 0);
  return (
    <View style={styles.stack} testID="card-review">
      {doubtful.length > 0 && (
        <>
          <Words kind="heading">{`Look at these ${doubtful.length}`}</Words>
          {doubtful.map(({ checked, at }) => (
            <Cell key={at} {...props} checked={checked} at={at} />
          ))}
        </>
      )}
      {others.length > 0 && (
        <>
          <Words kind="heading">{`Compare the other ${others.length}`}</Words>
          {others.map(({ checked, at }) => (
            <Cell key={at} {...props} checked={checked} at={at} />
          ))}
        </>
      )}
    </View>
  );
}

interface CellProps extends Omit<CardReviewProps, 'cells'> {
  readonly checked: CheckedCell;
  readonly at: number;
}

const NONE = 'none';

function Cell(props: CellProps) {
  const palette = usePalette();
  const { checked, at, onCell } = props;
  const { cell, seen } = checked;
  const [open, setOpen] = useState(false);
  const isDoubtful = cell.doubts.length > 0 && !seen;
  const mend = (
    <ActionButton
      kind={isDoubtful ? 'plain' : 'quiet'}
      label={open ? 'Done' : 'Mend'}
      spoken={open ? 'Done' : `Mend ${cell.legend ?? 'this one'}`}
      testID={`mend-${at}`}
      style={isDoubtful && styles.even}
      onPress={() => {
        if (open) onCell(at, righted(checked, {}));
        setOpen(!open);
      }}
    />
  );
  return (
    <View
      testID={`card-cell-${at}`}
      style={[
        styles.cell,
        {
          backgroundColor: palette.raised,
          borderColor: isDoubtful ? palette.accent : palette.line,
        },
      ]}
    >
      <View style={styles.row}>
        <Crop {...props} />
        <AsRead checked={checked} />
        {!isDoubtful && mend}
      </View>
      {open && <Right {...props} />}
      {isDoubtful && (
        <View style={styles.row}>
          <ActionButton
            label="It is right"
            testID={`right-${at}`}
            style={styles.even}
            onPress={() => onCell(at, righted(checked, {}))}
          />
          {mend}
        </View>
      )}
    </View>
  );
}

/** What was read of a cell, and what is doubtful about it. */
function AsRead({ checked: { cell, seen } }: Pick<CellProps, 'checked'>) {
  return (
    <View style={styles.read}>
      <Words kind="heading">
        {`${cell.ratingA === undefined ? '–' : `${cell.ratingA} A`} ${cell.legend ?? '· · ·'}`}
      </Words>
      {cell.doubts.length > 0 && (
        <Words kind="small" soft={seen}>
          {seen ? '✓ looked at' : `? ${[...new Set(cell.doubts)].slice(0, 2).join('; ')}`}
        </Words>
      )}
    </View>
  );
}

/** The part of the picture that says so. */
function Crop({ card, url, checked }: CellProps) {
  const { left, top, right, bottom } = checked.cell.box;
  const scale = Math.min(CROP.width / (right - left), CROP.height / (bottom - top));
  return (
    <View
      style={{ width: (right - left) * scale, height: (bottom - top) * scale, overflow: 'hidden' }}
    >
      <Image
        source={{ uri: url }}
        accessibilityLabel="This part of the picture"
        style={{
          position: 'absolute',
          left: -left * scale,
          top: -top * scale,
          width: card.width * scale,
          height: card.height * scale,
        }}
      />
    </View>
  );
}

/** Room for a part of the picture, px. */
const CROP = { width: 150, height: 64 } as const;

function Right({ checked, at, family, onCell }: CellProps) {
  const { ratingA, legend } = checked.cell;
  return (
    <View style={styles.stack}>
      <Field
        label="Legend"
        testID={`card-legend-${at}`}
        value={legend ?? ''}
        onChange={(text) =>
          onCell(at, righted(checked, { legend: text === '' ? undefined : text }))
        }
      />
      <Choice
        label="Rating of the fuse"
        testID={`card-rating-${at}`}
        options={[
          { value: NONE, label: '–' },
          ...FUSE_FAMILY_FACTS[family].ratingsA.map((one) => ({
            value: String(one),
            label: String(one),
          })),
        ]}
        value={ratingA === undefined ? NONE : String(ratingA)}
        onChange={(value) =>
          onCell(at, righted(checked, { ratingA: value === NONE ? undefined : Number(value) }))
        }
      />
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  cell: { borderWidth: 1.5, borderRadius: RADIUS, padding: SPACE.s, gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.m, alignItems: 'center' },
  read: { flex: 1, gap: 2 },
  even: { flex: 1 },
});
