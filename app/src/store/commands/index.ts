import type { JobView } from '@lucky-thread/contract';
import { closing } from './closing';
import { defer } from './defer';
import type { Bodies, CommandKind, JobChangeBody, Made, Sent } from './jobCommand';
import { phase } from './phase';
import { plan } from './plan';
import { proof, proofWithdrawal } from './proof';
import { route } from './route';
import { slot } from './slot';
import { standing } from './standing';
import { step } from './step';
import { wires } from './wires';

export type { JobChangeBody, Sent } from './jobCommand';

/** Every kind of change to a job, each in a file of its own. */
const KINDS: { readonly [Kind in keyof Bodies]: CommandKind<Bodies[Kind]> } = {
  plan,
  wires,
  slot,
  phase,
  defer,
  standing,
  route,
  step,
  closing,
  proof,
  proofWithdrawal,
};

/** A change to a job with its id and moment. */
export type JobCommand = JobChangeBody & Omit<Made<unknown>, 'body'>;

function kindOf(command: JobCommand): {
  readonly kind: CommandKind<unknown>;
  readonly made: Made<unknown>;
} {
  // Kind and body come from one pair of the same union.
  const kind = KINDS[command.kind] as CommandKind<unknown>;
  const { key, at, base, body } = command;
  return { kind, made: { key, at, base, body } };
}

/** A job with changes done that the server does not have yet, in the order of making. */
export function withCommands(job: JobView, commands: readonly JobCommand[]): JobView {
  return commands.reduce((so, command) => {
    const { kind, made } = kindOf(command);
    return kind.apply(so, made);
  }, job);
}

/** Changes as commands on a job, each on top of the one before it. */
export function commandsFor(
  job: JobView,
  changes: readonly JobChangeBody[],
  make: () => Pick<JobCommand, 'key' | 'at'>,
): JobCommand[] {
  let so = job;
  return changes.map((change) => {
    const kind = KINDS[change.kind] as CommandKind<unknown>;
    const command: JobCommand = {
      ...change,
      ...make(),
      base: kind.base?.(so, change.body) ?? null,
    };
    so = withCommands(so, [command]);
    return command;
  });
}

/** How a change is sent. */
export function sentBy(command: JobCommand): Sent {
  const { kind, made } = kindOf(command);
  return kind.sent(made);
}

/** What to say when somebody else was faster; undefined where that cannot be. */
export function staleWords(command: JobCommand): string | undefined {
  return kindOf(command).kind.stale;
}
