import { FEED_ROLES } from '@lucky-thread/contract';
import type { DeviceInput, FeedInput, FeedRole, FieldProblem } from '@lucky-thread/contract';
import { capacitorInrush, currentAt12V, numberProblems } from '@lucky-thread/core/size';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { KeepDevice } from './KeepDevice';
import { KindOfDevice } from './KindOfDevice';
import { LeadWays } from './LeadWays';
import { problemAt } from './newJob';
import { roleName } from './roleName';

/** A device to begin with: one switched feed. */
export function ownDeviceDraft(): DeviceInput {
  return { name: '', feeds: [newFeed('switched')] };
}

function newFeed(role: FeedRole): FeedInput {
  // The short end of a UUID is its random part.
  return { id: `feed-${uuidv7().slice(-8)}`, name: roleName(role), role, currentA: 1 };
}

/** Props of {@link OwnDevice}. */
export interface OwnDeviceProps {
  /** The device that it is about. */
  readonly device: DeviceInput;
  /** What is wrong with what was typed, with where. */
  readonly problems: readonly FieldProblem[];
  /** Called with the changed device. */
  readonly onDevice: (device: DeviceInput) => void;
}

/** A device typed in by hand: its name and its feeds. */
export function OwnDevice({ device, problems, onDevice }: OwnDeviceProps) {
  const setFeed = (index: number, feed: FeedInput): void =>
    onDevice({ ...device, feeds: device.feeds.map((one, at) => (at === index ? feed : one)) });
  return (
    <View style={styles.stack}>
      <KindOfDevice onDevice={onDevice} />
      <Field
        label="Name of the device"
        testID="own-name"
        value={device.name}
        problem={problemAt(problems, 'device.name')}
        onChange={(name) => onDevice({ ...device, name })}
      />
      {device.feeds.map((feed, index) => (
        <Card key={feed.id}>
          <Field
            label="Feed"
            value={feed.name}
            problem={problemAt(problems, `device.feeds.${index}.name`)}
            onChange={(name) => setFeed(index, { ...feed, name })}
          />
          <Choice
            label="Role"
            options={FEED_ROLES.map((role) => ({ value: role, label: roleName(role) }))}
            value={feed.role}
            onChange={(role) => setFeed(index, { ...feed, role })}
          />
          <Amperes
            startA={feed.currentA}
            problem={problemAt(problems, `device.feeds.${index}.currentA`)}
            onAmps={(currentA) => setFeed(index, { ...feed, currentA })}
            testID={`own-amps-${index}`}
          />
          <LeadWays
            feed={feed}
            index={index}
            leftOffProblem={problemAt(problems, `device.feeds.${index}.leftOff`)}
            outputProblem={problemAt(problems, `device.feeds.${index}.outputV`)}
            onFeed={(next) => setFeed(index, next)}
          />
          <FeedExtras
            feed={feed}
            problems={problems}
            index={index}
            onFeed={(next) => setFeed(index, next)}
          />
          {device.feeds.length > 1 && (
            <ActionButton
              kind="quiet"
              label="Remove this feed"
              onPress={() =>
                onDevice({ ...device, feeds: device.feeds.filter((one) => one.id !== feed.id) })
              }
            />
          )}
        </Card>
      ))}
      <ActionButton
        label="Add a feed"
        testID="add-feed"
        onPress={() => onDevice({ ...device, feeds: [...device.feeds, newFeed('constant')] })}
      />
      <KeepDevice device={device} />
    </View>
  );
}

