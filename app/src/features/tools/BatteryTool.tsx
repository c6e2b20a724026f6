import type { MonthPlan } from '@lucky-thread/core/size/battery';
import {
  BATTERY_NAMES,
  BATTERY_TYPES,
  chargeAtRest,
  chargeForCrank,
  parkedAfter,
  parkedTime,
} from '@lucky-thread/core/size/battery';
import { shown } from '@lucky-thread/core/units';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useAppSelector } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { ChargeChart } from '../../ui/charts/ChargeChart';
import { NotWorkedOut } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { Figure } from '../../sizing/SizeResult';
import type { BatteryInputs } from '../../sizing/batteryInputs';
import { BATTERY_DEFAULTS, monthOf } from '../../sizing/batteryInputs';
import { ToolChoice, ToolNumber } from './ToolFields';
import { ToolPage } from './ToolPage';
import { useMonth } from './useMonth';
import { useToolInputs } from '../../sizing/useToolInputs';

/** How long a device may run on a parked car, and what a month of driving does to the battery. */
export function BatteryTool() {
  const [inputs, set] = useToolInputs(BATTERY_DEFAULTS);
  const plan = useMemo(() => monthOf(inputs), [inputs]);
  return (
    <ToolPage
      tool="battery"
      answer={
        plan === undefined ? (
          <Card testID="answer">
            <Words soft>Mend the marked numbers first.</Words>
          </Card>
        ) : (
          <>
            <Parked plan={plan} days={inputs.parkedDays ?? 0} />
            <MonthCard
              plan={plan}
              onSettings={(cutOffV, timerHours) => set({ cutOffV, timerHours })}
            />
          </>
        )
      }
    >
      <BatteryFields inputs={inputs} set={set} />
    </ToolPage>
  );
}

function Parked({ plan, days }: { readonly plan: MonthPlan; readonly days: number }) {
  const units = useAppSelector((state) => state.prefs.units);
  const time = parkedTime(plan.battery, plan.load, plan.stateOfCharge);
  const after = parkedAfter(plan.battery, plan.load, days, plan.stateOfCharge);
  return (
    <Card testID="answer">
      <Words kind="heading">Parked once</Words>
      <View style={styles.figures}>
        <Figure
          value={hours(time.deviceHours)}
          name={time.endedBy === 'nothing' ? 'device runs' : `until ${time.endedBy}`}
        />
        <Figure
          value={percent(time.chargeLeft)}
          name={`charge left, ${time.restV.toFixed(2)} V at rest`}
        />
        <Figure
          value={percent(Math.min(MOST_SURE, time.crankChance))}
          name={`chance to crank at ${shown('temperature', plan.battery.temperatureC, units)}`}
        />
        <Figure value={hours(time.noStartHours)} name="until it may not start" />
      </View>
      <Words kind="small" testID="after-days">
        {`After ${days} days: ${percent(after.chargeLeft)} charge, ${after.restV.toFixed(2)} V at rest, ${percent(Math.min(MOST_SURE, after.crankChance))} chance to crank.`}
      </Words>
      {time.cautions.map((text) => (
        <Caution key={text}>{text}</Caution>
      ))}
    </Card>
  );
}

function MonthCard(props: {
  readonly plan: MonthPlan;
  readonly onSettings: (cutOffV: number, timerHours: number | undefined) => void;
}) {
  const { plan } = props;
  const { answer, problem, retry } = useMonth(plan);
  const needed = useMemo(() => chargeForCrank(plan.battery), [plan.battery]);
  const { cutOffV } = plan.load;
  return (
    <Card testID="month">
      <Words kind="heading">A month of this</Words>
      <NotWorkedOut what="The month" problem={problem} onRetry={retry} />
      {answer === undefined ? (
        <Words soft>Working it out…</Words>
      ) : (
        <>
          <ChargeChart
            hourly={answer.month.hourly}
            needed={needed}
            cutOff={cutOffV === undefined ? undefined : chargeAtRest(plan.battery.type, cutOffV)}
            noStartDay={answer.month.noStartDay}
          />
          <MonthVerdict month={answer.month} />
          <SafeSettings safe={answer.safe} onSettings={props.onSettings} />
          <Words kind="heading">What it hangs on</Words>
          {answer.assumptions.slice(0, 4).map((one) => (
            <Words kind="small" key={one.what}>
              {`· ${one.what}: lowest charge ${percent(one.lowest)}, starts ${percent(one.worstCrank)}`}
            </Words>
          ))}
          <Words kind="small" soft>
            Rules of the trade, not a promise: a battery test says more than any sum.
          </Words>
        </>
      )}
    </Card>
  );
}

type MonthAnswer = NonNullable<ReturnType<typeof useMonth>['answer']>;

function MonthVerdict({ month }: { readonly month: MonthAnswer['month'] }) {
  const { noStartDay, lowest, deviceHours, inAh, outAh } = month;
  return (
    <>
      <Words kind="instruction" testID="month-verdict">
        {noStartDay === undefined
          ? `It starts all month; lowest charge ${percent(lowest)}.`
          : `It may not start from day ${noStartDay + 1} on.`}
      </Words>
      <Words kind="small">{`The device runs ${deviceHours.toFixed(0)} h parked; ${inAh.toFixed(0)} Ah in, ${outAh.toFixed(0)} Ah out.`}</Words>
    </>
  );
}

