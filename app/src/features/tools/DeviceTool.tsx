import { DEVICE_FACTS, DEVICE_TYPES, LEAD_FAMILY_NAMES, feedsFor } from '@lucky-thread/core/choose';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { ToolChoice } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';

const DEFAULTS = { type: 'dashcam', parked: true };

/** What a kind of device needs and accepts. */
export function DeviceTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const type = DEVICE_TYPES.find((one) => one === inputs.type) ?? 'dashcam';
  const facts = DEVICE_FACTS[type];
  return (
    <ToolPage tool="device">
      <ToolChoice
        label="Device"
        testID="type"
        even={false}
        options={DEVICE_TYPES.map((one) => [one, DEVICE_FACTS[one].name] as const)}
        value={type}
        onChange={(next) => set({ type: next })}
      />
      {facts.asksParked && (
        <ToolChoice
          label="Works while parked"
          testID="parked"
          options={[
            ['yes', 'Yes'],
            ['no', 'No'],
          ]}
          value={inputs.parked ? 'yes' : 'no'}
          onChange={(value) => set({ parked: value === 'yes' })}
        />
      )}
      {feedsFor(type, inputs.parked).map((feed) => (
        <Card key={feed.id} testID={`needs-${feed.id}`}>
          <Words kind="heading">{`${feed.polarity} ${feed.name}`}</Words>
          <Words>
            {[
              feed.role,
              `usually ${feed.usualA} A at 12 V`,
              ...(feed.liveInAcc ? ['live at accessory'] : []),
              ...(feed.holdsCranking ? ['must hold through cranking'] : []),
              ...(feed.maySleep ? ['may sleep'] : []),
            ].join(', ')}
          </Words>
          <Words kind="small" soft>
            {feed.because}
          </Words>
        </Card>
      ))}
      <Words kind="small" soft>
        {`Lead colours: family ${LEAD_FAMILY_NAMES[facts.family]}. Common practice; the device’s own label comes first.`}
      </Words>
    </ToolPage>
  );
}
