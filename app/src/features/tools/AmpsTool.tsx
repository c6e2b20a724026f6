import { CONVERTER_EFFICIENCY, SAME_SYSTEM_V, currentAt12V } from '@lucky-thread/core/size';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { Figure } from '../../sizing/SizeResult';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { allGood } from '../../sizing/allGood';

const DEFAULTS = {
  kind: 'amps',
  watt: 'drawn',
  printedA: 3,
  printedV: 5,
  watts: 60,
  efficiency: CONVERTER_EFFICIENCY,
};

/** Amperes at 12 V from what is printed on a device. */
export function AmpsTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const { printedA, printedV, watts, efficiency } = inputs;
  const byWatts = inputs.kind === 'watts';
  const delivered = inputs.watt === 'delivered';
  const good = allGood(
    byWatts ? { watts, ...(delivered ? { efficiency } : {}) } : { printedA, printedV, efficiency },
  );
  const amps = !good
    ? undefined
    : byWatts
      ? currentAt12V({ kind: 'watts', watts: watts ?? 0, delivered }, efficiency)
      : currentAt12V({ kind: 'amps', amps: printedA ?? 0, atV: printedV ?? 0 }, efficiency);
  return (
    <ToolPage
      tool="amps"
      answer={
        <Card testID="answer">
          {amps === undefined ? (
            <Words soft>Mend the marked numbers first.</Words>
          ) : (
            <>
              <Figure value={`${amps.toFixed(2)} A`} name="at 12 V" />
              <Words kind="small" soft>
                {byWatts
                  ? `${watts ?? 0} W over 12 V${delivered ? ` and ${Math.round(100 * (efficiency ?? 1))} % efficiency` : ''}.`
                  : `${printedA ?? 0} A × ${printedV ?? 0} V${Math.abs((printedV ?? 12) - 12) <= SAME_SYSTEM_V ? ': the car’s own voltage, no converter between.' : ` over 12 V and ${Math.round(100 * (efficiency ?? 1))} % efficiency.`}`}
              </Words>
            </>
          )}
        </Card>
      }
    >
      <ToolChoice
        label="Printed on it"
        testID="kind"
        options={[
          ['amps', 'Amperes and volts'],
          ['watts', 'Watts'],
        ]}
        value={inputs.kind}
        onChange={(kind) => set({ kind })}
      />
      {byWatts ? (
        <>
          <ToolNumber
            label="Power"
            field="watts"
            value={watts}
            onValue={(value) => set({ watts: value })}
          />
          <ToolChoice
            label="Which watts"
            testID="watt"
            options={[
              ['drawn', 'Drawn from the car'],
              ['delivered', 'Delivered at its end'],
            ]}
            value={inputs.watt}
            onChange={(watt) => set({ watt })}
          />
          {delivered && (
            <ToolNumber
              label="Efficiency"
              field="efficiency"
              value={efficiency}
              hint="Chargers, inverters and switching amplifiers 0.85; linear amplifiers 0.55"
              onValue={(value) => set({ efficiency: value })}
            />
          )}
        </>
      ) : (
        <>
          <ToolNumber
            label="Current"
            field="printedA"
            value={printedA}
            onValue={(value) => set({ printedA: value })}
          />
          <ToolNumber
            label="At"
            field="printedV"
            value={printedV}
            onValue={(value) => set({ printedV: value })}
          />
          <ToolNumber
            label="Efficiency of the converter"
            field="efficiency"
            value={efficiency}
            hint="0.8 to 0.9 is usual; only where the voltage is not the car’s"
            onValue={(value) => set({ efficiency: value })}
          />
        </>
      )}
    </ToolPage>
  );
}
