import type { FieldProblem } from '@lucky-thread/contract';
import { BODY_SIDES, BODY_ZONES } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { PlaceDraft } from './drafts/placeDraft';

/** Props of {@link PlaceHeadFields}. */
export interface PlaceHeadFieldsProps {
  /** What was typed so far. */
  readonly draft: PlaceDraft;
  /** What is wrong with what was typed, with where. */
  readonly problems: readonly FieldProblem[];
  /** Called with what changed. */
  readonly onDraft: (changed: Partial<PlaceDraft>) => void;
}

/** Where a place is; what it is called and how one gets at it when somebody wants to say. */
export function PlaceHeadFields({ draft, problems, onDraft }: PlaceHeadFieldsProps) {
  const [open, setOpen] = useState(draft.id !== undefined);
  const at = (path: string): string | undefined =>
    problems.find((one) => one.path === path || one.path.startsWith(`${path}.`))?.message;
  return (
    <View style={styles.stack}>
      <Field
        label="Where it is"
        hint="e.g. driver’s footwell, behind the flap"
        testID="place-location"
        value={draft.location}
        problem={at('location')}
        onChange={(location) => onDraft({ location })}
      />
      {open ? (
        <More draft={draft} at={at} onDraft={onDraft} />
      ) : (
        <ActionButton
          kind="quiet"
          label="Name, part of the car, how to get at it…"
          testID="place-more"
          onPress={() => setOpen(true)}
        />
      )}
    </View>
  );
}

interface MoreProps {
  readonly draft: PlaceDraft;
  readonly at: (path: string) => string | undefined;
  readonly onDraft: (changed: Partial<PlaceDraft>) => void;
}

function More({ draft, at, onDraft }: MoreProps) {
  return (
    <View style={styles.stack}>
      <Field
        label="Name"
        testID="place-name"
        value={draft.name}
        problem={at('name')}
        onChange={(name) => onDraft({ name })}
      />
      <Words kind="label">Part of the car</Words>
      <Choice
        label="Part of the car"
        testID="zone"
        options={BODY_ZONES.map((value) => ({ value, label: value }))}
        value={draft.zone}
        onChange={(zone) => onDraft({ zone })}
      />
      <Words kind="label">Side</Words>
      <Choice
        label="Side of the car"
        testID="side"
        options={BODY_SIDES.map((value) => ({ value, label: SIDE_NAMES[value] }))}
        value={draft.side}
        onChange={(side) => onDraft({ side })}
      />
      <Field
        label="How to get at it, a line for each step"
        testID="place-steps"
        lines={3}
        value={draft.steps}
        problem={at('steps')}
        onChange={(steps) => onDraft({ steps })}
      />
      <View style={styles.row}>
        <View style={styles.wide}>
          <Field
            label="Tools"
            testID="place-tools"
            value={draft.tools}
            problem={at('tools')}
            onChange={(tools) => onDraft({ tools })}
          />
        </View>
        <View style={styles.narrow}>
          <Field
            label="Seconds"
            keyboard="number-pad"
            testID="place-seconds"
            value={draft.seconds}
            problem={at('seconds')}
            onChange={(seconds) => onDraft({ seconds })}
          />
        </View>
      </View>
      <Field
        label="What the next one should know"
        testID="place-notes"
        value={draft.notes}
        problem={at('notes')}
        onChange={(notes) => onDraft({ notes })}
      />
    </View>
  );
}

const SIDE_NAMES = {
  left: 'left',
  middle: 'middle',
  right: 'right',
  driver: 'driver’s',
  passenger: 'passenger’s',
} as const;

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  wide: { flex: 2 },
  narrow: { flex: 1 },
});
