import type { BodyInput } from '@lucky-thread/contract';
import type { RouteAim } from '@lucky-thread/core/build';
import { PASSAGE_KINDS, ROUTE_HAZARDS, leadLength, mountSpots } from '@lucky-thread/core/build';
import { shown } from '@lucky-thread/core/units';
import type { JobContext, JobRoute, RouteChoices } from '@lucky-thread/work';
import { GROUND_LEAD, bodyOf } from '@lucky-thread/work';
import { memo, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { useShopCommand } from '../../store/useShopCommand';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Loading, NotWorkedOut } from '../../ui/States';
import { useUnits } from '../../ui/Units';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { JobChange } from '../../work/useJobChange';
import { askRoutes } from '../../workers/builder';
import { useAnswer } from '../../workers/useAnswer';
import { BodyChoice } from './BodyChoice';
import { PassageRow } from './PassageRow';
import { RouteDrawing } from './RouteDrawing';

/** Where the device sits and its leads run: drawn, with what comes off, what to mind, and what is cut. */
export const RouteCard = memo(function RouteCard(props: {
  /** The job as far as its plan goes; it stays itself while nothing of that changes. */
  readonly still: JobContext;
  readonly onRoute: JobChange['setRoute'];
}) {
  const { still } = props;
  const units = useUnits();
  const { model } = still;
  const body = useMemo(() => bodyOf(still), [still]);
  const { answer, problem, retry } = useAnswer(still, askRoutes);
  const [more, setMore] = useState(false);
  const [putBody, { said }] = useShopCommand('modelBody');
  const save = (body: BodyInput): void => void putBody({ modelId: model.id, request: body });
  if (answer === undefined)
    return (
      <Card testID="route">
        <Words kind="heading">Where the leads run</Words>
        {problem === undefined && <Loading what="the route" />}
        <NotWorkedOut what="The route" problem={problem} onRetry={retry} />
      </Card>
    );
  const { others } = answer;
  const route: JobRoute = { ...answer.route, body };
  const { laid, mount } = route;
  return (
    <Card testID="route">
      <Words kind="heading">Where the leads run</Words>
      <NotWorkedOut what="The route" problem={problem} onRetry={retry} />
      {route.assumed && (
        <Words kind="small" testID="body-assumed">
          Nobody has said what body this is; a hatchback was taken. Say it once for the model.
        </Words>
      )}
      <RouteDrawing body={body} laid={laid} mount={mount.spotId} passages={laid.opened} />
      <Words kind="label" testID="route-sum">
        {sumOf(route, units)}
      </Words>
      <Aims route={route} others={others} onAim={(aim) => props.onRoute({ aim })} />
      <Passages
        route={route}
        onFound={route.assumed ? undefined : (found) => save(withPassage(still, route, found))}
      />
      <RouteNotes route={route} />
      <Lengths context={still} route={route} />
      <ActionButton
        kind="quiet"
        label={more ? 'Less' : `Device at the ${mount.name} · ${body.knowledge.style}…`}
        testID="route-more"
        onPress={() => setMore(!more)}
      />
      {more && (
        <View style={styles.stack}>
          <MountChoice route={route} onMount={(spotId) => props.onRoute({ mount: spotId })} />
          <BodyChoice body={model.body} style={body.knowledge.style} onBody={save} />
        </View>
      )}
      {said !== undefined && <Caution testID="body-problem">{said}</Caution>}
    </Card>
  );
});

/** The passages one by one, to be put right for the model. */
function Passages(props: {
  readonly route: JobRoute;
  readonly onFound: ((found: BodyInput['passages'][number]) => void) | undefined;
}) {
  const { route, onFound } = props;
  const { laid } = route;
  return (
    <>
      {laid.opened.map((passage, index) => (
        <PassageRow
          key={passage.id}
          number={index + 1}
          passage={passage}
          leads={
            laid.leads.filter((one) => one.passages.some(({ id }) => id === passage.id)).length
          }
          bundleMm={route.bundles.get(passage.id) ?? 0}
          onFound={
            onFound === undefined ? undefined : (found) => onFound({ id: passage.id, ...found })
          }
        />
      ))}
    </>
  );
}

