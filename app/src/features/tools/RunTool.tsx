import type { Limit } from '@lucky-thread/core/size';
import { CONDUCTOR_SIZES, largestLoadA, longestRunM } from '@lucky-thread/core/size';
import { shown } from '@lucky-thread/core/units';
import { useMemo } from 'react';
import { useAppSelector } from '../../store/store';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Words } from '../../ui/Words';
import { Figure } from '../../sizing/SizeResult';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { WireConditions } from './WireConditions';
import { WIRE_DEFAULTS, loadOf } from '../../sizing/wireInputs';

const LEAST_MM2 = 0.5;
const MOST_MM2 = 7;
const WIRES = CONDUCTOR_SIZES.filter(
  ({ areaMm2 }) => areaMm2 >= LEAST_MM2 && areaMm2 <= MOST_MM2,
).map(({ name }) => [name, name] as const);

/** What a wire in hand does: the longest run for a load, and the largest load for a run. */
export function RunTool() {
  const [inputs, set] = useToolInputs(WIRE_DEFAULTS);
  const load = useMemo(() => loadOf(inputs), [inputs]);
  const known = WIRES.some(([name]) => name === inputs.wire);
  return (
    <ToolPage
      tool="run"
      answer={
        <Card testID="answer">
          <RunAnswers wire={inputs.wire} load={known ? load : undefined} />
        </Card>
      }
    >
      <ToolChoice
        label="Wire in hand"
        testID="wire"
        even={false}
        options={WIRES}
        value={inputs.wire}
        onChange={(wire) => set({ wire })}
      />
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

/** How far the wire carries the load, and how much over this length; undefined load: not everything is said yet. */
function RunAnswers(props: { readonly wire: string; readonly load: ReturnType<typeof loadOf> }) {
  const units = useAppSelector((state) => state.prefs.units);
  const { wire, load } = props;
  if (load === undefined) return <Words soft>Choose a wire, and mend the marked numbers.</Words>;
  return (
    <>
      <Answer
        limit={longestRunM(load, wire)}
        text={(metres) => shown('length', metres, units)}
        name={`longest run one way at ${load.currentA} A`}
      />
      <Answer
        limit={largestLoadA(load, wire)}
        text={(amps) => `${amps.toFixed(1)} A`}
        name={`largest load over ${shown('length', load.oneWayM, units)}`}
      />
    </>
  );
}

function Answer(props: {
  readonly limit: Limit;
  readonly text: (value: number) => string;
  readonly name: string;
}) {
  const { limit } = props;
  if (!limit.ok)
    return (
      <>
        <Caution>{`${props.name}: ${limit.failed.text}`}</Caution>
        <Words kind="small">{limit.relax}</Words>
      </>
    );
  return (
    <>
      <Figure value={props.text(limit.value)} name={props.name} />
      <Words kind="small" soft>{`Because ${limit.because}.`}</Words>
    </>
  );
}
