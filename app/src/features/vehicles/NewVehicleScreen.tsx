import type { FieldProblem, ModelView } from '@lucky-thread/contract';
import { modelName } from '@lucky-thread/contract';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useKeptDraft } from '../../store/keptDraft';
import { useModel } from '../../store/shown';
import { useShopCommand } from '../../store/useShopCommand';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Screen } from '../../ui/Screen';
import { Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { PlaceDraft } from './drafts/placeDraft';
import { readPlace } from './drafts/placeDraft';
import type { VehicleDraft } from './newVehicle';
import { EMPTY_VEHICLE, isPanelLeft, likeOf, vehicleRequests } from './newVehicle';
import { FromFile } from './FromFile';
import { PlaceEntry } from './PlaceEntry';
import { PlaceHeadFields } from './PlaceHeadFields';
import { SaveBar } from '../../ui/SaveBar';
import { useUndo } from '../../ui/useUndo';

/** A vehicle that the shop has not met yet: what it is, and the lid of its fuse panel. */
export function NewVehicleScreen() {
  const { like } = useLocalSearchParams<{ like?: string }>();
  const sister = useModel(like ?? '', { skip: like === undefined });
  if (like !== undefined && sister.isError)
    return <Failed what="The vehicle to be like" onRetry={() => void sister.refetch()} />;
  if (like !== undefined && sister.data === undefined)
    return <Loading what="the vehicle to be like" />;
  return <Form sister={sister.data} />;
}

function Form({ sister }: { readonly sister: ModelView | undefined }) {
  const initial = sister === undefined ? EMPTY_VEHICLE : likeOf(sister);
  const name = sister === undefined ? 'vehicle' : `vehicle like ${sister.id}`;
  const { draft, setDraft, forget } = useKeptDraft<VehicleDraft>(name, initial);
  const { changing, undo } = useUndo(setDraft);
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  const [pictured, setPictured] = useState(false);
  const read = useMemo(() => readPlace(draft.panel, []), [draft.panel]);
  const { save, busy, refusal } = useSaveVehicle(draft, {
    like: sister?.id,
    onProblems: setProblems,
    forget,
  });
  const change = (changed: Partial<PlaceDraft>, step: string): void => {
    changing(draft, step);
    setDraft({ ...draft, panel: { ...draft.panel, ...changed } });
  };
  return (
    <Screen
      testID="new-vehicle"
      roomy
      bottom={
        <SaveBar
          name="vehicle"
          problems={problems}
          refusal={refusal}
          undo={undo}
          label={
            pictured
              ? 'Take the lid over, or leave it'
              : isPanelLeft(draft) && sister === undefined
                ? 'Start a job, slot by slot'
                : 'Save, and start a job'
          }
          disabled={busy || pictured}
          onSave={() => void save()}
        />
      }
    >
      <Words kind="title">
        {sister === undefined ? 'Another vehicle' : `Like ${modelName(sister)}`}
      </Words>
      {sister === undefined && <FromFile />}
      <ModelFields draft={draft} problems={problems} onDraft={setDraft} />
      {sister === undefined ? (
        <>
          <Words kind="title">Its fuse panel</Words>
          <Words kind="small" soft>
            Read the lid aloud and type, or leave it and enter each slot when you have it in hand.
            Nothing typed here counts as probed.
          </Words>
          <PlaceHeadFields
            draft={draft.panel}
            problems={problems}
            onDraft={(changed) => change(changed, Object.keys(changed).join())}
          />
          <PlaceEntry
            draft={draft.panel}
            read={read}
            problems={problems}
            onDraft={change}
            pictured={pictured}
            onPictured={setPictured}
          />
        </>
      ) : (
        <Words testID="like-words">
          {`Its ${sister.places.length === 1 ? 'place comes' : `${sister.places.length} places come`} from ${modelName(sister)}. Its tap points come along as asserted: nothing counts as probed on this one until somebody probes it.`}
        </Words>
      )}
    </Screen>
  );
}

/** Sends model and panel; a try whose answer was lost is not made twice. */
function useSaveVehicle(
  draft: VehicleDraft,
  {
    onProblems,
    forget,
    like,
  }: {
    readonly like: string | undefined;
    readonly onProblems: (problems: readonly FieldProblem[]) => void;
    readonly forget: () => void;
  },
): {
  readonly save: () => Promise<void>;
  readonly busy: boolean;
  readonly refusal: string | undefined;
} {
  const router = useRouter();
  const [enterModel, model] = useShopCommand('newModel');
  const [putPlace, place] = useShopCommand('place');
  // The id of what was sent last: with other contents it is another model.
  const [sent, setSent] = useState<{ readonly id: string; readonly text: string }>();
  const save = async (): Promise<void> => {
    const requests = vehicleRequests(draft, like);
    onProblems(requests.ok ? [] : requests.problems);
    if (!requests.ok) return;
    const text = JSON.stringify(requests.model);
    const id = sent?.text === text ? sent.id : uuidv7();
    setSent({ id, text });
    const made = await enterModel({ id, request: requests.model });
    const { panel } = requests;
    const done =
      made.kind !== 'refused' && panel !== undefined
        ? await putPlace({ modelId: id, placeId: panel.id, request: panel.input })
        : made;
    if (done.kind !== 'stored') return;
    forget();
    router.replace(`/jobs/new?model=${id}`);
  };
  return { save, busy: model.busy || place.busy, refusal: model.said ?? place.said };
}

const WHEELS = [
  { value: 'left', label: 'Wheel left' },
  { value: 'right', label: 'Wheel right' },
] as const;
const STARTED_BY = [
  { value: 'key', label: 'Key' },
  { value: 'push button', label: 'Push button' },
] as const;

function ModelFields(props: {
  readonly draft: VehicleDraft;
  readonly problems: readonly FieldProblem[];
  readonly onDraft: (draft: VehicleDraft) => void;
}) {
  const { draft, problems, onDraft } = props;
  const text = (
    field: 'make' | 'model' | 'generation' | 'yearFrom' | 'yearTo',
    label: string,
    more: { readonly number?: boolean } = {},
  ) => (
    <View style={styles.even}>
      <Field
        label={label}
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
        options={WHEELS}
        value={draft.steering}
        onChange={(steering) => onDraft({ ...draft, steering })}
      />
      <Choice
        label="Started by"
        testID="key-type"
        even
        options={STARTED_BY}
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
