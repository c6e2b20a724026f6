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
  readonly feed: SlotFeed;
  readonly load: FeedLoad | undefined;
  readonly size: FeedSize | undefined;
}

/** The tools that go on from a feed, with its numbers filled in. */
export function ToolLinks({ feed, load, size }: ToolLinksProps) {
  const router = useRouter();
  const links: readonly (readonly [id: string, label: string, to: string])[] = [
    ...(feed.role === 'constant'
      ? [
          [
            'battery',
            'Parked battery',
            address(
              'battery',
              paramsFor(BATTERY_DEFAULTS, { standbyA: feed.standbyA ?? feed.currentA }),
            ),
          ] as const,
        ]
      : []),
    ...(load === undefined
      ? []
      : [
          [
            'run',
            'What this wire does',
            address(
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
            ),
          ] as const,
        ]),
    ...(size?.ok === false
      ? [['relay', 'Relay instead', address('relay', { currentA: String(feed.currentA) })] as const]
      : []),
  ];
  if (links.length === 0) return null;
  return (
    <View style={styles.row}>
      {links.map(([id, label, to]) => (
        <ActionButton
          key={id}
          label={label}
          testID={`open-${id}-${feed.id}`}
          onPress={() => router.push(to)}
        />
      ))}
    </View>
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
