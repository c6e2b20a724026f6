import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { chooseGround } from '@lucky-thread/core/choose';
import { useShop } from '../../store/shown';
import { GroundCheck } from '../../panel/GroundCheck';
import { Card } from '../../ui/Card';
import { Words } from '../../ui/Words';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { allGood } from '../../sizing/allGood';

const DEFAULTS = {
  currentA: 5,
  stud: 'free',
  boltMm: 6,
  wire: false,
  areaMm2: 1,
  adapter: 'none',
};
/** Rings are made up to this bolt, mm. */
const LARGEST_BOLT_MM = 12;

/** Where a device is grounded, by the shop's school, and how the joint is proved. */
export function GroundTool() {
  const shop = useShop();
  const [inputs, set] = useToolInputs(DEFAULTS);
  const { currentA, boltMm, areaMm2 } = inputs;
  const good = allGood({ currentA, boltMm, areaMm2 }) && (boltMm ?? 0) <= LARGEST_BOLT_MM;
  const choice = good
    ? chooseGround({
        currentA: currentA ?? 0,
        harness: inputs.wire,
        harnessMm2: areaMm2,
        studMm: inputs.stud === 'none' ? undefined : boltMm,
        studIsCritical: inputs.stud === 'critical',
        adapterGround: inputs.adapter === 'none' ? undefined : inputs.adapter === 'there',
        school: (shop.data?.settings ?? DEFAULT_SETTINGS).schools.ground,
      })
    : undefined;
  return (
    <ToolPage
      tool="ground"
      answer={
        <Card testID="answer">
          {choice === undefined ? (
            <Words soft>Mend the marked numbers first.</Words>
          ) : (
            <>
              <Words kind="title">
                {choice.ring === undefined ? choice.place : `${choice.place}, ring ${choice.ring}`}
              </Words>
              <Words>{choice.because}</Words>
              {choice.steps.map((step) => (
                <Words key={step}>{`· ${step}`}</Words>
              ))}
              <Words kind="instruction">{`Proof: at most ${choice.limitV} V over the joint with the load on, ${(1000 * choice.limitOhm).toFixed(0)} mΩ.`}</Words>
              <Words kind="small" soft>
                {choice.tradeOff}
              </Words>
            </>
          )}
        </Card>
      }
    >
      <ToolNumber
        label="Current that comes back"
        field="currentA"
        value={currentA}
        onValue={(value) => set({ currentA: value })}
      />
      <ToolChoice
        label="Factory stud within reach"
        testID="stud"
        options={[
          ['free', 'Yes'],
          ['critical', 'Carries airbag, engine'],
          ['none', 'No'],
        ]}
        value={inputs.stud}
        onChange={(stud) => set({ stud })}
      />
      <ToolNumber
        label="Its bolt, up to 12 mm"
        field="boltMm"
        of="smallLength"
        value={boltMm}
        onValue={(value) => set({ boltMm: value })}
      />
      <ToolChoice
        label="Ground wire of the harness"
        testID="wire"
        options={[
          ['no', 'None'],
          ['yes', 'At hand'],
        ]}
        value={inputs.wire ? 'yes' : 'no'}
        onChange={(value) => set({ wire: value === 'yes' })}
      />
      <ToolNumber
        label="That wire"
        field="areaMm2"
        value={areaMm2}
        onValue={(value) => set({ areaMm2: value })}
      />
      <ToolChoice
        label="Ground cavity of an adapter, car’s side"
        testID="adapter"
        options={[
          ['none', 'No adapter'],
          ['there', 'Filled'],
          ['missing', 'Empty'],
        ]}
        value={inputs.adapter}
        onChange={(adapter) => set({ adapter })}
      />
      <GroundCheck currentA={good ? currentA : undefined} />
    </ToolPage>
  );
}
