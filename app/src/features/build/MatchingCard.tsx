import type { LeadDirection } from '@lucky-thread/contract';
import type {
  JobContext,
  ListedLead,
  MatchedLead,
  MatchedTo,
  MatchingList,
} from '@lucky-thread/work';
import { meetingWords } from '@lucky-thread/work';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import Svg, { Circle, Path } from 'react-native-svg';
import { WireSwatch } from '../../panel/WireSwatch';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';
import { conductorWords } from './conductorWords';
import { printedList } from './printList';

/** Each lead of the device with its partner in the car; a pair is ticked when it is made, and the whole can be printed. */
export const MatchingCard = memo(function MatchingCard(props: {
  readonly job: JobContext['job'];
  readonly list: MatchingList;
  /** Pairs that somebody has ticked, by id. */
  readonly made: ReadonlySet<string>;
  /** A pair is ticked, or its tick taken back. */
  readonly onTick: (id: string, made: boolean) => void;
}) {
  const { job, list, made, onTick } = props;
  const us = useUnits() === 'us';
  const head = { vehicle: `${job.vehicleName}, ${job.vehicle.year}`, device: job.device.name };
  return (
    <Card testID="matching">
      <View style={styles.head}>
        <Words kind="heading" style={styles.grow}>
          Lead to wire
        </Words>
        <ActionButton
          kind="quiet"
          label="Print"
          testID="print-matching"
          onPress={() => printPage(printedList(head, list, us))}
        />
      </View>
      {list.pairs.map((pair) => (
        <Pair
          key={pair.id}
          pair={pair}
          us={us}
          made={made.has(pair.id)}
          onTick={() => onTick(pair.id, !made.has(pair.id))}
        />
      ))}
      {list.left.length > 0 && (
        <Words kind="label">{`Left over, each capped by itself: ${list.left.length}`}</Words>
      )}
      {list.left.map(({ lead, end }) => (
        <View key={lead.words} style={styles.head}>
          <WireSwatch colour={lead.colour} />
          <Words
            kind="small"
            style={styles.grow}
          >{`${lead.words ?? ''}: ${lead.name}. ${end}`}</Words>
        </View>
      ))}
    </Card>
  );
});

function Pair(props: {
  readonly pair: MatchedLead;
  readonly us: boolean;
  readonly made: boolean;
  readonly onTick: () => void;
}) {
  const palette = usePalette();
  const { pair, made } = props;
  const { lead, to } = pair;
  return (
    <TouchableRipple
      role="checkbox"
      aria-checked={made}
      testID={`pair-${pair.id}`}
      onPress={props.onTick}
      style={[styles.pair, { borderColor: palette.line }]}
    >
      <View style={styles.inside}>
        <View style={styles.head}>
          <LeadEnd lead={lead} direction={pair.direction} />
          <Thread made={made} open={to === undefined} />
          <View style={styles.grow}>
            {to === undefined ? (
              <Words soft>
                {pair.optional ? 'left off: cap it by itself' : 'nothing chosen yet'}
                {pair.leftOff === undefined ? '' : `. ${pair.leftOff}`}
              </Words>
            ) : (
              <View style={styles.head}>
                {to.colour !== undefined && <WireSwatch colour={to.colour} />}
                <View style={styles.grow}>
                  <Words kind="label">{to.source}</Words>
                  <Words kind="small" soft>
                    {to.place}
                  </Words>
                </View>
              </View>
            )}
          </View>
        </View>
        {to !== undefined && <Words kind="small">{detailsOf(to, props.us)}</Words>}
        {(to === undefined ? [] : meetingWords(to)).map((words) => (
          <Words kind="small" key={words} testID={`meets-${pair.id}`}>
            {words}
          </Words>
        ))}
        {to?.signal !== undefined && (
          <Words kind="small" testID={`signal-${pair.id}`}>
            {to.signal.because}
          </Words>
        )}
      </View>
    </TouchableRipple>
  );
}

/** What a lead does that gives something to the car; most only take. */
const GIVES: Record<LeadDirection, string | undefined> = {
  in: undefined,
  out: 'the device drives it',
  both: 'goes both ways',
};

function LeadEnd(props: { readonly lead: ListedLead; readonly direction: LeadDirection }) {
  const { lead } = props;
  const says = [lead.words, GIVES[props.direction]].filter((one) => one !== undefined);
  return (
    <View style={[styles.head, styles.lead]}>
      {lead.colour !== undefined && <WireSwatch colour={lead.colour} />}
      <View style={styles.grow}>
        <Words kind="label">{lead.name}</Words>
        {says.length > 0 && (
          <Words kind="small" soft>
            {says.join(' · ')}
          </Words>
        )}
      </View>
    </View>
  );
}

/** The thread between the two: loose while nothing is chosen, through while it is to be made, with its knot when it is. */
function Thread({ made, open }: { readonly made: boolean; readonly open: boolean }) {
  const palette = usePalette();
  return (
    <Svg width={44} height={24} aria-hidden>
      <Path
        d={open ? 'M2 12 Q12 20 20 14' : 'M2 12 L42 12'}
        stroke={open ? palette.inkSoft : palette.ink}
        strokeWidth={2.5}
        strokeDasharray={open ? '2 4' : undefined}
        fill="none"
      />
      {!open && (
        <Circle
          cx={22}
          cy={12}
          r={7}
          fill={made ? palette.ink : palette.raised}
          stroke={palette.ink}
          strokeWidth={2}
        />
      )}
    </Svg>
  );
}

function detailsOf(to: MatchedTo, us: boolean): string {
  return [
    to.joint,
    ...(to.side === undefined ? [] : [`supply enters at the ${to.side}`]),
    ...(to.fuseA === undefined ? [] : [`${to.fuseA} A fuse`]),
    ...(conductorWords(to, us) === '' ? [] : [conductorWords(to, us)]),
    ...(to.first.length === 0 ? [] : [`on first: ${to.first.join(', ')}`]),
  ].join(' · ');
}

/** Hands a page to the printer by way of a frame of its own, which goes when it is done. */
function printPage(html: string): void {
  const frame = document.createElement('iframe');
  frame.style.display = 'none';
  frame.srcdoc = html;
  frame.onload = () => {
    frame.contentWindow?.addEventListener('afterprint', () => frame.remove());
    frame.contentWindow?.print();
  };
  document.body.append(frame);
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1 },
  lead: { flex: 1 },
  pair: { borderWidth: 1, borderRadius: RADIUS, minHeight: TARGET },
  inside: { padding: SPACE.s, gap: SPACE.xs },
});
