import { screenSlot } from '@lucky-thread/core/choose';
import type { FindAdvice, FindSession } from '@lucky-thread/core/identify';
import { describeValue } from '@lucky-thread/core/identify/reading';
import { nextState } from '@lucky-thread/core/vehicle';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { useWide } from '../../ui/Screen';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { Words } from '../../ui/Words';
import { askPlanner } from '../../workers/planner';
import { useAnswer } from '../../workers/useAnswer';
import { FusePanel } from '../../panel/FusePanel';
import { StateSwitches } from '../../instruments/StateSwitches';
import { VerdictCard } from '../../panel/VerdictCard';
import { slotTitle } from '../../panel/sourceTitle';
import type { Level } from './levels';
import { NEED_WORDS } from './levels';
import type { PanelPractice } from './panelPractice';
import { choose, fit, goTo, pull, startPanel, touch, undo } from './panelPractice';
import { reportOf } from './panelReport';
import { PracticeHead } from './PracticeHead';
import { PracticeReport } from './PracticeReport';

/** Practice on a fuse panel: the same panel, virtual key, lamp and meter, pulling fuses and fitting taps. */
export function PanelPracticeScreen(props: {
  readonly level: Extract<Level, { kind: 'panel' }>;
  readonly seed: number;
  readonly onLeave: () => void;
  readonly onAnother: () => void;
}) {
  const { level, seed } = props;
  const [practice, setPractice] = useState(() => startPanel(seed, level));
  const [slotId, setSlotId] = useState<string>();
  const [helped, setHelped] = useState(false);
  const [finished, setFinished] = useState(false);
  const wide = useWide();
  const advice = useAdvice(practice);
  const verdicts = useMemo(
    () => new Map(advice?.verdicts.map((one) => [one.sourceId, one]) ?? []),
    [advice],
  );
  if (finished)
    return (
      <PracticeReport
        lines={reportOf(practice)}
        seconds={practice.seconds}
        probes={practice.readings.length}
        car={{ kind: 'panel', seed, quality: level.quality, needs: level.needs }}
        onBack={() => setFinished(false)}
        onAnother={props.onAnother}
        onLeave={props.onLeave}
      />
    );
  const slot = practice.panel.slots.find((one) => one.id === slotId);
  const verdict = slotId === undefined ? undefined : verdicts.get(slotId);
  const wanted = helped && advice?.next.kind === 'visit' ? advice.next.visit.sourceIds : [];
  const judged = helped && slot !== undefined && verdict !== undefined && (
    <VerdictCard
      key={slot.id}
      title={slotTitle(slot)}
      warning={screenSlot(slot).reason}
      verdict={verdict}
      readings={practice.readings.filter((one) => one.sourceId === slot.id)}
    />
  );
  const dock = (
    <>
      {helped && advice !== undefined && (
        <View style={styles.tight}>
          <Words kind="instruction" testID="next">
            {advice.next.instruction}
          </Words>
          {advice.next.kind === 'visit' && advice.next.caution !== undefined && (
            <Caution>{advice.next.caution}</Caution>
          )}
        </View>
      )}
      {slotId === undefined ? (
        <Words soft>Touch a slot on the panel.</Words>
      ) : (
        <SlotBench practice={practice} slotId={slotId} onPractice={setPractice} />
      )}
      <Words kind="small" soft testID="practice-seconds">
        {`${practice.seconds} s of work so far, ${practice.readings.length} readings.`}
      </Words>
      {wide && judged}
    </>
  );
  return (
    <WithDock testID="practice" dock={dock}>
      <PracticeHead
        title={level.title}
        helped={helped}
        onHelp={() => setHelped(!helped)}
        onFinish={() => setFinished(true)}
      />
      {practice.needs.map((need) => (
        <Words kind="small" key={need.id}>
          {`${practice.choice[need.id] === undefined ? '○' : '●'} ${NEED_WORDS[need.id] ?? need.id}${
            practice.choice[need.id] === undefined ? '' : `: ${practice.choice[need.id] ?? ''}`
          }`}
        </Words>
      ))}
      <StateSwitches
        state={practice.state}
        onChange={(change) => setPractice(goTo(practice, nextState(practice.state, change)))}
      />
      <FusePanel
        panel={practice.panel}
        verdicts={verdicts}
        selectedId={slotId}
        wantedIds={new Set(wanted)}
        loggedIds={new Set()}
        onTouch={setSlotId}
      />
      {!wide && judged}
    </WithDock>
  );
}

