import { useState } from 'react';
import { View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Field } from '../../ui/Field';
import { PickRow } from '../../ui/PickRow';
import { Screen } from '../../ui/Screen';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { FaultPracticeScreen } from './FaultPracticeScreen';
import { HarnessPracticeScreen } from './HarnessPracticeScreen';
import type { Level } from './levels';
import { LEVELS } from './levels';
import { PanelPracticeScreen } from './PanelPracticeScreen';
import { SignalPracticeScreen } from './SignalPracticeScreen';

/** Cars are drawn by number, so that two people can practise on the same one. */
const LARGEST_NUMBER = 99_999;

/** The bench: pick a level and a car, practise without a car, and be told what was missed. */
export function BenchScreen() {
  const [levelId, setLevelId] = useState(LEVELS[0]?.id);
  const [text, setText] = useState('1');
  const [running, setRunning] = useState(false);
  const level = LEVELS.find((one) => one.id === levelId);
  const number = Number(text);
  // Digits alone: 0x10 and 1e3 are numbers to the language, not to whoever types them.
  const valid = /^\d+$/.test(text.trim()) && number >= 1 && number <= LARGEST_NUMBER;
  if (running && level !== undefined) {
    const common = {
      seed: number,
      onLeave: () => setRunning(false),
      onAnother: () => setText(String((number % LARGEST_NUMBER) + 1)),
    };
    return <Practice key={`${level.id} ${number}`} level={level} {...common} />;
  }
  return (
    <Screen
      testID="bench"
      bottom={
        <ActionButton
          kind="next"
          label="Start practising"
          testID="start-practice"
          disabled={!valid || level === undefined}
          onPress={() => setRunning(true)}
        />
      }
    >
      <Words kind="title">Bench</Words>
      <Words soft>
        A simulated car, solved as an electrical network: probe it, pull fuses, fit taps. Nothing
        can burn here, and at the end you hear what a real car would have made of it.
      </Words>
      <Levels chosenId={levelId} onLevel={setLevelId} />
      <Field
        label="Car number"
        value={text}
        onChange={setText}
        keyboard="number-pad"
        testID="car-number"
        hint="The same number is the same car, for you and for others."
        problem={valid ? undefined : `A whole number from 1 to ${LARGEST_NUMBER}`}
      />
    </Screen>
  );
}

function Levels(props: {
  readonly chosenId: string | undefined;
  readonly onLevel: (id: string) => void;
}) {
  return (
    <View role="radiogroup" aria-label="Level" style={{ gap: SPACE.s }}>
      {LEVELS.map((one) => (
        <PickRow
          key={one.id}
          title={one.title}
          text={one.text}
          chosen={one.id === props.chosenId}
          testID={`level-${one.id}`}
          onPress={() => props.onLevel(one.id)}
        />
      ))}
    </View>
  );
}

function Practice({
  level,
  ...common
}: {
  readonly level: Level;
  readonly seed: number;
  readonly onLeave: () => void;
  readonly onAnother: () => void;
}) {
  switch (level.kind) {
    case 'panel':
      return <PanelPracticeScreen level={level} {...common} />;
    case 'harness':
      return <HarnessPracticeScreen level={level} {...common} />;
    case 'signals':
      return <SignalPracticeScreen level={level} {...common} />;
    case 'fault':
      return <FaultPracticeScreen {...{ title: level.title, ...common }} />;
  }
}
