import { handOverTests } from '@lucky-thread/core/prove';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { TickRow } from '../../ui/TickRow';
import { Words } from '../../ui/Words';
import type { ClosingProps } from './closing';

/** What is tried before the car is handed over: that a remote start can be stopped, that a stereo plays and remembers. */
export function HandOver({ job, onNote }: ClosingProps) {
  const roles = job.device.feeds.map(({ role }) => role);
  const tests = handOverTests({ family: job.device.family, roles });
  if (tests.length === 0) return null;
  return (
    <Card testID="hand-over">
      <Words kind="heading">Before it is handed over</Words>
      {roles.includes('starter') && (
        <Caution>
          One at the wheel with a foot ready, one outside in sight, nobody in front or behind; in
          the open, wheels chocked.
        </Caution>
      )}
      {tests.map(({ id, what, must }) => {
        const item = `hand-over:${id}`;
        const found = job.closing.find((one) => one.item === item);
        const done = found !== undefined;
        return (
          <TickRow
            key={id}
            label={`${what} ${must}${by(found?.by)}`}
            on={done}
            testID={`hand-over-${id}`}
            onToggle={() => onNote({ item, done: !done, value: null })}
          />
        );
      })}
    </Card>
  );
}

function by(name: string | undefined): string {
  return name === undefined || name === '' ? '' : ` (${name})`;
}
