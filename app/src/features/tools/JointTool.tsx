import type { JoinGiven, JoinPlace } from '@lucky-thread/core/choose';
import { chooseMethod } from '@lucky-thread/core/choose';
import { useShop } from '../../store/shown';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Words } from '../../ui/Words';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { PlugKit } from './PlugKit';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { allGood } from '../../sizing/allGood';

const DEFAULTS = {
  place: 'wire',
  currentA: 2,
  areaMm2: 0.75,
  originalA: 0,
  reversible: 'any',
  circuit: 'power',
  wet: false,
  shakes: false,
  engine: false,
  adapter: false,
  converter: false,
  room: true,
};
const PLACES: readonly (readonly [JoinPlace, string])[] = [
  ['slot', 'Fuse slot'],
  ['wire', 'Wire'],
  ['connector', 'Connector'],
  ['stud', 'Stud, bus bar'],
  ['relaySocket', 'Relay socket'],
  ['mirror', 'Mirror plug'],
  ['socket', '12 V socket'],
];
const REVERSIBLE: readonly (readonly [JoinGiven['reversible'], string])[] = [
  ['any', 'As may be'],
  ['mended', 'No cut'],
  ['no trace', 'No trace'],
];
const CIRCUITS: readonly (readonly [JoinGiven['circuit'], string])[] = [
  ['power', 'Supply'],
  ['signal', 'Signal'],
  ['speaker', 'Speaker'],
  ['data', 'Data'],
];
const ENGINE_C = 105;

/** How to join a lead where it is, best first, by the shop's school. */
export function JointTool() {
  const shop = useShop();
  const [inputs, set] = useToolInputs(DEFAULTS);
  const { currentA, areaMm2, originalA } = inputs;
  const school = (shop.data?.settings ?? DEFAULT_SETTINGS).schools.joining;
  const pick = <T extends string>(rows: readonly (readonly [T, string])[], value: string): T =>
    (rows.find(([one]) => one === value) ?? (rows[0] as readonly [T, string]))[0];
  const methods = allGood({ currentA, areaMm2, originalA })
    ? chooseMethod({
        place: pick(PLACES, inputs.place),
        currentA: currentA ?? 0,
        carMm2: areaMm2,
        presentA: originalA,
        addedMm2: 0.75,
        reversible: pick(REVERSIBLE, inputs.reversible),
        circuit: pick(CIRCUITS, inputs.circuit),
        moist: inputs.wet,
        vibrates: inputs.shakes,
        heatC: inputs.engine ? ENGINE_C : undefined,
        adapterExists: inputs.adapter,
        tapFits: true,
        school,
      })
    : undefined;
  const toggle = (key: 'wet' | 'shakes' | 'engine' | 'adapter', [no, yes]: [string, string]) => (
    <ToolChoice
      label={yes}
      testID={key}
      options={[
        ['no', no],
        ['yes', yes],
      ]}
      value={inputs[key] ? 'yes' : 'no'}
      onChange={(value) => set({ [key]: value === 'yes' })}
    />
  );
  return (
    <ToolPage
      tool="joint"
      answer={
        <Card testID="answer">
          {methods === undefined && <Words soft>Mend the marked numbers first.</Words>}
          {methods?.ranked.length === 0 && <Words kind="heading">Nothing goes here.</Words>}
          {methods?.ranked.map((one, index) => (
            <Card key={one.method}>
              <Words kind="heading">{`${index + 1}. ${one.name}${one.lastResort ? ' · last resort' : ''}`}</Words>
              <Words kind="small">{one.why.join(' ')}</Words>
              {one.cautions.map((text) => (
                <Caution key={text}>{text}</Caution>
              ))}
            </Card>
          ))}
          {methods?.refused.map((one) => (
            <Words
              kind="small"
              key={one.method}
            >{`✕ ${one.name}: ${one.constraint} ${one.wayOut}`}</Words>
          ))}
        </Card>
      }
    >
      <ToolChoice
        label="Where"
        testID="place"
        even={false}
        options={PLACES}
        value={inputs.place}
        onChange={(place) => set({ place })}
      />
      <ToolChoice
        label="Circuit"
        testID="circuit"
        options={CIRCUITS}
        value={inputs.circuit}
        onChange={(circuit) => set({ circuit })}
      />
      <ToolNumber
        label="Current"
        field="currentA"
        value={currentA}
        onValue={(value) => set({ currentA: value })}
      />
      <ToolNumber
        label="The car’s wire"
        field="areaMm2"
        value={areaMm2}
        onValue={(value) => set({ areaMm2: value })}
      />
      <ToolNumber
        label="What it carries already"
        field="originalA"
        value={originalA}
        hint="The added current goes through this wire as well"
        onValue={(value) => set({ originalA: value })}
      />
      <ToolChoice
        label="To be undone one day"
        testID="reversible"
        options={REVERSIBLE}
        value={inputs.reversible}
        onChange={(reversible) => set({ reversible })}
      />
      {toggle('wet', ['Dry', 'May get wet'])}
      {toggle('shakes', ['Still', 'It shakes'])}
      {toggle('engine', ['Cabin', 'Engine space'])}
      {toggle('adapter', ['No plug-in harness known', 'A plug-in harness exists'])}
      <Words kind="small" soft>{`By the shop’s school: ${school}.`}</Words>
      <PlugKit
        converter={inputs.converter}
        room={inputs.room}
        reversible={pick(REVERSIBLE, inputs.reversible)}
        onChange={set}
      />
    </ToolPage>
  );
}
