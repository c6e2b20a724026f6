import type { FeedPlanInput, ShopSettings, SizingInput } from '@lucky-thread/contract';
import { INSULATIONS_C } from '@lucky-thread/core/size';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { PlanField } from './planProblems';
import { BASES_V, DROP_LIMITS } from '../../sizing/choices';

/** Props of {@link SizingOptions}. */
export interface SizingOptionsProps {
  /** The plan of this feed as it stands. */
  readonly plan: FeedPlanInput;
  /** What the shop sizes with where the plan says nothing. */
  readonly shop: ShopSettings['sizing'];
  /** What is wrong with what was typed, by field. */
  readonly problems: Partial<Record<PlanField, string>>;
  /** Called with the changed plan. */
  readonly onPlan: (plan: FeedPlanInput) => void;
}

/** Where the lead lies, what the numbers refer to, and what shall be spare. */
export function SizingOptions({ plan, shop, problems, onPlan }: SizingOptionsProps) {
  const sizing: SizingInput = plan.sizing ?? {};
  const change = (changed: Partial<SizingInput>): void =>
    onPlan({ ...plan, sizing: { ...sizing, ...changed } });
  return (
    <View style={styles.stack} testID={`options-${plan.feedId}`}>
      <Words kind="label">Per cent of</Words>
      <Choice
        label="Per cent of"
        even
        testID="basis"
        options={BASES_V.map((volts) => ({ value: String(volts), label: `${volts.toFixed(1)} V` }))}
        value={String(sizing.systemV ?? shop.systemV)}
        onChange={(volts) => change({ systemV: Number(volts) })}
      />
      <Words kind="label">Drop at most</Words>
      <Choice
        label="Drop at most"
        even
        testID="limit"
        options={DROP_LIMITS.map((limit) => ({ value: String(limit), label: `${limit} %` }))}
        value={String(sizing.dropLimitPercent ?? shop.dropLimitPercent)}
        onChange={(limit) => change({ dropLimitPercent: Number(limit) })}
      />
      <Words kind="label">Insulation stands</Words>
      <Choice
        label="Insulation stands"
        even
        testID="insulation"
        options={INSULATIONS_C.map((one) => ({ value: String(one), label: `${one} °C` }))}
        value={String(sizing.insulation ?? shop.insulation)}
        onChange={(one) =>
          change({ insulation: INSULATIONS_C.find((class_) => String(class_) === one) })
        }
      />
      <Choice
        label="Where it lies"
        even
        testID="engine"
        options={[
          { value: 'cabin', label: 'In the cabin' },
          { value: 'engine', label: 'Engine space' },
        ]}
        value={sizing.engineSpace === true ? 'engine' : 'cabin'}
        onChange={(place) => change({ engineSpace: place === 'engine' })}
      />
      <NumberField
        label="Air around it"
        of="temperature"
        value={sizing.ambientC}
        problem={problems.ambientC}
        hint="30 °C when left empty, 50 °C in the engine space"
        testID="ambient"
        onValue={(ambientC) => change({ ambientC })}
      />
      <NumberField
        label="Conductors together"
        of={{ unit: '' }}
        value={sizing.bundle}
        problem={problems.bundle}
        hint="Four and more warm each other"
        testID="bundle"
        onValue={(bundle) => change({ bundle })}
      />
      <NumberField
        label="Spare for later"
        of={{ unit: 'A' }}
        value={sizing.spareA}
        problem={problems.spareA}
        testID="spare"
        onValue={(spareA) => change({ spareA })}
      />
      {plan.returnPath === 'lead' && (
        <NumberField
          label="Length of the return lead"
          of="length"
          value={sizing.returnM}
          problem={problems.returnM}
          hint="As long as the supply when left empty"
          testID="return-length"
          onValue={(returnM) => change({ returnM })}
        />
      )}
      <NumberField
        label="Original circuit, by clamp meter"
        of={{ unit: 'A' }}
        value={plan.measuredA}
        problem={problems.originalA}
        hint="75 % of its fuse when not measured"
        testID="measured"
        onValue={(measuredA) => onPlan({ ...plan, measuredA })}
      />
      <NumberField
        label="Another tap in this slot feeds"
        of={{ unit: 'A' }}
        value={plan.sharedA}
        problem={problems.sharedA}
        hint="Empty when there is none, or the clamp saw it too"
        testID="shared"
        onValue={(sharedA) => onPlan({ ...plan, sharedA })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
