import type { LeadFamily } from '@lucky-thread/core/choose';
import { readLead } from '@lucky-thread/core/choose';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '../ui/tokens';
import { WireSwatch } from './WireSwatch';

/** Words about a lead with its colour beside them; without a family the words alone. */
export function LeadColour(props: {
  readonly family: LeadFamily | undefined;
  /** The colour in the family's words. */
  readonly words: string | undefined;
  readonly children: ReactNode;
}) {
  const { family, words } = props;
  const lead =
    family === undefined || words === undefined ? undefined : readLead(family, words).lead;
  if (lead === undefined) return props.children;
  return (
    <View style={styles.row}>
      <WireSwatch colour={lead.colour} />
      <View style={styles.fill}>{props.children}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  fill: { flex: 1 },
});
