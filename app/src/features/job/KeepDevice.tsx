import { DEVICE_FILE, DeviceFileInput, validate } from '@lucky-thread/contract';
import type { DeviceInput } from '@lucky-thread/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Keeps a device that was typed in the shop's catalogue, so that the next job picks it. */
export function KeepDevice({ device }: { readonly device: DeviceInput }) {
  const [keep, { busy, outcome, said }] = useShopCommand('device');
  // One entry however often it is kept: what was changed meanwhile takes its place.
  const [id] = useState(() => uuidv7());
  const [wrong, setWrong] = useState<string>();
  const save = (): void => {
    const body = { kind: DEVICE_FILE, version: 1 as const, note: 'Typed in at a job.', device };
    const result = validate(DeviceFileInput, body);
    setWrong(result.ok ? undefined : result.problems[0]?.message);
    if (result.ok) void keep({ id, request: body as DeviceFileInput });
  };
  const problem = wrong ?? said;
  return (
    <View style={{ gap: SPACE.xs }}>
      <ActionButton
        label="Keep it in the catalogue"
        testID="keep-device"
        disabled={busy}
        onPress={save}
      />
      {problem !== undefined && <Caution testID="keep-problem">{problem}</Caution>}
      {problem === undefined && outcome?.kind === 'stored' && (
        <Words
          kind="small"
          testID="device-kept"
        >{`✓ ${outcome.data.name} is in the catalogue.`}</Words>
      )}
    </View>
  );
}
