import type { DeviceInput, DeviceView, FieldProblem, ModelSummary } from '@lucky-thread/contract';
import { fittedDevice, modelName, modelYears } from '@lucky-thread/contract';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Fragment, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useModelsQuery } from '../../store/api';
import { useDevices } from '../../store/shown';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { PickRow } from '../../ui/PickRow';
import { Screen } from '../../ui/Screen';
import { Empty, Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { DeviceOptions } from './DeviceOptions';
import type { JobDraft } from './newJob';
import { EMPTY_DRAFT, jobRequest, withModel, spokenProblems } from './newJob';
import { OwnDevice, ownDeviceDraft } from './OwnDevice';
import { VehicleDetails } from './VehicleDetails';

/** New job: which vehicle, which device. */
export function NewJobScreen() {
  const models = useModelsQuery();
  const devices = useDevices();
  const router = useRouter();
  const { model: entered } = useLocalSearchParams<{ model?: string }>();
  const [typed, setDraft] = useState<JobDraft>(EMPTY_DRAFT);
  const [own, setOwn] = useState(false);
  const [picked, setPicked] = useState<DeviceView>();
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  const [create, { busy, said }] = useShopCommand('newJob');
  // One id for all tries: a job whose answer was lost is not made twice.
  const [id] = useState(() => uuidv7());
  if (models.isError || devices.isError)
    return (
      <Failed
        what="Vehicles and devices"
        onRetry={() => void Promise.all([models.refetch(), devices.refetch()])}
      />
    );
  if (models.data === undefined || devices.data === undefined)
    return <Loading what="vehicles and devices" />;

  // A model that was entered just now is chosen already.
  const fresh = models.data.find((one) => one.id === entered);
  const draft =
    typed.modelId === undefined && fresh !== undefined ? withModel(typed, fresh) : typed;
  const start = async (): Promise<void> => {
    const request = jobRequest(draft);
    setProblems(request.ok ? [] : request.problems);
    if (!request.ok) return;
    const outcome = await create({ id, request: request.body });
    if (outcome.kind === 'stored') router.replace(`/jobs/${id}/find`);
  };
  const model = models.data.find((one) => one.id === draft.modelId);
  const chooseDevice = (device: DeviceInput, isOwn: boolean): void => {
    setOwn(isOwn);
    setDraft({ ...draft, device });
  };
  return (
    <Screen
      testID="new-job-screen"
      bottom={
        <View style={styles.stack}>
          {problems.length > 0 && (
            <View role="alert">
              <Words kind="small" testID="job-problems">
                ✕ {spokenProblems(problems).join(' · ')}
              </Words>
            </View>
          )}
          {said !== undefined && <Caution>{said}</Caution>}
          <View style={styles.row}>
            <ActionButton kind="quiet" label="Cancel" onPress={() => router.navigate('/')} />
            <ActionButton
              kind="next"
              label="Start the job"
              testID="start-job"
              style={styles.grow}
              disabled={busy}
              onPress={() => void start()}
            />
          </View>
        </View>
      }
    >
      <Words kind="title">Which vehicle</Words>
      <ModelPicks models={models.data} draft={draft} onDraft={setDraft} />
      <ActionButton
        kind={models.data.length === 0 ? 'next' : 'plain'}
        label="Another vehicle"
        testID="another-vehicle"
        onPress={() => router.navigate('/vehicles/new')}
      />
      {model !== undefined && (
        <VehicleDetails model={model} draft={draft} problems={problems} onDraft={setDraft} />
      )}
      <Words kind="title">Which device</Words>
      <View role="radiogroup" aria-label="Device" style={styles.stack}>
        {devices.data.map((device) => (
          <Fragment key={device.id}>
            <PickRow
              title={device.name}
              text={device.note}
              testID={`device-${device.name}`}
              chosen={!own && picked?.id === device.id}
              onPress={() => {
                setPicked(device);
                chooseDevice(fittedDevice(device, []), false);
              }}
            />
            {!own && picked?.id === device.id && device.options !== undefined && (
              <DeviceOptions device={device} onDevice={(one) => chooseDevice(one, false)} />
            )}
          </Fragment>
        ))}
        <PickRow
          title="Another device"
          text="Type its feeds in yourself."
          testID="device-own"
          chosen={own}
          onPress={() => chooseDevice(ownDeviceDraft(), true)}
        />
      </View>
      {own && draft.device !== undefined && (
        <OwnDevice
          device={draft.device}
          problems={problems}
          onDevice={(device) => setDraft({ ...draft, device })}
        />
      )}
    </Screen>
  );
}

/** As many are seen at one glance: nothing needs to be found among them. */
const FEW = 6;

function ModelPicks(props: {
  models: readonly ModelSummary[];
  draft: JobDraft;
  onDraft: (draft: JobDraft) => void;
}) {
  const [typed, setTyped] = useState('');
  if (props.models.length === 0)
    return (
      <Empty
        title="No vehicle models"
        text="Enter the car in front of you: what it is, and the lid of its fuse panel."
      />
    );
  const wanted = typed.trim().toLowerCase();
  const shown = props.models.filter(
    (model) =>
      model.id === props.draft.modelId ||
      `${modelName(model)} ${modelYears(model)}`.toLowerCase().includes(wanted),
  );
  return (
    <View role="radiogroup" aria-label="Vehicle model" style={styles.stack}>
      {props.models.length > FEW && (
        <Field
          label="Make, model, year or use"
          testID="find-vehicle"
          value={typed}
          onChange={setTyped}
        />
      )}
      {shown.map((model) => (
        <PickRow
          key={model.id}
          title={modelName(model)}
          text={`${modelYears(model)} · ${model.tapPointCount === 0 ? 'nothing logged' : `${model.tapPointCount} tap points logged`}`}
          testID={`pick-${model.model}`}
          chosen={props.draft.modelId === model.id}
          onPress={() => props.onDraft(withModel(props.draft, model))}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
