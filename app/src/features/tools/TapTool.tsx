import {
  headroom,
  holderFor,
  lineBladeFrom,
  originalLoad,
  tapCurrents,
} from '@lucky-thread/core/choose';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '@lucky-thread/core/vehicle';
import type { FuseFamily } from '@lucky-thread/core/vehicle';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Words } from '../../ui/Words';
import { Figure } from '../../sizing/SizeResult';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useToolInputs } from '../../sizing/useToolInputs';
import { allGood } from '../../sizing/allGood';

const DEFAULTS = {
  family: 'mini',
  slotA: 15,
  originalA: -1,
  sharedA: 0,
  currentA: 2,
  clearance: 'clear',
  clearanceMm: 0,
  first: 'yes',
  second: 'no',
};
const CLEARANCES = [
  ['clear', 'Room'],
  ['tight', 'Tight'],
  ['none', 'Cover touches'],
] as const;

/** Which holder fits a slot, whether the slot carries both loads, what each way round does, and which blade is line. */
export function TapTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const { slotA, currentA } = inputs;
  const measuredA = inputs.originalA === -1 ? undefined : inputs.originalA;
  const family = FUSE_FAMILIES.find((one): one is FuseFamily => one === inputs.family) ?? 'mini';
  const clearance = CLEARANCES.find(([value]) => value === inputs.clearance)?.[0] ?? 'clear';
  const clearanceMm = inputs.clearanceMm === 0 ? undefined : inputs.clearanceMm;
  const sharedA = inputs.sharedA === 0 ? undefined : inputs.sharedA;
  const good = allGood({ slotA, currentA, originalA: measuredA, sharedA, clearanceMm }, [
    'originalA',
    'sharedA',
    'clearanceMm',
  ]);
  return (
    <ToolPage
      tool="tap"
      answer={
        <Card testID="answer">
          {good ? (
            <Answer
              given={{
                family,
                clearance,
                slotA: slotA ?? 0,
                currentA: currentA ?? 0,
                measuredA,
                sharedA,
                clearanceMm,
              }}
            />
          ) : (
            <Words soft>Mend the marked numbers first.</Words>
          )}
        </Card>
      }
    >
      <ToolChoice
        label="Fuse family of the slot"
        testID="family"
        even={false}
        options={FUSE_FAMILIES.map((one) => [one, FUSE_FAMILY_FACTS[one].name] as const)}
        value={family}
        onChange={(next) => set({ family: next })}
      />
      <ToolNumber
        label="Rating of the slot"
        field="slotA"
        value={slotA}
        onValue={(value) => set({ slotA: value })}
      />
      <ToolNumber
        label="Added load"
        field="currentA"
        value={currentA}
        onValue={(value) => set({ currentA: value })}
      />
      <ToolNumber
        label="Original circuit, by clamp meter"
        field="originalA"
        value={measuredA}
        optional
        hint="75 % of its fuse when not measured"
        onValue={(value) => set({ originalA: value ?? -1 })}
      />
      <ToolNumber
        label="Another tap in this slot feeds"
        field="sharedA"
        value={sharedA}
        optional
        hint="Empty when there is none, or the clamp saw it too"
        onValue={(value) => set({ sharedA: value ?? 0 })}
      />
      <ToolChoice
        label="Room above the slot"
        testID="clearance"
        options={CLEARANCES}
        value={clearance}
        onChange={(value) => set({ clearance: value })}
      />
      <ToolNumber
        label="Measured up to the cover"
        field="clearanceMm"
        of="smallLength"
        value={clearanceMm}
        optional
        hint="Goes before the words above"
        onValue={(value) => set({ clearanceMm: value ?? 0 })}
      />
      <Card testID="line-blade">
        <Words kind="heading">Which blade is line?</Words>
        <Words kind="small" soft>
          Holder in the hand: added fuse in, original place empty. Which blade has continuity to the
          lead?
        </Words>
        <ToolChoice
          label="First blade"
          testID="first"
          options={YES_NO}
          value={inputs.first}
          onChange={(first) => set({ first })}
        />
        <ToolChoice
          label="Other blade"
          testID="second"
          options={YES_NO}
          value={inputs.second}
          onChange={(second) => set({ second })}
        />
        <LineBladeAnswer first={inputs.first === 'yes'} second={inputs.second === 'yes'} />
      </Card>
    </ToolPage>
  );
}

const YES_NO = [
  ['yes', 'Continuity'],
  ['no', 'None'],
] as const;

function LineBladeAnswer(props: { readonly first: boolean; readonly second: boolean }) {
  const found = lineBladeFrom(props);
  if (found.kind === 'problem') return <Caution>{found.advice}</Caution>;
  return (
    <>
      <Words kind="instruction">{`The ${found.blade === 'first' ? 'first' : 'other'} blade is line: mark it.`}</Words>
      <Words kind="small" soft>
        {found.because}
      </Words>
    </>
  );
}

function Answer(props: {
  readonly given: {
    readonly family: FuseFamily;
    readonly clearance: 'clear' | 'tight' | 'none';
    readonly slotA: number;
    readonly currentA: number;
    readonly measuredA: number | undefined;
    readonly sharedA: number | undefined;
    readonly clearanceMm: number | undefined;
  };
}) {
  const { family, clearance, slotA, currentA, measuredA, sharedA, clearanceMm } = props.given;
  const holder = holderFor({
    slot: { family, clearance, ratingA: slotA },
    addedA: currentA,
    clearanceMm,
  });
  const original = originalLoad({ ratingA: slotA, measuredA });
  const room = headroom({ family, ratingA: slotA }, original, currentA, sharedA);
  const wrong = tapCurrents(original.amps, currentA, false);
  return (
    <>
      <Words kind="heading">{holder.fits ? holder.holder.name : 'No tap fits'}</Words>
      <Words kind="small">{holder.note}</Words>
      {holder.fits ? (
        holder.substitute !== undefined && <Caution>{holder.substitute}</Caution>
      ) : (
        <Words kind="small">{holder.wayOut}</Words>
      )}
      <Figure
        value={`${Number(room.togetherA.toFixed(1))} A`}
        name="through the slot’s supply contact"
      />
      <Words kind="small">{room.text}</Words>
      {room.wayOut !== undefined && <Caution>{room.wayOut}</Caution>}
      <Words kind="small">
        {`Wrong way round the original fuse would carry ${Number(wrong.originalFuseA.toFixed(1))} A, and the added lead would die with it. Proof: original fuse out, added lead still live.`}
      </Words>
    </>
  );
}
