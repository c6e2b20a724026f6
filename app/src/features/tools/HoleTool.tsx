import type { MountGiven } from '@lucky-thread/core/build';
import { mountFit } from '@lucky-thread/core/build';
import { shown } from '@lucky-thread/core/units';
import { allGood } from '../../sizing/allGood';
import { useToolInputs } from '../../sizing/useToolInputs';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';
import { ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';

const DEFAULTS = { bodyMm: 22, lipMm: 28, bodyDepthMm: 30, leadMm: 2.1, freeMm: 60 };

/** Whether a device goes into a panel, by which hole, with what is behind. */
export function HoleTool() {
  const units = useUnits();
  const [inputs, set] = useToolInputs(DEFAULTS);
  const { bodyMm, lipMm, bodyDepthMm, leadMm, freeMm } = inputs;
  const good = allGood({ bodyMm, lipMm, bodyDepthMm, leadMm, freeMm });
  // Every one of them is a number in its range now.
  const fit = good ? mountFit(inputs as MountGiven) : undefined;
  return (
    <ToolPage
      tool="hole"
      answer={
        <Card testID="answer">
          {fit === undefined ? (
            <Words soft>Mend the marked numbers first.</Words>
          ) : (
            <>
              <Words kind="title">
                {fit.good ? `Hole ${fit.holeMm} mm (${fit.holeInch})` : 'It does not fit there'}
              </Words>
              <Words kind="small">{`${fit.good ? 'It fits. It' : 'It'} takes ${shown('smallLength', fit.needMm, units)} behind the panel.`}</Words>
              {fit.says.map((one) => (
                <Words key={one}>{`· ${one}`}</Words>
              ))}
              <Caution>
                Before the cutter: pilot hole, then a bent wire turned once around behind it. No
                airbag, loom, pipe, tank or pillar reinforcement in reach; a stop on the bit; the
                edge bare no longer than a minute, then painted.
              </Caution>
            </>
          )}
        </Card>
      }
    >
      <ToolNumber
        label="Device’s body"
        field="bodyMm"
        of="smallLength"
        value={bodyMm}
        onValue={(value) => set({ bodyMm: value })}
      />
      <ToolNumber
        label="Its front or lip"
        field="lipMm"
        of="smallLength"
        value={lipMm}
        onValue={(value) => set({ lipMm: value })}
      />
      <ToolNumber
        label="Its depth behind the panel, with its plug"
        field="bodyDepthMm"
        of="smallLength"
        value={bodyDepthMm}
        onValue={(value) => set({ bodyDepthMm: value })}
      />
      <ToolNumber
        label="Its lead, over the insulation"
        field="leadMm"
        of="smallLength"
        value={leadMm}
        onValue={(value) => set({ leadMm: value })}
      />
      <ToolNumber
        label="Free behind the panel, by a wire through a pilot hole"
        field="freeMm"
        of="smallLength"
        value={freeMm}
        onValue={(value) => set({ freeMm: value })}
      />
    </ToolPage>
  );
}
