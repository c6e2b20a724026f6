import { DEVICE_FILE, DeviceFileInput, validate } from '@lucky-thread/contract';
import type { DeviceView } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useDevices } from '../../store/shown';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { FilePicker } from '../../ui/FilePicker';
import { saveText } from '../../ui/saveText';
import { Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** The shop's catalogue of devices: each can be changed, handed on as a file, taken out, and one from another shop read in. */
export function Devices() {
  const devices = useDevices();
  const router = useRouter();
  const [keep, kept] = useShopCommand('device');
  const [drop, dropped] = useShopCommand('deviceRemoval');
  const [doubted, setDoubted] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  if (devices.data === undefined)
    return devices.isError ? (
      <Caution>The catalogue could not be read.</Caution>
    ) : (
      <Loading what="the catalogue" />
    );
  const read = async (file: File): Promise<void> => {
    const found = deviceIn(await file.text());
    setWrong(typeof found === 'string' ? `${file.name}: ${found}` : undefined);
    if (typeof found !== 'string') await keep({ id: uuidv7(), request: found });
  };
  const problem = wrong ?? kept.said ?? dropped.said;
  return (
    <Card testID="devices">
      <Words kind="heading">Devices</Words>
      {problem !== undefined && <Caution testID="devices-problem">{problem}</Caution>}
      {problem === undefined && kept.outcome?.kind === 'stored' && (
        <Words
          kind="small"
          testID="device-read"
        >{`✓ ${kept.outcome.data.name} was read in.`}</Words>
      )}
      {devices.data.map((device) => (
        <DeviceEntry
          key={device.id}
          device={device}
          doubted={doubted === device.id}
          busy={dropped.busy}
          onTakeOut={() => {
            if (doubted !== device.id) return setDoubted(device.id);
            setDoubted(undefined);
            void drop({ id: device.id });
          }}
        />
      ))}
      <ActionButton
        label="A new device"
        testID="device-new"
        onPress={() => router.navigate('/shop/devices/new')}
      />
      <FilePicker
        label="Read a device from a file"
        accept=".json,application/json"
        testID="device-read-file"
        disabled={kept.busy}
        onFile={read}
      />
      <BringIn />
    </Card>
  );
}

/** One device of the catalogue, with what can be done with it. */
function DeviceEntry(props: {
  readonly device: DeviceView;
  /** It was asked to be taken out, and not said so again yet. */
  readonly doubted: boolean;
  readonly busy: boolean;
  readonly onTakeOut: () => void;
}) {
  const { device } = props;
  const router = useRouter();
  const takeOut = props.doubted ? 'Really take it out' : 'Take out';
  return (
    <View style={styles.entry}>
      <View style={styles.grow}>
        <Words>{device.name}</Words>
        <Words kind="small" soft>
          {leadsOf(device)}
        </Words>
      </View>
      <View style={styles.row}>
        <ActionButton
          kind="quiet"
          label="Change"
          spoken={`Change: ${device.name}`}
          testID={`device-change-${device.name}`}
          onPress={() => router.navigate(`/shop/devices/${device.id}`)}
        />
        <ActionButton
          kind="quiet"
          label="As a file"
          spoken={`As a file: ${device.name}`}
          testID={`device-file-${device.name}`}
          onPress={() => saveText(fileName(device), fileOf(device), 'application/json')}
        />
        <ActionButton
          kind="quiet"
          label={takeOut}
          spoken={`${takeOut}: ${device.name}`}
          testID={`device-drop-${device.name}`}
          disabled={props.busy}
          onPress={props.onTakeOut}
        />
      </View>
    </View>
  );
}

/** Brings in what came with a newer version; the shop’s own entries stay as they are. */
function BringIn() {
  const [bringIn, { busy, outcome, said }] = useShopCommand('shippedDevices');
  const added = outcome?.kind === 'stored' ? outcome.data.added : undefined;
  return (
    <View>
      <ActionButton
        kind="quiet"
        label="Bring in what is new"
        spoken="Bring in what is new: devices that came with a newer version"
        testID="devices-bring-in"
        disabled={busy}
        onPress={() => void bringIn({})}
      />
      {said !== undefined && <Caution testID="bring-in-problem">{said}</Caution>}
      {added !== undefined && (
        <Words kind="small" testID="brought-in">
          {added.length === 0
            ? 'Nothing is new: every device that comes with this version is here by its name.'
            : `✓ Brought in: ${added.join(', ')}. Entries of the same name stayed as they were.`}
        </Words>
      )}
    </View>
  );
}

function leadsOf({ feeds, options = [] }: DeviceView): string {
  const leads = `${feeds.length} ${feeds.length === 1 ? 'lead' : 'leads'}`;
  return options.length === 0
    ? leads
    : `${leads}, by ${options.length} ${options.length === 1 ? 'option' : 'options'}`;
}

function fileOf({ id: _id, note, ...device }: DeviceView): string {
  return JSON.stringify({ kind: DEVICE_FILE, version: 1, note, device }, null, 2);
}

function fileName({ name }: DeviceView): string {
  return `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.device.json`;
}

/** The device that a text holds, or what is wrong with it. */
function deviceIn(text: string): DeviceFileInput | string {
  try {
    const result = validate(DeviceFileInput, JSON.parse(text));
    if (result.ok) return result.value;
    const [first] = result.problems;
    if (first === undefined || first.path === '') return 'is no device';
    return `${first.path}: ${first.message}`;
  } catch (error) {
    if (error instanceof SyntaxError) return 'is no device: it can’t be read as JSON';
    throw error;
  }
}

const styles = StyleSheet.create({
  entry: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: SPACE.xs },
  row: { flexDirection: 'row', marginLeft: -SPACE.m },
  grow: { flexGrow: 1, flexBasis: 240 },
});
