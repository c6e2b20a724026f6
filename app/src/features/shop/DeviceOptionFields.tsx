import type { CatalogueDevice, FieldProblem } from '@lucky-thread/contract';
import { View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Field } from '../../ui/Field';
import { problemAt } from '../../ui/problemAt';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { newOption, withOption, withoutOption } from './deviceDraft';

/** Props of {@link DeviceOptionFields}. */
export interface DeviceOptionFieldsProps {
  /** The device whose options they are. */
  readonly device: CatalogueDevice;
  /** What is wrong with what was typed, with where. */
  readonly problems: readonly FieldProblem[];
  /** Called with the changed device, and the name of the step. */
  readonly onDevice: (device: CatalogueDevice, step: string) => void;
}

/** What is asked about the car or the kit before a device's leads are known. */
export function DeviceOptionFields({ device, problems, onDevice }: DeviceOptionFieldsProps) {
  return (
    <View style={{ gap: SPACE.s }}>
      <Words kind="heading">Options</Words>
      <Words kind="small" soft>
        What differs from car to car or from kit to kit: ticked at the start of a job, it decides
        which leads are there.
      </Words>
      {(device.options ?? []).map((option, index) => (
        <Card key={option.id}>
          <Field
            label="What it is called"
            testID={`option-name-${index}`}
            value={option.name}
            problem={problemAt(problems, `device.options.${index}.name`)}
            onChange={(name) =>
              onDevice(withOption(device, { ...option, name }), `option name ${option.id}`)
            }
          />
          <Field
            label="What it changes, what to mind"
            testID={`option-says-${index}`}
            lines={3}
            value={option.says ?? ''}
            problem={problemAt(problems, `device.options.${index}.says`)}
            onChange={(says) => {
              const { says: _before, ...rest } = option;
              const next = says === '' ? rest : { ...rest, says };
              onDevice(withOption(device, next), `option says ${option.id}`);
            }}
          />
          <ActionButton
            kind="quiet"
            label="Remove this option"
            spoken={`Remove this option: ${option.name}; leads that hang on it are always there then`}
            testID={`remove-option-${index}`}
            onPress={() => onDevice(withoutOption(device, option.id), `no option ${option.id}`)}
          />
        </Card>
      ))}
      <ActionButton
        label="Add an option"
        testID="add-option"
        onPress={() => {
          const option = newOption();
          onDevice(withOption(device, option), `option ${option.id} added`);
        }}
      />
    </View>
  );
}
