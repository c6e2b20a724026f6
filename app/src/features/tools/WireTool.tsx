import { sizeFeed } from '@lucky-thread/core/size';
import { useMemo } from 'react';
import { useAppSelector } from '../../store/store';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { SizeResult } from '../../sizing/SizeResult';
import { ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { WireConditions } from './WireConditions';
import { WIRE_DEFAULTS, loadOf } from '../../sizing/wireInputs';

/** Fuse, wire and drop of a run. */
export function WireTool() {
  const units = useAppSelector((state) => state.prefs.units);
  const [inputs, set] = useToolInputs(WIRE_DEFAULTS);
  const load = useMemo(() => loadOf(inputs), [inputs]);
  const size = useMemo(() => (load === undefined ? undefined : sizeFeed(load)), [load]);
  return (
    <ToolPage
      tool="wire"
      answer={
        <Card testID="answer">
          {load === undefined || size === undefined ? (
            <Words soft>Mend the marked numbers first.</Words>
          ) : (
            <SizeResult size={size} load={load} id="tool" units={units} />
          )}
        </Card>
      }
    >
      <ToolNumber
        label="Load at 12 V"
        field="currentA"
        value={inputs.currentA}
        onValue={(currentA) => set({ currentA })}
      />
      <ToolNumber
        label="Length one way"
        field="oneWayM"
        of="length"
        value={inputs.oneWayM}
        onValue={(oneWayM) => set({ oneWayM })}
      />
      <WireConditions inputs={inputs} set={set} />
    </ToolPage>
  );
}
