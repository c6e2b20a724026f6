import { INSULATIONS_C } from '@lucky-thread/core/size';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { ActionButton } from '../../ui/ActionButton';
import { ToolChoice, ToolNumber } from './ToolFields';
import type { WireInputs } from '../../sizing/wireInputs';
import { BASES_V } from '../../sizing/choices';

/** Props of {@link WireConditions}. */
export interface WireConditionsProps {
  /** What was typed of the wire. */
  readonly inputs: WireInputs;
  /** Called with what changed. */
  readonly set: (changed: Partial<WireInputs>) => void;
}

/** What wire and fuse depend on beside load and length. */
export function WireConditions({ inputs, set }: WireConditionsProps) {
  const [more, setMore] = useState(false);
  return (
    <>
      <ToolChoice
        label="Return"
        testID="back"
        options={[
          ['body', 'Back through body'],
          ['lead', 'Back by own lead'],
        ]}
        value={inputs.back}
        onChange={(back) => set({ back })}
      />
      <ToolChoice
        label="Fuse family"
        testID="family"
        even={false}
        options={FUSE_FAMILIES.filter((one) => FUSE_FAMILY_FACTS[one].tap !== undefined).map(
          (one) => [one, FUSE_FAMILY_FACTS[one].name] as const,
        )}
        value={inputs.family}
        onChange={(family) => set({ family })}
      />
      <ToolNumber
        label="Rating of the slot"
        field="slotA"
        value={inputs.slotA}
        onValue={(slotA) => set({ slotA })}
      />
      <ActionButton
        kind="quiet"
        label={more ? 'Fewer conditions' : 'Basis, heat, bundle, inrush, spare…'}
        testID="more"
        onPress={() => setMore(!more)}
      />
      {more && <More inputs={inputs} set={set} />}
    </>
  );
}

function More({ inputs, set }: WireConditionsProps) {
  return (
    <>
      <ToolChoice
        label="Per cent of"
        testID="systemV"
        options={BASES_V.map((volts) => [String(volts), `${volts.toFixed(1)} V`] as const)}
        value={inputs.systemV}
        onChange={(systemV) => set({ systemV })}
      />
      <ToolNumber
        label="Drop at most"
        field="dropLimitPercent"
        value={inputs.dropLimitPercent}
        onValue={(dropLimitPercent) => set({ dropLimitPercent })}
      />
      <ToolChoice
        label="Insulation stands"
        testID="insulation"
        options={INSULATIONS_C.map((one) => [String(one), `${one} °C`] as const)}
        value={inputs.insulation}
        onChange={(insulation) => set({ insulation })}
      />
      <ToolChoice
        label="Where it lies"
        testID="engine"
        options={[
          ['cabin', 'In the cabin'],
          ['engine', 'Engine space'],
        ]}
        value={inputs.engine ? 'engine' : 'cabin'}
        onChange={(place) => set({ engine: place === 'engine' })}
      />
      <ToolNumber
        label="Air around it"
        field="ambientC"
        of="temperature"
        value={inputs.ambientC}
        onValue={(ambientC) => set({ ambientC })}
      />
      <ToolNumber
        label="Conductors together"
        field="bundle"
        value={inputs.bundle}
        onValue={(bundle) => set({ bundle })}
      />
      <ToolNumber
        label="Inrush; 0 for none"
        field="peakA"
        value={inputs.peakA === 0 ? undefined : inputs.peakA}
        optional
        onValue={(peakA) => set({ peakA: peakA ?? 0 })}
      />
      <ToolNumber
        label="Inrush lasts"
        field="peakS"
        value={inputs.peakS}
        onValue={(peakS) => set({ peakS })}
      />
      <ToolNumber
        label="Spare for later"
        field="spareA"
        value={inputs.spareA}
        onValue={(spareA) => set({ spareA })}
      />
    </>
  );
}
