import type { BodyInput, FeedPlanInput } from '@lucky-thread/contract';
import { shown } from '@lucky-thread/core/units';
import type { JobContext, JobRoute, TappedFeed } from '@lucky-thread/work';
import { taughtBody } from '@lucky-thread/work';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { NumberField } from '../../ui/NumberField';
import { useUnits } from '../../ui/Units';

/** Props of {@link LeadLength}. */
export interface LeadLengthProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** The feed with its chosen source. */
  readonly tapped: TappedFeed;
  /** The plan of this feed as it stands. */
  readonly plan: FeedPlanInput;
  /** What is wrong, in words for people; undefined when nothing is. */
  readonly problem: string | undefined;
  /** Where the leads run, and what each takes with slack; undefined while that is worked out. */
  readonly route: Pick<JobRoute, 'laid' | 'lengths'> | undefined;
  /** Called with the way along the lead, m; undefined while it can't be read. */
  readonly onLength: (oneWayM: number | undefined) => void;
}

/** Lengths that differ by less are the same, m. */
const SAME_M = 0.1;

/** How long the lead is: by the route, or by the tape, which teaches the model. */
export function LeadLength(props: LeadLengthProps) {
  const { context, tapped, plan, problem, route } = props;
  const units = useUnits();
  const [putBody, { said }] = useShopCommand('modelBody');
  const { id } = tapped.feed;
  const { oneWayM } = plan;
  const byRouteM = route?.lengths.get(id)?.cutM;
  const differs =
    oneWayM !== undefined &&
    byRouteM !== undefined &&
    problem === undefined &&
    Math.abs(oneWayM - byRouteM) > SAME_M;
  const taught: BodyInput | undefined =
    differs && route !== undefined ? taughtBody(context.model, route, id, oneWayM) : undefined;
  return (
    <>
      <NumberField
        label="Length of the lead, one way"
        of="length"
        value={oneWayM}
        problem={problem}
        hint={
          byRouteM === undefined
            ? undefined
            : `By the route ${shown('length', byRouteM, units)}; the tape is right`
        }
        testID={`length-${id}`}
        onValue={props.onLength}
      />
      {taught !== undefined && (
        <ActionButton
          kind="quiet"
          label={`By the tape: teach the model that this way takes ${shown('length', oneWayM ?? 0, units)}`}
          testID={`teach-${id}`}
          onPress={() => void putBody({ modelId: context.model.id, request: taught })}
        />
      )}
      {said !== undefined && <Caution testID={`teach-problem-${id}`}>{said}</Caution>}
    </>
  );
}