/** What is to be minded along the way, what was passed by, and what is laid nowhere. */
function RouteNotes({ route }: { readonly route: JobRoute }) {
  const { laid } = route;
  return (
    <>
      {hazardsOf(route).map((hazard) => (
        <Caution key={hazard}>{ROUTE_HAZARDS[hazard].caution}</Caution>
      ))}
      {route.tooTight.map(({ id, roomMm, kind }) => (
        <Words key={id} kind="small" testID="too-tight">
          {`Not ${PASSAGE_KINDS[kind].along}: ${roomMm ?? 0} mm free there, and the leads are thicker together.`}
        </Words>
      ))}
      {route.unplaced.length > 0 && (
        <Words kind="small">{`Not on the body yet, so not laid: ${route.unplaced.join(', ')}. Give their place its zone.`}</Words>
      )}
      {laid.unreachable.length > 0 && (
        <Caution>{`No way leads there any more: ${laid.unreachable.join(', ')}. Open a passage again.`}</Caution>
      )}
    </>
  );
}

/** Where the device sits, with what is to be minded there. */
function MountChoice(props: {
  readonly route: JobRoute;
  readonly onMount: (spotId: string) => void;
}) {
  const { body, mount } = props.route;
  return (
    <>
      <Words kind="label">Where the device sits</Words>
      <Choice
        label="Where the device sits"
        testID="mount"
        options={mountSpots(body).map(({ spotId, name }) => ({ value: spotId, label: name }))}
        value={mount.spotId}
        onChange={props.onMount}
      />
      {mount.cautions.map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
    </>
  );
}

const AIM_WORDS: Record<RouteAim, string> = {
  balanced: 'All in all',
  short: 'Least lead',
  quick: 'Least work',
  clear: 'Fewest hazards',
};

/** Other ways, each with what it trades; none where every aim comes to the same way. */
function Aims(props: {
  readonly route: JobRoute;
  readonly others: RouteChoices['others'];
  readonly onAim: (aim: RouteAim) => void;
}) {
  const units = useUnits();
  const { route, others } = props;
  const wayOf = ({ laid }: Pick<JobRoute, 'laid'>): string =>
    laid.opened
      .map(({ id }) => id)
      .sort()
      .join();
  if (others.every(([, one]) => wayOf(one) === wayOf(route)))
    return (
      <Words kind="small" soft>
        No other way is shorter, quicker or clearer.
      </Words>
    );
  return (
    <Choice
      label="What the route is to be good at"
      testID="aim"
      options={others.map(([aim, other]) => ({
        value: aim,
        label: `${AIM_WORDS[aim]} · ${shown('length', metres(other), units)}, ${minutes(other)} min, ${hazardsOf(other).length} ⚠`,
      }))}
      value={route.aim}
      onChange={props.onAim}
    />
  );
}

/** Lengths lead by lead, with clips and where the rest is hidden. */
function Lengths({ context, route }: { readonly context: JobContext; readonly route: JobRoute }) {
  const units = useUnits();
  const names = new Map(context.job.device.feeds.map((feed) => [feed.id, feed.name]));
  return (
    <View>
      {[...route.lengths].map(([id, { cutM, wayM, clips }]) => (
        <Words key={id} kind="small" testID={`laid-${id === GROUND_LEAD ? 'ground' : id}`}>
          {`${id === GROUND_LEAD ? 'Ground' : (names.get(id) ?? id)}: cut ${shown('length', cutM, units)} (way ${shown('length', wayM, units)}, a tenth of slack, a loop at each end), ${clips} clips`}
        </Words>
      ))}
      {route.lengths.size > 0 && (
        <Words kind="small" soft>
          What is left over lies flat behind the side trim or above the headliner, never coiled
          tight; a ferrite goes on near the device where its kit has one.
        </Words>
      )}
    </View>
  );
}

function metres({ laid }: Pick<JobRoute, 'laid'>): number {
  return laid.leads.reduce((sum, { wayM }) => sum + leadLength(wayM).cutM, 0);
}

function minutes({ laid }: Pick<JobRoute, 'laid'>): number {
  return Math.round(laid.seconds / 60);
}

function hazardsOf({ laid }: Pick<JobRoute, 'laid'>) {
  return [...new Set(laid.opened.flatMap(({ hazards }) => hazards))];
}

function sumOf(route: JobRoute, units: 'metric' | 'us'): string {
  const trims = route.laid.opened.filter(({ kind }) => kind !== 'carpet').length;
  return `${shown('length', metres(route), units)} of lead in all · about ${minutes(route)} min to open, lay and close · ${trims} places to open`;
}

/** The model’s body with one passage as it was found. */
function withPassage(
  { model }: JobContext,
  { body }: JobRoute,
  found: BodyInput['passages'][number],
): BodyInput {
  const known = model.body ?? { style: body.knowledge.style, passages: [] };
  return {
    ...known,
    passages: [...known.passages.filter(({ id }) => id !== found.id), found],
  };
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
