import type { FindAdvice, NextAction, Verdict } from '@lucky-thread/core/identify';
import type { StateChange } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { closedPlaces, loomsOf, panelsOf, wiresAt } from '@lucky-thread/work';
import { memo, useCallback, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { StateSwitches } from '../../instruments/StateSwitches';
import { FusePanel } from '../../panel/FusePanel';
import { WireStrip } from '../../panel/WireStrip';
import type { Probing } from '../../store/probeSlice';
import { carChanged, slotTouched } from '../../store/probeSlice';
import { useAppDispatch } from '../../store/store';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { useJobChange } from '../../work/useJobChange';
import { useSteadyList } from '../../workers/useSteady';
import { LegendsToFind } from './LegendsToFind';

/** Props of {@link PanelMap}. */
export interface PanelMapProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** Where the car stands, and what is in hand. */
  readonly probing: Probing;
  /** What each source is, and what to do next; undefined until it was worked out. */
  readonly advice: FindAdvice | undefined;
  /** A slot that nobody has entered is in hand; undefined where it is already. */
  readonly onInHand: (() => void) | undefined;
}

/** The sources that the plan wants touched now. */
function wantedBy(next: NextAction | undefined): readonly string[] {
  if (next?.kind === 'pair') return [next.plusId, next.minusId];
  return next?.kind === 'visit' ? next.visit.sourceIds : [];
}

/** What a verdict is about. */
function sourceOf(verdict: Verdict): string {
  return verdict.sourceId;
}

/** The panel and the open wires; drawn anew for where the thumb is and what is advised, not for a reading that is being saved. */
export const PanelMap = memo(function PanelMap({
  context,
  probing,
  advice,
  onInHand,
}: PanelMapProps) {
  const dispatch = useAppDispatch();
  const { job, model, taps } = context;
  const change = useJobChange(job);
  const jobId = job.id;
  const [panelId, setPanelId] = useState<string>();
  const panels = useMemo(() => panelsOf(model), [model]);
  const looms = useMemo(() => loomsOf({ job, model, taps }), [job, model, taps]);
  const panel = panels.find((one) => one.id === panelId) ?? panels[0];
  const verdicts = useSteadyList(advice?.verdicts, sourceOf);
  const next = advice?.next;
  const wanted = useMemo(() => new Set(wantedBy(next)), [next]);
  const loggedIds = useMemo(() => new Set(taps.map((tap) => tap.sourceId)), [taps]);
  const turn = useCallback(
    (changed: StateChange) => void dispatch(carChanged({ jobId, change: changed })),
    [dispatch, jobId],
  );
  const touch = useCallback(
    (sourceId: string) => void dispatch(slotTouched({ jobId, sourceId })),
    [dispatch, jobId],
  );
  return (
    <View style={styles.stack}>
      <StateSwitches state={probing.state} onChange={turn} />
      {panel !== undefined && panels.length > 1 && (
        <Choice
          label="Panel"
          even
          options={panels.map((one) => ({ value: one.id, label: one.name }))}
          value={panel.id}
          onChange={setPanelId}
        />
      )}
      {panel === undefined ? (
        <Words soft>
          Nobody has entered a fuse panel of this model. Enter the slot that you have in hand, and
          read it.
        </Words>
      ) : (
        <FusePanel
          panel={panel}
          verdicts={verdicts}
          selectedId={probing.sourceId}
          wantedIds={wanted}
          loggedIds={loggedIds}
          onTouch={touch}
        />
      )}
      {!model.simulated && onInHand !== undefined && (
        <ActionButton label="A slot that is not here…" testID="slot-not-here" onPress={onInHand} />
      )}
      {isGrowing(context, advice) && <LegendsToFind context={context} />}
      {closedPlaces(context).map((place) => (
        <ActionButton
          key={place.id}
          label={`${place.name}, ${place.sources.length} wires: lay it open`}
          testID={`lay-open-${place.id}`}
          onPress={() => change.layOpen(wiresAt(place))}
        />
      ))}
      {looms.map((loom) => (
        <WireStrip
          key={loom.id}
          name={loom.name}
          wires={loom.wires}
          verdicts={verdicts}
          selectedId={probing.sourceId}
          wantedIds={wanted}
          onTouch={touch}
        />
      ))}
    </View>
  );
});

/** Whether more of the lid would help: slots came one by one, or nothing that is entered can serve. */
function isGrowing({ model, job }: JobContext, advice: FindAdvice | undefined): boolean {
  if (model.simulated) return false;
  return panelsOf(model).length === 0 || job.seen.length > 0 || advice?.next.kind === 'exhausted';
}

const styles = StyleSheet.create({ stack: { gap: SPACE.m } });
