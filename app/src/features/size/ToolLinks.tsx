import type { FeedLoad, FeedSize } from '@lucky-thread/core/size';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { SPACE } from '../../ui/tokens';
import type { SlotFeed } from '@lucky-thread/work';
import { paramsFor } from '../../sizing/toolInputs';
import { BATTERY_DEFAULTS } from '../../sizing/batteryInputs';
import { WIRE_DEFAULTS } from '../../sizing/wireInputs';

/** Props of {@link ToolLinks}. */
export interface ToolLinksProps {
  /** The feed that the tools are opened for. */
  readonly feed: SlotFeed;
  /** What the feed draws. */
  readonly load: FeedLoad | undefined;
  /** What was worked out for it; undefined while something is missing. */
  readonly size: FeedSize | undefined;
}

/** The tools that go on from a feed, with its numbers filled in. */
export function ToolLinks(props: ToolLinksProps) {
  const router = useRouter();
  const links = linksOf(props);
  if (links.length === 0) return null;
  return (
    <View style={styles.row}>
      {links.map(([id, label, to]) => (
        <ActionButton
          key={id}
          label={label}
          testID={`open-${id}-${props.feed.id}`}
          onPress={() => router.push(to)}
        />
      ))}
    </View>
  );
}

/** A tool with its inputs filled in: id, label, address. */
type ToolLink = readonly [id: string, label: string, to: string];

function linksOf({ feed, load, size }: ToolLinksProps): ToolLink[] {
  const links: ToolLink[] = [];
  if (feed.role === 'constant') {
    const parked = paramsFor(BATTERY_DEFAULTS, { standbyA: feed.standbyA ?? feed.currentA });
    links.push(['battery', 'Parked battery', address('battery', parked)]);
  }
  if (load !== undefined) links.push(['run', 'What this wire does', runAddress(load, size)]);
  if (size?.ok === false) {
    const relay = address('relay', { currentA: String(feed.currentA) });
    links.push(['relay', 'Relay instead', relay]);
  }
  return links;
}

function runAddress(
  load: NonNullable<ToolLinksProps['load']>,
  size: ToolLinksProps['size'],
): string {
  return address(
    'run',
    paramsFor(WIRE_DEFAULTS, {
      currentA: load.currentA,
      oneWayM: load.oneWayM,
      back: load.returnPath,
      systemV: String(load.systemV),
      dropLimitPercent: load.dropLimitPercent,
      insulation: String(load.insulation),
      family: load.slot.family,
      slotA: load.slot.ratingA,
      ...(size?.ok === true
        ? { wire: size.conductors.awg?.size.name ?? `${size.metricMm2} mm²` }
        : {}),
    }),
  );
}

function address(tool: string, params: Record<string, string | undefined>): string {
  const search = new URLSearchParams(
    Object.entries(params).flatMap(([key, value]) => (value === undefined ? [] : [[key, value]])),
  ).toString();
  return `/tools/${tool}${search === '' ? '' : `?${search}`}`;
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
});
