import type { LadderRung } from '@lucky-thread/core/join';
import { SAFE_SHARE, solveLadder } from '@lucky-thread/core/join';
import { allGood } from '../../sizing/allGood';
import { useToolInputs } from '../../sizing/useToolInputs';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Words } from '../../ui/Words';
import { ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';

const DEFAULTS = { restV: 4.2, testOhm: 1000, testV: 2.1, lockV: 0.6, unlockV: 1.5 };

/** Which resistor to ground stands in for a button of a resistive ladder. */
export function LadderTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const { restV, testOhm, testV, lockV, unlockV } = inputs;
  const good = allGood({ restV, testOhm, testV });
  const solved =
    good && restV !== undefined && testOhm !== undefined && testV !== undefined
      ? solveLadder({
          restV,
          test: { ohm: testOhm, volts: testV },
          buttonV: {
            ...(lockV === undefined || !allGood({ lockV }) ? {} : { lock: lockV }),
            ...(unlockV === undefined || !allGood({ unlockV }) ? {} : { unlock: unlockV }),
          },
        })
      : undefined;
  return (
    <ToolPage
      tool="ladder"
      answer={
        <Card testID="answer">
          {solved === undefined && <Words soft>Mend the marked numbers first.</Words>}
          {solved?.ok === false && <Words>{solved.because}</Words>}
          {solved?.ok === true && (
            <>
              {solved.rungs.map((rung) => (
                <Rung key={rung.button} rung={rung} />
              ))}
              <Words kind="small" soft>
                {`Behind the wire: ${ohms(solved.sourceOhm)}, from the test resistor. Rb = Rth · Vb / (Vrest − Vb).`}
              </Words>
            </>
          )}
        </Card>
      }
    >
      <Words>
        Meter to ground on the wire. At rest; with a known resistor held to ground; with each button
        of the car held.
      </Words>
      <Caution>
        Never ground itself onto a ladder, and no resistor onto a data line: steady between 1 and 4
        V and shifting with no button is data.
      </Caution>
      <ToolNumber
        label="At rest"
        field="restV"
        value={restV}
        onValue={(value) => set({ restV: value })}
      />
      <ToolNumber
        label="Test resistor to ground"
        field="testOhm"
        value={testOhm}
        onValue={(value) => set({ testOhm: value })}
      />
      <ToolNumber
        label="With the test resistor"
        field="testV"
        value={testV}
        onValue={(value) => set({ testV: value })}
      />
      <ToolNumber
        label="Lock held"
        field="lockV"
        optional
        value={lockV}
        onValue={(value) => set({ lockV: value })}
      />
      <ToolNumber
        label="Unlock held"
        field="unlockV"
        optional
        value={unlockV}
        onValue={(value) => set({ unlockV: value })}
      />
    </ToolPage>
  );
}

function Rung({ rung }: { readonly rung: LadderRung }) {
  const name = rung.button === 'lock' ? 'Lock' : 'Unlock';
  if (!rung.ok) return <Words testID={`rung-${rung.button}`}>{`${name}: ${rung.because}`}</Words>;
  const { ohm, standardOhm, volts, used, toldApart } = rung;
  return (
    <>
      <Words kind="title" testID={`rung-${rung.button}`}>
        {standardOhm === 0 ? `${name}: ground itself` : `${name}: ${ohms(standardOhm)} to ground`}
      </Words>
      <Words kind="small">
        {`The button is ${ohms(ohm)}; with the resistor the wire stands at ${volts.toFixed(2)} V.`}
      </Words>
      {!toldApart && (
        <Caution>
          {`A 5 % resistor uses up ${Math.round(100 * used)} % of the way to the next level (${100 * SAFE_SHARE} % is the limit): 1 % resistor, or a module for this car.`}
        </Caution>
      )}
    </>
  );
}

function ohms(value: number): string {
  return value >= 1000 ? `${Number((value / 1000).toPrecision(3))} kΩ` : `${Math.round(value)} Ω`;
}
