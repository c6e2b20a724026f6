import type { CardLayout, Corners } from '@lucky-thread/core/card';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../../ui/ActionButton';
import { Caution } from '../../../ui/Caution';
import { FilePicker } from '../../../ui/FilePicker';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';
import type { PanelDraft } from '../drafts/panelDraft';
import { lidOf, toLookAt } from './cardDraft';
import { CardReview } from './CardReview';
import { CornerPull } from './CornerPull';
import { GridCheck } from './GridCheck';
import { turnedOver } from './picture';
import { useCard } from './useCard';

/** Props of {@link CardEntry}. */
export interface CardEntryProps {
  /** What was typed so far. */
  readonly draft: PanelDraft;
  /** What the card says, once somebody has seen all of it. */
  readonly onLid: (lid: Partial<PanelDraft>) => void;
  /** A picture is being worked with: typing waits. */
  readonly onWorking: (working: boolean) => void;
}

/** A fuse panel from a picture of its lid: corners, rows and columns, reading, and every fuse beside its picture. */
export function CardEntry({ draft, onLid, onWorking }: CardEntryProps) {
  const card = useCard(draft.family);
  const { step } = card;
  const isWorking = step.kind !== 'none';
  useEffect(() => card.leave, [card.leave]);
  useEffect(() => onWorking(isWorking), [isWorking, onWorking]);
  return (
    <View style={styles.stack} testID="card-entry">
      {card.problem !== undefined && <Caution testID="card-problem">{card.problem}</Caution>}
      {step.kind === 'none' && (
        <View style={styles.row}>
          <FilePicker
            label="Picture of the lid"
            accept="image/*"
            testID="card-file"
            onFile={card.choose}
          />
          <FilePicker
            label="Take one"
            accept="image/*"
            camera
            testID="card-camera"
            onFile={card.choose}
          />
        </View>
      )}
      {step.kind === 'corners' && (
        <>
          <Words kind="small">Pull each corner onto a corner of the card.</Words>
          <CornerPull
            picture={step.picture.gray}
            url={step.picture.url}
            corners={step.corners}
            onCorners={(corners: Corners) => card.pull(corners)}
          />
          <View style={styles.row}>
            <ActionButton kind="quiet" label="Leave it" testID="card-leave" onPress={card.leave} />
            <ActionButton
              label="Upside down"
              testID="card-turn"
              onPress={() => card.pull(turnedOver(step.corners))}
            />
            <ActionButton
              label="Straighten it"
              testID="card-straighten"
              style={styles.even}
              disabled={card.busy}
              onPress={() => void card.straighten()}
            />
          </View>
        </>
      )}
      {step.kind === 'grid' && (
        <>
          <Words kind="small">Do the lines stand where the card’s rows and columns are?</Words>
          <GridCheck
            card={step.straight.card}
            url={step.url}
            grid={step.grid}
            layout={step.layout}
            onCounts={card.count}
            onLayout={(layout: CardLayout) => card.lay(layout)}
          />
          <View style={styles.row}>
            <ActionButton kind="quiet" label="Back" testID="card-back" onPress={card.back} />
            <ActionButton
              label="Read it"
              testID="card-read"
              style={styles.even}
              onPress={() => void card.read()}
            />
          </View>
        </>
      )}
      {step.kind === 'reading' && (
        <View style={styles.row}>
          <View role="progressbar" aria-valuenow={Math.round(100 * step.done)} style={styles.even}>
            <Words testID="card-progress">{`Reading: ${Math.round(100 * step.done)} %`}</Words>
          </View>
          <ActionButton label="Stop" testID="card-stop" onPress={card.stop} />
        </View>
      )}
      {step.kind === 'review' && (
        <>
          <CardReview
            card={step.straight.card}
            url={step.url}
            cells={step.cells}
            family={draft.family}
            onCell={card.setCell}
          />
          <TakeOver
            left={toLookAt(step.cells)}
            count={step.cells.length}
            onTake={() => {
              onLid(
                lidOf(
                  step.cells.map(({ cell }) => cell),
                  draft,
                ),
              );
              card.leave();
            }}
            onLeave={card.leave}
          />
        </>
      )}
    </View>
  );
}

function TakeOver(props: {
  readonly left: number;
  readonly count: number;
  readonly onTake: () => void;
  readonly onLeave: () => void;
}) {
  const { left, count } = props;
  return (
    <View style={styles.row}>
      <ActionButton kind="quiet" label="Leave it" testID="card-leave" onPress={props.onLeave} />
      <ActionButton
        label={left > 0 ? `${left} still to look at` : `All ${count} are right: take them over`}
        testID="card-take"
        style={styles.even}
        disabled={left > 0}
        onPress={props.onTake}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s, alignItems: 'center' },
  even: { flex: 1 },
});
