import type { FieldProblem } from '@lucky-thread/contract';
import type { Verdict } from '@lucky-thread/core/identify';
import { CORNERS, FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '@lucky-thread/core/vehicle';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { FusePanel } from '../../panel/FusePanel';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { PanelDraft } from './newVehicle';
import { LANDMARKS, panelMap, readPanel } from './newVehicle';

/** Props of {@link PanelEntry}. */
export interface PanelEntryProps {
  readonly draft: PanelDraft;
  readonly problems: readonly FieldProblem[];
  readonly onDraft: (draft: PanelDraft) => void;
}

const FAMILIES = FUSE_FAMILIES.map((value) => ({ value, label: FUSE_FAMILY_FACTS[value].name }));
const NO_VERDICTS: ReadonlyMap<string, Verdict> = new Map();
const NONE: ReadonlySet<string> = new Set();
/** Problems that are told at once; the rest when these are mended. */
const TOLD = 4;

/** A fuse panel typed as it is read off its lid, and drawn as it will be probed. */
export function PanelEntry({ draft, problems, onDraft }: PanelEntryProps) {
  const [touched, setTouched] = useState<string>();
  const read = useMemo(() => readPanel(draft), [draft]);
  const change = (changed: Partial<PanelDraft>): void => onDraft({ ...draft, ...changed });
  const at = (path: string): string | undefined =>
    problems.find((one) => one.path === path)?.message;
  const unread = read.problems.map(
    ({ row, cell, message }) => `row ${row}, cell ${cell}: ${message}`,
  );
  return (
    <View style={styles.stack}>
      <Field
        label="Where the panel is"
        hint="e.g. driver’s footwell, behind the flap"
        testID="panel-location"
        value={draft.location}
        problem={at('location')}
        onChange={(location) => change({ location })}
      />
      <Words kind="label">Fuses</Words>
      <Choice
        label="Build of the fuses"
        testID="family"
        options={FAMILIES}
        value={draft.family}
        onChange={(family) => change({ family })}
      />
      <Field
        label="The lid, a line for each row"
        hint="10 ACC, 15 CIG, -, 7.5 A/BAG: rating and legend; – where nothing is fitted; 20? where you can’t read it well"
        testID="panel-text"
        lines={4}
        value={draft.text}
        problem={unread.length === 0 ? at('slots') : unread.slice(0, TOLD).join('; ')}
        onChange={(text) => change({ text })}
      />
      <Lay draft={draft} onDraft={onDraft} problems={problems} />
      {read.slots.length > 0 && (
        <View testID="panel-preview">
          <Words kind="small" soft>
            {`${read.slots.length} positions, ${read.slots.filter((slot) => slot.ratingA !== undefined).length} with a fuse. Numbers and places as on the lid?`}
          </Words>
          <FusePanel
            panel={panelMap(draft, read)}
            verdicts={NO_VERDICTS}
            selectedId={touched}
            wantedIds={NONE}
            loggedIds={NONE}
            onTouch={setTouched}
          />
        </View>
      )}
    </View>
  );
}

/** What is seldom different: name, numbering, which way the slots lie, and what the contacts are called by. */
function Lay({ draft, problems, onDraft }: PanelEntryProps) {
  const [open, setOpen] = useState(false);
  const change = (changed: Partial<PanelDraft>): void => onDraft({ ...draft, ...changed });
  if (!open)
    return (
      <ActionButton
        kind="quiet"
        label="Name, numbering, how the slots lie…"
        testID="panel-lay"
        onPress={() => setOpen(true)}
      />
    );
  return (
    <View style={styles.stack}>
      <Field
        label="Name of the panel"
        testID="panel-name"
        value={draft.name}
        problem={problems.find((one) => one.path === 'name')?.message}
        onChange={(name) => change({ name })}
      />
      <View style={styles.row}>
        <View style={styles.even}>
          <Field
            label="Before the number"
            testID="panel-prefix"
            value={draft.prefix}
            onChange={(prefix) => change({ prefix: prefix.trim() })}
          />
        </View>
        <View style={styles.even}>
          <Field
            label="First number"
            keyboard="number-pad"
            testID="panel-first"
            value={draft.first}
            onChange={(first) => change({ first })}
          />
        </View>
      </View>
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
        onChange={(lie) =>
          change({ lie, landmarkA: LANDMARKS[lie][0], landmarkB: LANDMARKS[lie][1] })
        }
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

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  even: { flex: 1 },
});
