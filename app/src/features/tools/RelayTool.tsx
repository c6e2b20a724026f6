import type { TerminalRow } from '@lucky-thread/core/size';
import { COIL_A, planSwitching } from '@lucky-thread/core/size';
import { StyleSheet, View } from 'react-native';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { allGood } from '../../sizing/allGood';

const DEFAULTS = {
  currentA: 12,
  switchA: 5,
  trigger: 'positive',
  inverted: false,
  lit: false,
  coilA: COIL_A,
};

/** Whether a load needs a relay, and what each terminal goes to. */
export function RelayTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const { currentA, switchA, coilA } = inputs;
  const plan = allGood({ currentA, switchA, coilA })
    ? planSwitching({
        currentA: currentA ?? 0,
        switchA: switchA ?? 0,
        coilA,
        trigger: inputs.trigger === 'negative' ? 'negative' : 'positive',
        inverted: inputs.inverted,
        litSwitch: inputs.lit,
      })
    : undefined;
  return (
    <ToolPage
      tool="relay"
      answer={
        <Card testID="answer">
          {plan === undefined ? (
            <Words soft>Mend the marked numbers first.</Words>
          ) : plan.ok ? (
            <>
              <Words kind="title">{plan.relay ? 'Relay' : 'No relay'}</Words>
              <Words>{plan.because}</Words>
              <Words kind="small" soft>{`On the trigger: ${plan.triggerA.toFixed(2)} A.`}</Words>
              <Terminals name="Relay" rows={plan.relayTerminals} />
              <Terminals name="Switch" rows={plan.switchTerminals} />
              {plan.cautions.map((text) => (
                <Caution key={text}>{text}</Caution>
              ))}
            </>
          ) : (
            <>
              <Caution>{plan.problem}</Caution>
              <Words>{plan.wayOut}</Words>
            </>
          )}
        </Card>
      }
    >
      <ToolNumber
        label="Load"
        field="currentA"
        value={currentA}
        onValue={(value) => set({ currentA: value })}
      />
      <ToolNumber
        label="Switch or trigger carries"
        field="switchA"
        value={switchA}
        onValue={(value) => set({ switchA: value })}
      />
      <ToolChoice
        label="Trigger gives"
        testID="trigger"
        options={[
          ['positive', 'Plus when on'],
          ['negative', 'Ground when on'],
        ]}
        value={inputs.trigger}
        onChange={(trigger) => set({ trigger })}
      />
      <ToolChoice
        label="Load is live"
        testID="inverted"
        options={[
          ['no', 'While triggered'],
          ['yes', 'While not triggered'],
        ]}
        value={inputs.inverted ? 'yes' : 'no'}
        onChange={(value) => set({ inverted: value === 'yes' })}
      />
      <ToolChoice
        label="Switch"
        testID="lit"
        options={[
          ['plain', 'Plain'],
          ['lit', 'With a lamp'],
        ]}
        value={inputs.lit ? 'lit' : 'plain'}
        onChange={(value) => set({ lit: value === 'lit' })}
      />
    </ToolPage>
  );
}

function Terminals({
  name,
  rows,
}: {
  readonly name: string;
  readonly rows: readonly TerminalRow[];
}) {
  if (rows.length === 0) return null;
  return (
    <>
      <Words kind="heading">{name}</Words>
      <View role="list" aria-label={name}>
        {rows.map((row) => (
          <View key={row.terminal} role="listitem" style={styles.row}>
            <Words kind="action" style={styles.number}>
              {row.terminal}
            </Words>
            <View style={styles.text}>
              <Words>{row.goesTo}</Words>
              <Words kind="small" soft>
                {row.what}
              </Words>
            </View>
          </View>
        ))}
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.m, paddingVertical: SPACE.xs },
  number: { width: 48 },
  text: { flex: 1 },
});