/** Meter, lamp, fuse and tap at one slot, and what it is to be used for. */
function SlotBench(props: {
  readonly practice: PanelPractice;
  readonly slotId: string;
  readonly onPractice: (practice: PanelPractice) => void;
}) {
  const { practice, slotId, onPractice } = props;
  const slot = practice.panel.slots.find((one) => one.id === slotId);
  const out = practice.situation.pulled.has(slotId);
  const tapped = practice.situation.taps.some((tap) => tap.slotId === slotId);
  const last = practice.readings.at(-1);
  const contacts = out || tapped ? (['a', 'b'] as const) : [undefined];
  return (
    <Card testID="slot-bench">
      <View style={styles.row}>
        <Words kind="heading" style={styles.even}>
          {`${slotId} ${slot?.legend ?? '(no legend)'} · ${slot?.ratingA ?? '–'} A`}
        </Words>
        <ActionButton
          kind="quiet"
          label="Undo"
          testID="undo"
          disabled={last === undefined}
          onPress={() => onPractice(undo(practice))}
        />
      </View>
      {contacts.map((contact) => (
        <View style={styles.row} key={contact ?? 'both'}>
          {(['meter', 'lamp'] as const).map((instrument) => (
            <ActionButton
              key={instrument}
              label={`${instrument === 'meter' ? 'Meter' : 'Lamp'}${
                contact === undefined ? '' : contact === 'a' ? ', upper' : ', lower'
              }`}
              testID={`touch-${instrument}${contact === undefined ? '' : `-${contact}`}`}
              style={styles.even}
              onPress={() => onPractice(touch(practice, { slotId, contact, with: instrument }))}
            />
          ))}
          {contact !== 'b' && (
            <ActionButton
              label={out || tapped ? 'Fuse back' : 'Pull fuse'}
              testID="pull"
              style={styles.even}
              onPress={() => onPractice(pull(practice, slotId, !(out || tapped)))}
            />
          )}
        </View>
      ))}
      {last !== undefined && (
        <Words kind="figure" testID="last-reading">
          {`${last.sourceId}: ${describeValue(last.value)}`}
        </Words>
      )}
      {practice.shown !== undefined && <Words kind="small">{practice.shown}</Words>}
      {out && (
        <View style={styles.row}>
          <ActionButton
            label="Tap, line blade up"
            testID="fit-a"
            style={styles.even}
            onPress={() => onPractice(fit(practice, slotId, 'a'))}
          />
          <ActionButton
            label="Tap, line blade down"
            testID="fit-b"
            style={styles.even}
            onPress={() => onPractice(fit(practice, slotId, 'b'))}
          />
        </View>
      )}
      <View style={styles.row}>
        {practice.needs.map((need) => (
          <ActionButton
            key={need.id}
            label={`${practice.choice[need.id] === slotId ? '● ' : ''}Use as ${need.id}`}
            testID={`use-${need.id}`}
            style={styles.even}
            onPress={() => onPractice(choose(practice, need.id, slotId))}
          />
        ))}
      </View>
    </Card>
  );
}

/** What the identification makes of the practice readings; an answer to an older question is dropped. */
function useAdvice(practice: PanelPractice): FindAdvice | undefined {
  const { panel, readings, state, needs } = practice;
  const session = useMemo(
    (): FindSession => ({
      sources: panel.slots.map((slot) => ({
        id: slot.id,
        name: slot.position,
        legend: slot.legend,
        fitted: true,
        tappable: true,
        logged: undefined,
        ratingA: slot.ratingA,
      })),
      readings,
      state,
      needs,
      lamp: true,
    }),
    [panel, readings, state, needs],
  );
  return useAnswer(session, askPlanner).answer;
}

const styles = StyleSheet.create({
  tight: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.xs, alignItems: 'center' },
  even: { flex: 1, paddingHorizontal: 2 },
});
