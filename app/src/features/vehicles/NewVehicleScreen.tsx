import type { FieldProblem } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useEnterModelMutation, useEnterPanelMutation } from '../../store/api';
import { problemText } from '../../store/problemText';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Screen } from '../../ui/Screen';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { VehicleDraft } from './newVehicle';
import { EMPTY_VEHICLE, vehicleRequests } from './newVehicle';
import { PanelEntry } from './PanelEntry';

/** A vehicle that the shop has not met yet: what it is, and the lid of its fuse panel. */
export function NewVehicleScreen() {
  const [draft, setDraft] = useState<VehicleDraft>(EMPTY_VEHICLE);
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  const { save, busy, refusal } = useSaveVehicle(draft, setProblems);
  return (
    <Screen
      testID="new-vehicle"
      bottom={
        <View style={styles.stack}>
          {problems.length > 0 && (
            <View role="alert">
              <Words kind="small" testID="vehicle-problems">
                ✕{' '}
                {problems
                  .slice(0, TOLD)
                  .map((one) => one.message)
                  .join(' · ')}
              </Words>
            </View>
          )}
          {refusal !== undefined && <Caution testID="vehicle-refusal">{refusal}</Caution>}
          <ActionButton
            kind="next"
            label="Save, and start a job on it"
            testID="save-vehicle"
            disabled={busy}
            onPress={() => void save()}
          />
        </View>
      }
    >
      <Words kind="title">Another vehicle</Words>
      <ModelFields draft={draft} problems={problems} onDraft={setDraft} />
      <Words kind="title">Its fuse panel</Words>
      <Words kind="small" soft>
        Read the lid aloud and type. Nothing typed here counts as probed.
      </Words>
      <PanelEntry
        draft={draft.panel}
        problems={problems}
        onDraft={(panel) => setDraft({ ...draft, panel })}
      />
    </Screen>
  );
}

/** Problems that are told at once. */
const TOLD = 3;

/** Sends model and panel; a try whose answer was lost is not made twice. */
function useSaveVehicle(
  draft: VehicleDraft,
  onProblems: (problems: readonly FieldProblem[]) => void,
): {
  readonly save: () => Promise<void>;
  readonly busy: boolean;
  readonly refusal: string | undefined;
} {
  const router = useRouter();
  const [enterModel, model] = useEnterModelMutation();
  const [enterPanel, panel] = useEnterPanelMutation();
  const [refusal, setRefusal] = useState<string>();
  // The id of what was sent last: with other contents it is another model.
  const [sent, setSent] = useState<{ readonly id: string; readonly text: string }>();
  const save = async (): Promise<void> => {
    const requests = vehicleRequests(draft);
    onProblems(requests.ok ? [] : requests.problems);
    if (!requests.ok) return;
    const text = JSON.stringify(requests.model);
    const id = sent?.text === text ? sent.id : uuidv7();
    setSent({ id, text });
    const made = await enterModel({ id, body: requests.model });
    const done =
      made.error === undefined
        ? await enterPanel({ modelId: id, placeId: requests.panelId, body: requests.panel })
        : made;
    setRefusal(done.error === undefined ? undefined : problemText(done.error));
    if (done.error === undefined) router.replace(`/jobs/new?model=${id}`);
  };
  return { save, busy: model.isLoading || panel.isLoading, refusal };
}

function ModelFields(props: {
  readonly draft: VehicleDraft;
  readonly problems: readonly FieldProblem[];
  readonly onDraft: (draft: VehicleDraft) => void;
}) {
  const { draft, problems, onDraft } = props;
  const text = (
    field: 'make' | 'model' | 'generation' | 'yearFrom' | 'yearTo',
    label: string,
    more: { readonly hint?: string; readonly number?: boolean } = {},
  ) => (
    <View style={styles.even}>
      <Field
        label={label}
        hint={more.hint}
        testID={`vehicle-${field}`}
        value={draft[field]}
        {...(more.number === true ? { keyboard: 'number-pad' as const } : {})}
        problem={problems.find((one) => one.path === field)?.message}
        onChange={(value) => onDraft({ ...draft, [field]: value })}
      />
    </View>
  );
  return (
    <View style={styles.stack}>
      <View style={styles.row}>
        {text('make', 'Make')}
        {text('model', 'Model')}
      </View>
      <View style={styles.row}>
        {text('yearFrom', 'Model year', { number: true })}
        {text('yearTo', 'to (if known)', { number: true })}
        {text('generation', 'Generation')}
      </View>
      <Choice
        label="Steering wheel"
        testID="steering"
        even
        options={[
          { value: 'left', label: 'Wheel left' },
          { value: 'right', label: 'Wheel right' },
        ]}
        value={draft.steering}
        onChange={(steering) => onDraft({ ...draft, steering })}
      />
      <Choice
        label="Started by"
        testID="key-type"
        even
        options={[
          { value: 'key', label: 'Key' },
          { value: 'push button', label: 'Push button' },
        ]}
        value={draft.keyType}
        onChange={(keyType) => onDraft({ ...draft, keyType })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  even: { flex: 1 },
});
