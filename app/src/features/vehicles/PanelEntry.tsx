import type { CellEdit } from '@lucky-thread/core/vehicle/typed';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '@lucky-thread/core/vehicle';
import { CORNERS, USUAL_LANDMARKS, editCell } from '@lucky-thread/core/vehicle/typed';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SideBySide } from '../../ui/SideBySide';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { CardEntry } from './card/CardEntry';
import type { PanelDraft } from './drafts/panelDraft';
import type { ReadPlace } from './drafts/placeDraft';
import { LegendWords } from './LegendWords';
import { PanelPreview } from './PanelPreview';
import { SlotEditor } from './SlotEditor';

/** Props of {@link PanelEntry}. */
export interface PanelEntryProps {
  /** What was typed so far. */
  readonly draft: PanelDraft;
  /** What was read of it. */
  readonly read: ReadPlace;
  /** As it stands on the screens. */
  readonly name: string;
  /** Where it is, in a phrase. */
  readonly location: string;
  /** What is wrong, in words for people; undefined when nothing is. */
  readonly problem: string | undefined;
  /** A step of one name is taken back as one. */
  readonly onDraft: (changed: Partial<PanelDraft>, step: string) => void;
  /** A picture of the lid is being worked with. */
  readonly pictured: boolean;
  /** Called when a picture is taken to, or left for typing. */
  readonly onPictured: (pictured: boolean) => void;
}

const FAMILIES = FUSE_FAMILIES.map((value) => ({ value, label: FUSE_FAMILY_FACTS[value].name }));
/** Problems that are told at once; the rest when these are mended. */
const TOLD = 4;

/** A fuse panel typed as it is read off its lid, and drawn as it will be probed. */
export function PanelEntry(props: PanelEntryProps) {
  const { draft, read, onDraft, pictured } = props;
  const [touched, setTouched] = useState<string>();
  const [over, setOver] = useState<string>();
  // Typing goes on while the panel before is still drawn.
  const drawn = useDeferredValue(read.panel);
  const unread = read.typed.map(({ row, cell, message }) => `row ${row}, cell ${cell}: ${message}`);
  const slot = read.panel?.slots.find((one) => one.id === touched);
  const edit = (change: CellEdit): void => {
    if (slot !== undefined)
      onDraft({ text: editCell(draft.text, slot, change) }, `cell ${change.kind}`);
  };
  const drop = (onto: string): void => {
    const to = read.panel?.slots.find((one) => one.id === onto);
    if (to === undefined) return;
    edit({ kind: 'move', to });
    setTouched(onto);
  };
  const type = (text: string): void => onDraft({ text }, `typing ${cellsIn(text)}`);
  return (
    <SideBySide>
      <View style={styles.stack}>
        <Choice
          label="Build of the fuses"
          testID="family"
          options={FAMILIES}
          value={draft.family}
          onChange={(family) => onDraft({ family }, 'family')}
        />
        <CardEntry
          draft={draft}
          onLid={(lid) => onDraft(lid, `card ${draft.text}`)}
          onWorking={props.onPictured}
        />
        {!pictured && (
          <>
            <Field
              label="The lid, a line for each row"
              hint="10 ACC, 15 CIG, -, 7.5 A/BAG: rating and legend; – where nothing is fitted; 20? where you can’t read it well; _ where there is no position; 31: 10 ACC names one"
              testID="panel-text"
              lines={5}
              value={draft.text}
              problem={unread.length === 0 ? props.problem : unread.slice(0, TOLD).join('; ')}
              onChange={type}
            />
            <LegendWords text={draft.text} onText={type} />
            <Lay draft={draft} onDraft={onDraft} />
          </>
        )}
      </View>
      {drawn === undefined || drawn.slots.length === 0 ? null : (
        <View style={styles.stack}>
          <PanelPreview
            id={read.id}
            name={props.name}
            location={props.location}
            panel={drawn}
            touchedId={touched}
            overId={over}
            onTouch={setTouched}
          />
          {slot !== undefined && (
            <SlotEditor
              key={slot.id}
              slot={slot}
              panel={draft}
              onEdit={edit}
              onOver={setOver}
              onDrop={drop}
            />
          )}
        </View>
      )}
    </SideBySide>
  );
}

/** Cells so far: typing within one is one step, the next cell another. */
function cellsIn(text: string): number {
  return text.split(/[,;\n]/).length;
}

/** What is seldom different: numbering, which way the slots lie, and what the contacts are called by. */
function Lay({ draft, onDraft }: Pick<PanelEntryProps, 'draft' | 'onDraft'>) {
  const [open, setOpen] = useState(false);
  const change = (changed: Partial<PanelDraft>): void =>
    onDraft(changed, Object.keys(changed).join());
  if (!open)
    return (
      <ActionButton
        kind="quiet"
        label="Numbering, how the slots lie…"
        testID="panel-lay"
        onPress={() => setOpen(true)}
      />
    );
  return (
    <View style={styles.stack}>
      <Field
        label="First position"
        hint="F1, 07 or A: the others count on"
        testID="panel-start"
        value={draft.start}
        onChange={(start) => change({ start: start.trim() })}
      />
      <Words kind="label">It stands at the</Words>
      <Choice
        label="Numbers begin at"
        testID="from"
        options={CORNERS.map((value) => ({ value, label: value }))}
        value={draft.from}
        onChange={(from) => change({ from })}
      />
      <Choice
        label="Numbers run along"
        testID="along"
        even
        options={[
          { value: 'rows', label: 'Along the rows' },
          { value: 'columns', label: 'Along the columns' },
        ]}
        value={draft.along}
        onChange={(along) => change({ along })}
      />
      <Choice
        label="Slots"
        testID="lie"
        even
        options={[
          { value: 'tall', label: 'Slots stand' },
          { value: 'wide', label: 'Slots lie' },
        ]}
        value={draft.lie}
        onChange={(lie) => {
          const [landmarkA, landmarkB] = USUAL_LANDMARKS[lie];
          change({ lie, landmarkA, landmarkB });
        }}
      />
      <Choice
        label="Room above the slots"
        testID="clearance"
        options={[
          { value: 'clear', label: 'Room for a tap' },
          { value: 'tight', label: 'Tight' },
          { value: 'none', label: 'Cover on the fuses' },
        ]}
        value={draft.clearance}
        onChange={(clearance) => change({ clearance })}
      />
      <Field
        label="One contact is called by"
        hint="What lies on that side of the slot in the car"
        testID="landmark-a"
        value={draft.landmarkA}
        onChange={(landmarkA) => change({ landmarkA })}
      />
      <Field
        label="The other by"
        testID="landmark-b"
        value={draft.landmarkB}
        onChange={(landmarkB) => change({ landmarkB })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
