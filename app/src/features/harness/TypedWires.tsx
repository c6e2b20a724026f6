import type { HarnessWireInput } from '@lucky-thread/contract';
import type { ColourSystem } from '@lucky-thread/core/vehicle';
import { parseWireColour } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { View } from 'react-native';
import { ColourSystemChoice } from '../../panel/ColourSystemChoice';
import { ActionButton } from '../../ui/ActionButton';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';

/** Several wires in one go, as people write colours; the way of writing is asked for only where letters clash. */
export function TypedWires(props: {
  readonly onColours: (colours: NonNullable<HarnessWireInput['colour']>[]) => void;
}) {
  const [text, setText] = useState('');
  const [system, setSystem] = useState<ColourSystem>();
  const read = readColours(text, system);
  const add = (): void => {
    if (read.problem !== undefined || read.colours.length === 0) return;
    props.onColours(read.colours);
    setText('');
  };
  return (
    <View style={{ gap: SPACE.s }}>
      <Field
        label="Or type them"
        hint="BK, RD/YE, gr/sw, light green: as many as you like"
        value={text}
        problem={read.problem}
        testID="typed-wires"
        onChange={setText}
        onSubmit={add}
      />
      {(read.clashes || system !== undefined) && (
        <ColourSystemChoice value={system} onChange={setSystem} />
      )}
      {text.trim() !== '' && (
        <ActionButton
          label={read.colours.length > 1 ? `Add these ${read.colours.length}` : 'Add it'}
          testID="add-typed"
          disabled={read.problem !== undefined}
          onPress={add}
        />
      )}
    </View>
  );
}

interface ReadColours {
  readonly colours: string[];
  readonly problem: string | undefined;
  /** Whether letters mean one colour in one way of writing and another in another. */
  readonly clashes: boolean;
}

function readColours(text: string, system: ColourSystem | undefined): ReadColours {
  const colours: string[] = [];
  let problem: string | undefined;
  for (const part of text.split(/[,;\n]/).filter((one) => one.trim() !== ''))
    try {
      const { base, stripe } = parseWireColour(part.trim(), system);
      colours.push(stripe === undefined ? base : `${base}/${stripe}`);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      problem ??= error.message;
    }
  return { colours, problem, clashes: problem?.includes('choose the way of writing') === true };
}
