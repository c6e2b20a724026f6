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

const FIELDS: readonly (readonly [field: keyof MountGiven, label: string])[] = [
  ['bodyMm', 'Device’s body'],
  ['lipMm', 'Its front or lip'],
  ['bodyDepthMm', 'Its depth behind the panel, with its plug'],
  ['leadMm', 'Its lead, over the insulation'],
  ['freeMm', 'Free behind the panel, by a wire through a pilot hole'],
];

/** Whether a device goes into a panel, by which hole, with what is behind. */
export function HoleTool() {
  const units = useUnits();
  const [inputs, set] = useToolInputs(DEFAULTS);
  const good = allGood(inputs);
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
                edge painted before anything goes in.
              </Caution>
            </>
          )}
        </Card>
      }
    >
      {FIELDS.map(([field, label]) => (
        <ToolNumber
          key={field}
          label={label}
          field={field}
          of="smallLength"
          value={inputs[field]}
          onValue={(value) => set({ [field]: value })}
        />
      ))}
    </ToolPage>
  );
}
