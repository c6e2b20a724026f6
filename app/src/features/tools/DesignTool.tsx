import type { RelayDemand, RelayState, Trigger } from '@lucky-thread/core/join';
import { checkDesign, designRelays, simulateRelays } from '@lucky-thread/core/join';
import { COIL_A } from '@lucky-thread/core/size';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { RelayDrawing } from '../../panel/RelayDrawing';
import { useToolInputs } from '../../sizing/useToolInputs';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { ToolChoice } from './ToolFields';
import { ToolPage } from './ToolPage';

const DEFAULTS = {
  what: 'reversing',
  first: 'ground',
  second: 'ground',
  when: 'any',
  worked: 'plus',
  rest: 'open',
  cut: 'while triggered',
  ownSwitch: true,
};

/** Relays from what must happen: drawn, and tried with every input before a wire is cut. */
export function DesignTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const demand = demandFrom(inputs);
  const pair = demand.kind === 'latch' || demand.kind === 'reversing';
  return (
    <ToolPage tool="design" answer={<Design key={JSON.stringify(demand)} demand={demand} />}>
      <ToolChoice
        label="What must happen"
        testID="what"
        even={false}
        options={[
          ['reversing', 'A motor turns either way'],
          ['output', 'An output switches'],
          ['interrupt', 'A line is cut'],
          ['latch', 'A pulse holds'],
        ]}
        value={inputs.what}
        onChange={(what) => set({ what })}
      />
      <ToolChoice
        label={
          pair ? (demand.kind === 'latch' ? 'On comes by' : 'First trigger gives') : 'Trigger gives'
        }
        testID="first"
        options={GIVES}
        value={inputs.first}
        onChange={(first) => set({ first })}
      />
      <ToolChoice
        label={
          pair
            ? demand.kind === 'latch'
              ? 'Off comes by'
              : 'Second trigger gives'
            : 'Second trigger'
        }
        testID="second"
        options={pair ? GIVES : [['none', 'None'], ...GIVES]}
        value={pair && inputs.second === 'none' ? 'ground' : inputs.second}
        onChange={(second) => set({ second })}
      />
      {!pair && inputs.second !== 'none' && (
        <ToolChoice
          label="It takes"
          testID="when"
          options={[
            ['any', 'Either of them'],
            ['all', 'Both of them'],
          ]}
          value={inputs.when}
          onChange={(when) => set({ when })}
        />
      )}
      {(demand.kind === 'output' || demand.kind === 'latch') && (
        <ToolChoice
          label="Output while on"
          testID="worked"
          options={GIVES}
          value={inputs.worked}
          onChange={(worked) => set({ worked })}
        />
      )}
      {demand.kind === 'output' && (
        <ToolChoice
          label="Output at rest"
          testID="rest"
          options={[
            ['open', 'Open'],
            [
              demand.worked === 'plus' ? 'ground' : 'plus',
              demand.worked === 'plus' ? 'Ground' : 'Plus',
            ],
          ]}
          value={demand.rest}
          onChange={(rest) => set({ rest })}
        />
      )}
      {demand.kind === 'interrupt' && (
        <ToolChoice
          label="The line is cut"
          testID="cut"
          options={[
            ['while triggered', 'While triggered'],
            ['unless triggered', 'Unless triggered'],
          ]}
          value={demand.cut}
          onChange={(cut) => set({ cut })}
        />
      )}
      {demand.kind === 'reversing' && (
        <ToolChoice
          label="The car’s own switch"
          testID="ownSwitch"
          options={[
            ['keep', 'Goes on working'],
            ['none', 'There is none'],
          ]}
          value={demand.ownSwitch ? 'keep' : 'none'}
          onChange={(own) => set({ ownSwitch: own === 'keep' })}
        />
      )}
    </ToolPage>
  );
}

const GIVES = [
  ['plus', 'Plus'],
  ['ground', 'Ground'],
] as const;

type DesignInputs = Readonly<
  Record<'what' | 'first' | 'second' | 'when' | 'worked' | 'rest' | 'cut', string>
> & {
  readonly ownSwitch: boolean;
};

