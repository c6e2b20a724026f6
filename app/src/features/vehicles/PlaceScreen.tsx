import type { FieldProblem, ModelView, PlaceInput } from '@lucky-thread/contract';
import { modelName } from '@lucky-thread/contract';
import type { PlaceKind } from '@lucky-thread/core/vehicle';
import { PLACE_KINDS, PLACE_KIND_NAMES } from '@lucky-thread/core/vehicle';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useKeptDraft } from '../../store/keptDraft';
import { problemOf } from '../../store/problemText';
import type { ShopOutcome } from '../../store/awaited';
import { useModel } from '../../store/shown';
import type { ShopCommandName } from '../../store/shopCommands';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Screen } from '../../ui/Screen';
import { Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { PlaceDraft } from './drafts/placeDraft';
import { draftOf, emptyPlace, readPlace } from './drafts/placeDraft';
import { PlaceEntry } from './PlaceEntry';
import { PlaceHeadFields } from './PlaceHeadFields';
import { SaveBar } from '../../ui/SaveBar';
import { useUndo } from '../../ui/useUndo';

/** Props of {@link PlaceScreen}. */
export interface PlaceScreenProps {
  /** UUID of the vehicle model. */
  readonly modelId: string;
  /** The place that is put right; undefined for a new one. */
  readonly placeId?: string | undefined;
  /** What sort of place a new one is. */
  readonly kind?: string | undefined;
}

/** A place of a vehicle is entered or put right. */
export function PlaceScreen({ modelId, placeId, kind }: PlaceScreenProps) {
  const model = useModel(modelId);
  if (model.isError)
    return <Failed what="The vehicle model" onRetry={() => void model.refetch()} />;
  if (model.data === undefined) return <Loading what="the vehicle model" />;
  const place = model.data.places.find((one) => one.id === placeId);
  if (placeId !== undefined && place === undefined)
    return <Failed what="That place" onRetry={() => void model.refetch()} />;
  const newKind = PLACE_KINDS.find((one) => one === kind) ?? 'fusePanel';
  const initial = place === undefined ? emptyPlace(newKind) : draftOf(place);
  return <Form key={`${initial.kind} ${placeId ?? 'new'}`} model={model.data} initial={initial} />;
}

function Form({ model, initial }: { readonly model: ModelView; readonly initial: PlaceDraft }) {
  const name = `place ${model.id} ${initial.id ?? initial.kind}`;
  const { draft, setDraft, forget, wasKept } = useKeptDraft(name, initial);
  const isOvertaken = initial.base !== draft.base;
  const { changing, undo } = useUndo(setDraft);
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  const [pictured, setPictured] = useState(false);
  const read = useMemo(() => readPlace(draft, model.places), [draft, model.places]);
  const saving = useSavePlace(model, forget);
  const change = (changed: Partial<PlaceDraft>, step: string): void => {
    changing(draft, step);
    setDraft({ ...draft, ...changed });
  };
  const save = (): void => {
    setProblems(read.problems);
    if (read.problems.length === 0) void saving.save(read.id, read.input);
  };
  return (
    <Screen
      testID="place"
      roomy
      bottom={
        <SaveBar
          name="place"
          problems={problems}
          refusal={saving.refusal}
          undo={undo}
          label={
            pictured
              ? 'Take the lid over, or leave it'
              : initial.id === undefined
                ? `Save this ${kindName(draft.kind)}`
                : 'Save the changes'
          }
          disabled={saving.busy || isOvertaken || pictured}
          onSave={save}
        >
          {isOvertaken && !saving.busy && (
            <Overtaken
              onTheirs={() => change(initial, 'theirs')}
              onMine={() => setDraft({ ...draft, base: initial.base })}
            />
          )}
        </SaveBar>
      }
    >
      <View>
        <Words kind="title">
          {initial.id === undefined ? `Another ${kindName(draft.kind)}` : draft.name}
        </Words>
        <Words soft>{modelName(model)}</Words>
        {wasKept && (
          <Words kind="small" testID="kept-draft">
            This goes on with what was typed here before and not saved.
          </Words>
        )}
      </View>
      <PlaceHeadFields
        draft={draft}
        problems={problems}
        onDraft={(changed) => change(changed, Object.keys(changed).join())}
      />
      <PlaceEntry
        draft={draft}
        read={read}
        problems={problems}
        onDraft={change}
        pictured={pictured}
        onPictured={setPictured}
      />
      {initial.id !== undefined && (
        <DropPlace name={draft.name} onDrop={() => void saving.drop(read.id)} />
      )}
    </Screen>
  );
}

function kindName(kind: PlaceKind): string {
  return PLACE_KIND_NAMES[kind];
}

/** Saves or takes away, then goes back to the vehicle. */
function useSavePlace(model: ModelView, forget: () => void) {
  const router = useRouter();
  const [put, putting] = useShopCommand('place');
  const [take, taking] = useShopCommand('placeRemoval');
  const [refusal, setRefusal] = useState<string>();
  const done = (outcome: ShopOutcome<ShopCommandName>): void => {
    setRefusal(outcome.kind === 'refused' ? refusalText(outcome) : undefined);
    if (outcome.kind === 'refused') return;
    forget();
    router.replace(`/vehicles/${model.id}`);
  };
  return {
    refusal,
    busy: putting.busy || taking.busy,
    save: async (placeId: string, request: PlaceInput) =>
      done(await put({ modelId: model.id, placeId, request })),
    drop: async (placeId: string) => done(await take({ modelId: model.id, placeId })),
  };
}

/** That somebody was faster is said by {@link Overtaken}, with what can be done. */
function refusalText({
  error,
  problem,
}: Extract<ShopOutcome<ShopCommandName>, { kind: 'refused' }>): string | undefined {
  return problemOf(error)?.type === 'stale' ? undefined : problem;
}

/** Somebody changed the place while it was being typed: theirs, or mine over theirs. */
function Overtaken(props: { readonly onTheirs: () => void; readonly onMine: () => void }) {
  return (
    <View style={styles.stack} role="alert" testID="overtaken">
      <Words kind="small">
        Somebody changed this place while you typed. What you typed is still here.
      </Words>
      <View style={styles.row}>
        <ActionButton
          label="Look at theirs"
          testID="take-theirs"
          style={styles.grow}
          onPress={props.onTheirs}
        />
        <ActionButton
          label="Mine is right"
          testID="keep-mine"
          style={styles.grow}
          onPress={props.onMine}
        />
      </View>
    </View>
  );
}

/** Taking a place away asks once more. */
function DropPlace({ name, onDrop }: { readonly name: string; readonly onDrop: () => void }) {
  const [asked, setAsked] = useState(false);
  if (!asked)
    return (
      <ActionButton
        kind="quiet"
        label="Take this place away…"
        testID="drop-place"
        onPress={() => setAsked(true)}
      />
    );
  return (
    <View style={styles.stack}>
      <Words>{`Take ${name} away with all that it holds? What readings or tap points refer to stays.`}</Words>
      <View style={styles.row}>
        <ActionButton
          label="Keep it"
          testID="keep-place"
          style={styles.grow}
          onPress={() => setAsked(false)}
        />
        <ActionButton label="Take it away" testID="drop-place-now" onPress={onDrop} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
