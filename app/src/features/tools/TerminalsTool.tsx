import { CONDUCTOR_SIZES, ringFor, sleeveFor, wireTapFor } from '@lucky-thread/core/size';
import { shown } from '@lucky-thread/core/units';
import { View } from 'react-native';
import { useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { Figure } from '../../sizing/SizeResult';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { allGood } from '../../sizing/allGood';

const DEFAULTS = { wires: '18 AWG', moist: false, boltMm: 6, car: '0.75 mm²' };
const LEAST_MM2 = 0.3;
const MOST_MM2 = 7;
const SIZES = CONDUCTOR_SIZES.filter(({ areaMm2 }) => areaMm2 >= LEAST_MM2 && areaMm2 <= MOST_MM2);
/** Conductors in one crimp, in the URL. */
const BETWEEN = '~';

/** Sleeve for the conductors of one crimp, ring for a bolt, wire tap for two wires. */
export function TerminalsTool() {
  const units = useAppSelector((state) => state.prefs.units);
  const [inputs, set] = useToolInputs(DEFAULTS);
  const chosen = inputs.wires
    .split(BETWEEN)
    .flatMap((name) => SIZES.find((size) => size.name === name) ?? []);
  const car = SIZES.find((size) => size.name === inputs.car);
  const sleeve =
    chosen.length === 0
      ? undefined
      : sleeveFor(
          chosen.map((size) => size.areaMm2),
          inputs.moist,
        );
  const first = chosen[0];
  const tap =
    car === undefined || first === undefined ? undefined : wireTapFor(car.areaMm2, first.areaMm2);
  return (
    <ToolPage
      tool="terminals"
      answer={
        <Card testID="answer">
          {sleeve === undefined ? (
            <Words soft>Choose the conductors of the crimp.</Words>
          ) : sleeve.ok ? (
            <>
              <Figure value={sleeve.sleeve.colour} name="insulated sleeve" />
              <Words kind="small">{sleeve.because}</Words>
              <Words kind="small">{`Strip ${shown('smallLength', sleeve.sleeve.stripMm, units)}. On first: ${sleeve.first.join(', ')}.`}</Words>
            </>
          ) : (
            <>
              <Caution>{sleeve.problem}</Caution>
              <Words kind="small">{sleeve.wayOut}</Words>
            </>
          )}
        </Card>
      }
    >
      <Words kind="label">{`In the crimp: ${chosen.map((size) => size.name).join(' + ') || 'nothing yet'}`}</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
        {SIZES.map(({ name }) => (
          <ActionButton
            key={name}
            label={`+ ${name}`}
            testID={`add-${name}`}
            onPress={() => set({ wires: [...chosen.map((size) => size.name), name].join(BETWEEN) })}
          />
        ))}
        <ActionButton kind="quiet" label="Clear" onPress={() => set({ wires: '' })} />
      </View>
      <ToolChoice
        label="Water"
        testID="moist"
        options={[
          ['dry', 'Dry'],
          ['wet', 'May get wet'],
        ]}
        value={inputs.moist ? 'wet' : 'dry'}
        onChange={(wet) => set({ moist: wet === 'wet' })}
      />
      <Words kind="heading">Ring</Words>
      <ToolNumber
        label="Bolt"
        field="boltMm"
        of="smallLength"
        value={inputs.boltMm}
        onValue={(boltMm) => set({ boltMm })}
      />
      {allGood({ boltMm: inputs.boltMm }) && (
        <Words kind="instruction">
          {(inputs.boltMm ?? 0) > 12
            ? 'No ring is made for it here: up to M12.'
            : ringFor(inputs.boltMm ?? 0).name}
        </Words>
      )}
      <Words kind="heading">Wire tap</Words>
      <ToolChoice
        label="The car’s wire"
        testID="car"
        even={false}
        options={SIZES.map(({ name }) => [name, name] as const)}
        value={inputs.car}
        onChange={(name) => set({ car: name })}
      />
      {tap !== undefined &&
        (tap.ok ? (
          <Words kind="small">{`${tap.colour}: ${tap.because}`}</Words>
        ) : (
          <>
            <Caution>{tap.problem}</Caution>
            <Words kind="small">{tap.wayOut}</Words>
          </>
        ))}
    </ToolPage>
  );
}