/** A cut-off and a timer with which the car starts safely all month; a touch takes them over. */
function SafeSettings(props: {
  readonly safe: MonthAnswer['safe'];
  readonly onSettings: (cutOffV: number, timerHours: number | undefined) => void;
}) {
  const { safe } = props;
  if (safe === undefined)
    return (
      <Caution>
        No cut-off or timer makes this car start safely all month: charge it, drive it more, or fit
        a larger or second battery.
      </Caution>
    );
  const { cutOffV, timerHours, deviceHours, worstCrank } = safe;
  const timer = timerHours === undefined ? 'no timer' : `timer ${timerHours} h`;
  return (
    <>
      <Words>{`Safe: cut-off ${cutOffV} V, ${timer}: ${deviceHours.toFixed(0)} h a month, and it starts in at least ${percent(Math.min(MOST_SURE, worstCrank))} of cases.`}</Words>
      <ActionButton
        label="Use these settings"
        testID="use-safe"
        onPress={() => props.onSettings(cutOffV, timerHours)}
      />
    </>
  );
}

function BatteryFields(props: {
  readonly inputs: BatteryInputs;
  readonly set: (changed: Partial<BatteryInputs>) => void;
}) {
  const { inputs, set } = props;
  return (
    <>
      <Words kind="heading">Device</Words>
      <ToolNumber
        label="Parked current"
        field="standbyA"
        value={inputs.standbyA}
        onValue={(standbyA) => set({ standbyA })}
      />
      <ToolNumber
        label="Cut-off; empty for none"
        field="cutOffV"
        optional
        value={inputs.cutOffV}
        onValue={(cutOffV) => set({ cutOffV })}
      />
      <ToolNumber
        label="Timer; empty for none"
        field="timerHours"
        optional
        value={inputs.timerHours}
        onValue={(timerHours) => set({ timerHours })}
      />
      <Words kind="heading">Battery</Words>
      <ToolChoice
        label="Kind"
        testID="type"
        even={false}
        options={BATTERY_TYPES.map((one) => [one, BATTERY_NAMES[one]] as const)}
        value={inputs.type}
        onChange={(type) => set({ type })}
      />
      <ToolNumber
        label="Capacity"
        field="capacityAh"
        value={inputs.capacityAh}
        onValue={(capacityAh) => set({ capacityAh })}
      />
      <ToolNumber
        label="Reserve capacity, if printed"
        field="reserveMinutes"
        optional
        value={inputs.reserveMinutes === 0 ? undefined : inputs.reserveMinutes}
        onValue={(minutes) => set({ reserveMinutes: minutes ?? 0 })}
      />
      <ToolNumber
        label="The car’s maker fits"
        field="engineAh"
        optional
        value={inputs.engineAh === 0 ? undefined : inputs.engineAh}
        hint="Empty when this size is the right one"
        onValue={(capacity) => set({ engineAh: capacity ?? 0 })}
      />
      <ToolNumber
        label="Age"
        field="ageYears"
        value={inputs.ageYears}
        onValue={(ageYears) => set({ ageYears })}
      />
      <ToolNumber
        label="Temperature"
        field="temperatureC"
        of="temperature"
        value={inputs.temperatureC}
        onValue={(temperatureC) => set({ temperatureC })}
      />
      <ToolNumber
        label="Charge when parked, 0 to 1"
        field="stateOfCharge"
        value={inputs.stateOfCharge}
        onValue={(stateOfCharge) => set({ stateOfCharge })}
      />
      <ToolNumber
        label="The car’s own drain"
        field="parasiticA"
        value={inputs.parasiticA}
        hint="Up to 0.05 A is normal once it sleeps"
        onValue={(parasiticA) => set({ parasiticA })}
      />
      <ToolNumber
        label="Parked for"
        field="parkedDays"
        value={inputs.parkedDays}
        hint="Days; for the line “After … days”"
        onValue={(parkedDays) => set({ parkedDays })}
      />
      <Words kind="heading">Driving</Words>
      <ToolNumber
        label="Days a week"
        field="driveDays"
        value={inputs.driveDays}
        onValue={(driveDays) => set({ driveDays })}
      />
      <ToolNumber
        label="Driven on such a day"
        field="driveMinutes"
        value={inputs.driveMinutes}
        onValue={(driveMinutes) => set({ driveMinutes })}
      />
      <ToolNumber
        label="Alternator has left"
        field="alternatorA"
        value={inputs.alternatorA}
        onValue={(alternatorA) => set({ alternatorA })}
      />
    </>
  );
}

/** A rule of the trade is never surer than this. */
const MOST_SURE = 0.99;
const HOURS_PER_DAY = 24;
const DAYS_FROM_H = 72;

function hours(value: number): string {
  if (value === Infinity) return 'for good';
  return value >= DAYS_FROM_H
    ? `${(value / HOURS_PER_DAY).toFixed(0)} days`
    : `${value.toFixed(value < 10 ? 1 : 0)} h`;
}

function percent(share: number): string {
  return `${Math.round(100 * share)}\u00a0%`;
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.l, rowGap: SPACE.s },
});