/** What a feed's label may say besides: inrush, and what it draws while the car is parked. */
function FeedExtras(props: {
  readonly feed: FeedInput;
  readonly index: number;
  readonly problems: readonly FieldProblem[];
  readonly onFeed: (feed: FeedInput) => void;
}) {
  const { feed, index, problems, onFeed } = props;
  const [open, setOpen] = useState(false);
  const [capacitorUF, setCapacitorUF] = useState<number>();
  if (!open)
    return (
      <ActionButton
        kind="quiet"
        label="Inrush, parked current…"
        testID={`extras-${index}`}
        onPress={() => setOpen(true)}
      />
    );
  const at = (field: keyof FeedInput): string | undefined =>
    problemAt(problems, `device.feeds.${index}.${field}`);
  const put = (changed: {
    [Key in 'inrushA' | 'inrushS' | 'standbyA']?: number | undefined;
  }): void => {
    const entries = Object.entries({ ...feed, ...changed }).filter(
      ([, value]) => value !== undefined,
    );
    onFeed(Object.fromEntries(entries) as unknown as FeedInput);
  };
  return (
    <View style={styles.stack}>
      <NumberField
        label="Inrush"
        of={{ unit: 'A' }}
        value={feed.inrushA}
        problem={at('inrushA')}
        testID={`inrush-${index}`}
        onValue={(inrushA) => put({ inrushA })}
      />
      <NumberField
        label="Inrush lasts"
        of={{ unit: 's' }}
        value={feed.inrushS}
        problem={at('inrushS')}
        testID={`inrush-time-${index}`}
        onValue={(inrushS) => put({ inrushS })}
      />
      <NumberField
        label="Or its input capacitor"
        of={{ unit: 'µF' }}
        value={capacitorUF}
        problem={
          capacitorUF === undefined ? undefined : numberProblems({ capacitorUF })[0]?.message
        }
        hint="Gives the inrush at 14.4 V through 0.1 Ω"
        testID={`capacitor-${index}`}
        onValue={(microfarads) => {
          setCapacitorUF(microfarads);
          if (microfarads === undefined || numberProblems({ capacitorUF: microfarads }).length > 0)
            return;
          const { peakA, peakS } = capacitorInrush(microfarads);
          put({ inrushA: peakA, inrushS: peakS });
        }}
      />
      <NumberField
        label="While parked"
        of={{ unit: 'A' }}
        value={feed.standbyA}
        problem={at('standbyA')}
        testID={`standby-${index}`}
        onValue={(standbyA) => put({ standbyA })}
      />
    </View>
  );
}

type Unit = 'A' | 'W' | 'USB';

/** Amperes at 12 V from what is printed on the device: amperes, watts, or amperes at 5 V. */
function Amperes(props: {
  /** Current to begin with, A at 12 V. */
  readonly startA: number;
  readonly problem: string | undefined;
  readonly onAmps: (amps: number) => void;
  readonly testID: string;
}) {
  const [text, setText] = useState(String(props.startA));
  const [unit, setUnit] = useState<Unit>('A');
  const apply = (nextText: string, nextUnit: Unit): void => {
    setText(nextText);
    setUnit(nextUnit);
    props.onAmps(Number(amps(Number(nextText.replace(',', '.')), nextUnit).toFixed(3)));
  };
  const at12V = amps(Number(text.replace(',', '.')), unit);
  return (
    <View style={styles.stack}>
      <Field
        label="Printed on it"
        testID={props.testID}
        keyboard="decimal-pad"
        value={text}
        problem={props.problem}
        hint={
          Number.isFinite(at12V)
            ? `${at12V.toFixed(2)} A at 12 V${unit === 'USB' ? ', converter 85 % efficient' : ''}`
            : undefined
        }
        onChange={(next) => apply(next, unit)}
      />
      <Choice
        label="Unit"
        options={[
          { value: 'A', label: 'A at 12 V' },
          { value: 'W', label: 'W' },
          { value: 'USB', label: 'A at 5 V' },
        ]}
        value={unit}
        onChange={(next) => apply(text, next)}
      />
      <Words kind="small" soft>
        3 A at 5 V is not 3 A at 12 V.
      </Words>
    </View>
  );
}

function amps(value: number, unit: Unit): number {
  const field = unit === 'W' ? 'watts' : 'printedA';
  // While it is being typed it may be nothing yet: the contract refuses it by name when it is sent.
  if (numberProblems({ [field]: value }).length > 0) return Number.NaN;
  if (unit === 'W') return currentAt12V({ kind: 'watts', watts: value });
  return currentAt12V({ kind: 'amps', amps: value, atV: unit === 'USB' ? 5 : 12 });
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
