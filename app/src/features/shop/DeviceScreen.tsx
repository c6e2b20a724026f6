import type { FieldProblem } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { newLead } from '../../leads/newLead';
import { useDevices } from '../../store/shown';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Field } from '../../ui/Field';
import { problemAt } from '../../ui/problemAt';
import { SaveBar } from '../../ui/SaveBar';
import { Screen } from '../../ui/Screen';
import { Empty, Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { useUndo } from '../../ui/useUndo';
import { Words } from '../../ui/Words';
import { DeviceOptionFields } from './DeviceOptionFields';
import type { DeviceDraft } from './deviceDraft';
import { deviceRequest, newDeviceDraft } from './deviceDraft';
import { LeadEntry } from './LeadEntry';

/** Props of {@link DeviceScreen}. */
export interface DeviceScreenProps {
  /** Which device of the catalogue; undefined for a new one. */
  readonly deviceId: string | undefined;
}

/** A device of the shop's catalogue: its leads, and the options that choose among them. */
export function DeviceScreen({ deviceId }: DeviceScreenProps) {
  const devices = useDevices();
  const router = useRouter();
  if (deviceId === undefined) return <DeviceEntry before={undefined} />;
  if (devices.isError)
    return <Failed what="The catalogue" onRetry={() => void devices.refetch()} />;
  if (devices.data === undefined) return <Loading what="the catalogue" />;
  const found = devices.data.find(({ id }) => id === deviceId);
  if (found === undefined)
    return (
      <Screen>
        <Empty title="No such device" text="It was taken out of the catalogue." />
        <ActionButton label="To the catalogue" onPress={() => router.navigate('/shop')} />
      </Screen>
    );
  const { id, note, ...device } = found;
  return <DeviceEntry before={{ id, note, device }} />;
}

function DeviceEntry({ before }: { readonly before: (DeviceDraft & { id: string }) | undefined }) {
  const router = useRouter();
  const [keep, { busy, said }] = useShopCommand('device');
  const [id] = useState(() => before?.id ?? uuidv7());
  const [draft, setDraft] = useState<DeviceDraft>(() => before ?? newDeviceDraft());
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  // Fields that keep what is typed in their own form begin anew when a step is taken back.
  const [stepsBack, setStepsBack] = useState(0);
  const { changing, undo } = useUndo<DeviceDraft>((earlier) => {
    setDraft(earlier);
    setStepsBack((count) => count + 1);
  });
  const change = (next: Partial<DeviceDraft>, step: string): void => {
    changing(draft, step);
    setDraft({ ...draft, ...next });
  };
  const save = async (): Promise<void> => {
    const result = deviceRequest(draft);
    setProblems(result.ok ? [] : result.problems);
    if (!result.ok) return;
    const outcome = await keep({ id, request: result.request });
    if (outcome.kind === 'stored') router.navigate('/shop');
  };
  return (
    <Screen
      testID="device-screen"
      bottom={
        <SaveBar
          name="device"
          label="Keep it in the catalogue"
          problems={problems}
          refusal={said}
          undo={undo}
          disabled={busy}
          onSave={() => void save()}
        />
      }
    >
      <Words kind="title">{before === undefined ? 'A new device' : 'Change a device'}</Words>
      {before !== undefined && (
        <Words kind="small" soft>
          Jobs that were started with it keep their own copy.
        </Words>
      )}
      <Head draft={draft} problems={problems} onChange={change} />
      <DeviceOptionFields
        device={draft.device}
        problems={problems}
        onDevice={(device, step) => change({ device }, step)}
      />
      <Leads draft={draft} problems={problems} stepsBack={stepsBack} onChange={change} />
      <ActionButton
        kind="quiet"
        label="Leave it as it was"
        onPress={() => router.navigate('/shop')}
      />
    </Screen>
  );
}

interface PartProps {
  readonly draft: DeviceDraft;
  readonly problems: readonly FieldProblem[];
  /** Called with what changes, and the name of the step. */
  readonly onChange: (next: Partial<DeviceDraft>, step: string) => void;
}

function Head({ draft, problems, onChange }: PartProps) {
  const { device, note } = draft;
  return (
    <Card>
      <Field
        label="Name of the device"
        testID="device-name"
        value={device.name}
        problem={problemAt(problems, 'device.name')}
        onChange={(name) => onChange({ device: { ...device, name } }, 'name')}
      />
      <Field
        label="What to know when it is picked"
        testID="device-note"
        lines={3}
        value={note}
        problem={problemAt(problems, 'note')}
        onChange={(next) => onChange({ note: next }, 'note')}
      />
      {device.setUp !== undefined && (
        <Words kind="small" soft>
          {`Its set-up by ${device.setUp.guide} (${device.setUp.steps.length} steps) stays as it is.`}
        </Words>
      )}
    </Card>
  );
}

function Leads({
  draft,
  problems,
  stepsBack,
  onChange,
}: PartProps & { readonly stepsBack: number }) {
  const { device } = draft;
  const { feeds, options = [] } = device;
  const [opened, setOpened] = useState<string>();
  const change = (next: typeof feeds, step: string): void =>
    onChange({ device: { ...device, feeds: next } }, step);
  return (
    <View style={styles.stack}>
      <Words kind="heading">Leads</Words>
      {feeds.map((lead, index) => {
        const at = `device.feeds.${index}.`;
        return (
          <LeadEntry
            key={`${lead.id} ${stepsBack}`}
            lead={lead}
            index={index}
            options={options}
            // What is wrong with it must be seen.
            open={opened === lead.id || problems.some(({ path }) => path.startsWith(at))}
            problemOf={(field) => problemAt(problems, `${at}${field}`)}
            onOpen={() => setOpened(lead.id)}
            onLead={(next, step) =>
              change(
                feeds.map((one) => (one.id === lead.id ? next : one)),
                step,
              )
            }
            onRemove={
              feeds.length === 1
                ? undefined
                : () =>
                    change(
                      feeds.filter((one) => one.id !== lead.id),
                      `without lead ${lead.id}`,
                    )
            }
          />
        );
      })}
      <ActionButton
        label="Add a lead"
        testID="add-lead"
        onPress={() => {
          const lead = newLead('switched');
          setOpened(lead.id);
          change([...feeds, lead], `lead ${lead.id} added`);
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
