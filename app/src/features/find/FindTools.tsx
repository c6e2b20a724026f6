import type { Until } from '@lucky-thread/core/identify';
import { isSpeakerLead } from '@lucky-thread/core/identify';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { useRouter } from 'expo-router';
import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Probing } from '../../store/probeSlice';
import {
  handbookChanged,
  helpChanged,
  lampChanged,
  popChanged,
  untilChanged,
} from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { JobContext } from '@lucky-thread/work';
import { panelsOf } from '@lucky-thread/work';
import { InstrumentCheck } from './InstrumentCheck';
import { LegendCheck } from './LegendCheck';

/** Props of {@link FindTools}. */
export interface FindToolsProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** How far the plan goes, and what it must do without. */
  readonly limits: Pick<Probing, 'until' | 'cannot' | 'lamp' | 'handbook' | 'noPop' | 'alone'>;
  /** Called with places that can't be got at, or can again. */
  readonly onLimit: (places: readonly StitchPlace[], left: boolean) => void;
}

type Tool = 'instruments' | 'legend' | 'plan';

/** What comes before and beside probing: instruments, the legend's lie, what can't be done now, and the cut wires. */
export const FindTools = memo(function FindTools(props: FindToolsProps) {
  const router = useRouter();
  const [open, setOpen] = useState<Tool>();
  const toggle = (tool: Tool): void => setOpen(open === tool ? undefined : tool);
  return (
    <View style={styles.tools}>
      <View style={styles.row}>
        {TOOLS.map(({ tool, label }) => (
          <ActionButton
            key={tool}
            label={label}
            testID={`tool-${tool}`}
            style={styles.even}
            onPress={() => toggle(tool)}
          />
        ))}
        <ActionButton
          label="Cut wires"
          testID="tool-harness"
          style={styles.even}
          onPress={() => router.navigate(`/jobs/${props.context.job.id}/harness`)}
        />
      </View>
      {open === 'instruments' && <InstrumentCheck />}
      {open === 'legend' && <LegendCheck panels={panelsOf(props.context.model)} />}
      {open === 'plan' && <PlanLimits {...props} />}
    </View>
  );
});

const TOOLS: readonly { readonly tool: Tool; readonly label: string }[] = [
  { tool: 'instruments', label: 'Check tester' },
  { tool: 'legend', label: 'Legend' },
  { tool: 'plan', label: 'Plan' },
];

const UNTILS: readonly { readonly value: Until; readonly label: string }[] = [
  { value: 'role', label: 'Feeds served' },
  { value: 'function', label: 'Ready to log' },
];

const LIMITS: readonly {
  readonly label: string;
  readonly places: readonly StitchPlace[];
}[] = [
  { label: 'No cranking', places: ['crank'] },
  { label: 'No running engine', places: ['engine'] },
  { label: 'No key', places: ['acc', 'run', 'crank', 'engine', 'lamps', 'justOff'] },
  { label: 'No waiting for sleep', places: ['asleep', 'waited'] },
];

/** How far the plan goes, and what it must do without. */
function PlanLimits({ context, limits, onLimit }: FindToolsProps) {
  const dispatch = useAppDispatch();
  const { until } = limits;
  const jobId = context.job.id;
  return (
    <Card testID="plan-limits">
      <Words kind="heading">Test until</Words>
      <Choice
        label="Test until"
        even
        testID="until"
        options={UNTILS}
        value={until}
        onChange={(value) => dispatch(untilChanged({ jobId, until: value }))}
      />
      <Words kind="small" soft>
        {until === 'role'
          ? 'Stops as soon as every feed is served. The log may still want a crank or sleep test.'
          : 'Goes on until accessory, ignition and constant can be told from their look-alikes.'}
      </Words>
      <Words kind="heading">Not possible now</Words>
      <NotPossible {...{ context, limits, onLimit }} />
    </Card>
  );
}

/** States, tools and helpers that are out of reach now: a touch says so, another takes it back. */
function NotPossible({ context, limits, onLimit }: FindToolsProps) {
  const dispatch = useAppDispatch();
  const { cannot, lamp, handbook, noPop, alone } = limits;
  const hasSpeakers = context.job.device.feeds.some(({ role }) => isSpeakerLead(role));
  const jobId = context.job.id;
  return (
    <View style={styles.wrap}>
      {LIMITS.map(({ label, places }) => {
        const left = places.every((place) => cannot.includes(place));
        return (
          <ActionButton
            key={label}
            label={`${left ? '☒' : '☐'} ${label}`}
            onPress={() => onLimit(places, !left)}
          />
        );
      })}
      <ActionButton
        label={`${lamp ? '☐' : '☒'} No test lamp`}
        testID="limit-lamp"
        onPress={() => dispatch(lampChanged({ jobId, lamp: !lamp }))}
      />
      <ActionButton
        label={`${handbook ? '☐' : '☒'} No handbook`}
        testID="limit-handbook"
        onPress={() => dispatch(handbookChanged({ jobId, handbook: !handbook }))}
      />
      {hasSpeakers && (
        <ActionButton
          label={`${noPop ? '☒' : '☐'} No 9 V source`}
          testID="limit-pop"
          onPress={() => dispatch(popChanged({ jobId, noPop: !noPop }))}
        />
      )}
      <ActionButton
        label={`${alone ? '☒' : '☐'} Nobody helps`}
        testID="limit-alone"
        onPress={() => dispatch(helpChanged({ jobId, alone: !alone }))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  tools: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.xs },
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
  even: { flex: 1, paddingHorizontal: 2 },
});
