import { plugEndedKit } from '@lucky-thread/core/choose';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { ToolChoice } from './ToolFields';

/** Props of {@link PlugKit}. */
export interface PlugKitProps {
  /** Whether a converter sits in the plug. */
  readonly converter: boolean;
  /** Whether a socket can be hidden near the source. */
  readonly room: boolean;
  /** How far the car has to be as it was afterwards. */
  readonly reversible: 'no trace' | 'mended' | 'any';
  /** Called with what changed. */
  readonly onChange: (changed: { converter?: boolean; room?: boolean }) => void;
}

/** A kit that ends in a plug for the car's socket: keep the plug in a hidden socket, or cut it off. */
export function PlugKit(props: PlugKitProps) {
  const answer = plugEndedKit({
    plugFuseA: undefined,
    converterInPlug: props.converter,
    roomForSocket: props.room,
    reversible: props.reversible,
  });
  return (
    <Card testID="plug-kit">
      <Words kind="heading">The kit ends in a socket plug</Words>
      <ToolChoice
        label="In the plug"
        testID="converter"
        options={[
          ['no', 'Only a fuse'],
          ['yes', 'A 5 V converter'],
        ]}
        value={props.converter ? 'yes' : 'no'}
        onChange={(value) => props.onChange({ converter: value === 'yes' })}
      />
      <ToolChoice
        label="Room for a hidden socket"
        testID="room"
        options={[
          ['yes', 'Yes'],
          ['no', 'No'],
        ]}
        value={props.room ? 'yes' : 'no'}
        onChange={(value) => props.onChange({ room: value === 'yes' })}
      />
      <Words kind="instruction">
        {answer.keep ? 'Keep the plug, hide a socket.' : 'Cut the plug off.'}
      </Words>
      <Words>{answer.because}</Words>
      <Words>{answer.fuse}</Words>
    </Card>
  );
}
