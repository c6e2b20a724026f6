import type { FuseFamily, SlotSource } from '@lucky-thread/core/vehicle';
import type { CellEdit } from '@lucky-thread/core/vehicle/typed';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '@lucky-thread/core/vehicle';
import { writtenCell } from '@lucky-thread/core/vehicle/typed';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { DragHandle } from './DragHandle';
import type { PanelDraft } from './drafts/panelDraft';

/** Props of {@link SlotEditor}. */
export interface SlotEditorProps {
  /** The slot that it is about. */
  readonly slot: SlotSource;
  /** What holds for the other slots. */
  readonly panel: PanelDraft;
  /** Called with what changed of it. */
  readonly onEdit: (edit: CellEdit) => void;
  /** It is being pulled over another slot. */
  readonly onOver: (sourceId: string | undefined) => void;
  /** It was let go over another slot. */
  readonly onDrop: (sourceId: string) => void;
}

const NONE = 'none';

/** One slot of a lid that was typed: its legend, its fuse, and its place among the others. */
export function SlotEditor({ slot, panel, onEdit, onOver, onDrop }: SlotEditorProps) {
  const [legend, setLegend] = useState(slot.legend ?? '');
  const write = (changed: Partial<SlotSource>): void => {
    const text = writtenCell(
      { ...slot, legend: legend.trim() === '' ? undefined : legend.trim(), ...changed },
      panel,
    );
    onEdit({ kind: 'write', text });
  };
  const ratings = FUSE_FAMILY_FACTS[slot.family].ratingsA;
  return (
    <Card testID="slot-editor">
      <Words kind="heading">{slot.position}</Words>
      <Field
        label="Legend"
        testID="slot-legend"
        value={legend}
        onChange={setLegend}
        onSubmit={() => write({})}
      />
      {legend.trim() !== (slot.legend ?? '') && (
        <ActionButton label="Write this legend" testID="write-legend" onPress={() => write({})} />
      )}
      <Words kind="label">Fuse, A</Words>
      <Choice
        label="Rating of the fuse"
        testID="rating"
        options={[
          { value: NONE, label: '–' },
          ...ratings.map((one) => ({ value: String(one), label: String(one) })),
        ]}
        value={slot.ratingA === undefined ? NONE : String(slot.ratingA)}
        onChange={(value) => write({ ratingA: value === NONE ? undefined : Number(value) })}
      />
      <Words kind="label">Build of this one</Words>
      <Choice<FuseFamily>
        label="Build of this fuse"
        testID="own-family"
        options={FUSE_FAMILIES.map((value) => ({ value, label: FUSE_FAMILY_FACTS[value].name }))}
        value={slot.family}
        onChange={(family) => write({ family, ...fittingRating(slot, family) })}
      />
      <View style={styles.row}>
        <DragHandle onOver={onOver} onDrop={onDrop} />
        <ActionButton
          label="◂ Move"
          testID="move-before"
          onPress={() => onEdit({ kind: 'swap', by: -1 })}
        />
        <ActionButton
          label="Move ▸"
          testID="move-after"
          onPress={() => onEdit({ kind: 'swap', by: 1 })}
        />
        <ActionButton
          label="Put one before"
          testID="insert-before"
          onPress={() => onEdit({ kind: 'insert', text: '-' })}
        />
        <ActionButton
          label="Take away"
          testID="take-away"
          onPress={() => onEdit({ kind: 'remove' })}
        />
      </View>
    </Card>
  );
}

/** A rating that the other build does not have is not kept. */
function fittingRating({ ratingA }: SlotSource, family: FuseFamily): { ratingA?: undefined } {
  return ratingA === undefined || FUSE_FAMILY_FACTS[family].ratingsA.includes(ratingA)
    ? {}
    : { ratingA: undefined };
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