/** A demand from what was chosen; what an address holds that is no choice counts as the first one. */
function demandFrom(inputs: DesignInputs): RelayDemand {
  const trigger = (gives: string): Trigger => ({ gives: gives === 'plus' ? 'plus' : 'ground' });
  const pair = [trigger(inputs.first), trigger(inputs.second)] as const;
  const triggers = inputs.second === 'none' ? [pair[0]] : pair;
  const when = inputs.when === 'all' ? 'all' : 'any';
  const worked = inputs.worked === 'ground' ? 'ground' : 'plus';
  if (inputs.what === 'latch') return { kind: 'latch', triggers: pair, worked };
  if (inputs.what === 'interrupt')
    return {
      ...{ kind: 'interrupt', triggers, when },
      cut: inputs.cut === 'unless triggered' ? 'unless triggered' : 'while triggered',
    };
  if (inputs.what !== 'output')
    return { kind: 'reversing', triggers: pair, ownSwitch: inputs.ownSwitch };
  const opposite = worked === 'plus' ? 'ground' : 'plus';
  return {
    ...{ kind: 'output', triggers, when, worked },
    rest: inputs.rest === 'open' ? 'open' : opposite,
  };
}

/** The relays as they stand with the triggers that are held, and what comes of it. */
function Design({ demand }: { readonly demand: RelayDemand }) {
  const design = designRelays(demand);
  const rest = demand.triggers.map(() => false);
  const [now, setNow] = useState(() => ({
    on: rest,
    state: simulateRelays(demand, design, { inputs: { on: rest } }),
  }));
  // What was pulled in before counts: a latch holds.
  const hold = (index: number, held: boolean): void => {
    const on = now.on.map((one, at) => (at === index ? held : one));
    const { pulledIn } = now.state;
    setNow({ on, state: simulateRelays(demand, design, { inputs: { on }, pulledIn }) });
  };
  return (
    <Card testID="answer">
      <Words kind="title">
        {design.relays.length === 1 ? 'One relay' : `${design.relays.length} relays`}
      </Words>
      <View style={styles.row}>
        {demand.triggers.map((trigger, index) => (
          <View key={index} style={styles.even}>
            <Toggle
              label={`Trigger ${index + 1}`}
              state={now.on[index] === true ? trigger.gives : 'open'}
              on={now.on[index] === true}
              testID={`hold-${index + 1}`}
              onChange={(held) => hold(index, held)}
            />
          </View>
        ))}
      </View>
      <Words testID="outcome">{outcomeWords(demand, now)}</Words>
      {design.relays.map((relay) => (
        <RelayDrawing
          key={relay}
          design={design}
          relay={relay}
          pulledIn={now.state.pulledIn.includes(relay)}
        />
      ))}
      <Words kind="small" testID="truth">
        {truthText(checkDesign(demand, design))}
      </Words>
      <Words kind="small" soft>
        {`Each coil draws ${COIL_A.toFixed(2)} A on the road: a trigger of 0.25 A carries one. Diode across every coil, its band to 86, or relays with a resistor built in.`}
      </Words>
      <Caution>{cautionFor(demand)}</Caution>
    </Card>
  );
}

/** What the bench says of all inputs together. */
function truthText(rows: ReturnType<typeof checkDesign>): string {
  const wrong = rows.filter(({ right }) => !right).length;
  return wrong === 0
    ? `Tried on the bench with all ${rows.length} inputs: it does what is wanted in each, and nothing is shorted.`
    : `${wrong} of ${rows.length} inputs go wrong: do not build this.`;
}

function outcomeWords(
  demand: RelayDemand,
  { state, on }: { readonly state: RelayState; readonly on: readonly boolean[] },
): string {
  const held = on.filter(Boolean).length;
  const triggers = held === 0 ? 'Nothing held' : held === 1 ? 'Held' : 'Both held at once';
  const amps = `${state.batteryA.toFixed(2)} A from the battery`;
  switch (demand.kind) {
    case 'reversing':
      return `${triggers}: the motor ${state.outcome === 'still' ? 'stands still' : `turns ${state.outcome}`}, ${amps}.`;
    case 'interrupt':
      return `${triggers}: the line is ${state.outcome === 'cut' ? 'cut' : 'whole'}, ${amps}.`;
    default:
      return `${triggers}: the output is ${state.outcome === 'open' ? 'open' : `at ${state.outcome}`}, ${amps}.`;
  }
}

function cautionFor(demand: RelayDemand): string {
  switch (demand.kind) {
    case 'reversing':
      return 'Both leads of the motor rest on ground through the switch: each is cut first. Plus onto a lead that was not cut is a short through the switch.';
    case 'interrupt':
      return 'Never in a line of brakes, steering, restraint, engine control or fuel on the road: a kill only where the starter is turned by it.';
    default:
      return 'Plus comes through a fuse of its own at the battery, no larger than the thinnest wire behind it.';
  }
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.xs },
  even: { flex: 1 },
});
