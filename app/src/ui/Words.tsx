import { memo } from 'react';
import type { ReactNode } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { Text } from 'react-native';
import { usePalette } from './ThemeProvider';
import { FACES } from './tokens';

/** Kinds of text; sizes are readable at arm's length. */
const KINDS = {
  title: { fontFamily: FACES.strong, fontSize: 30, lineHeight: 32 },
  heading: { fontFamily: FACES.strong, fontSize: 21, lineHeight: 25 },
  instruction: { fontFamily: FACES.textBold, fontSize: 19, lineHeight: 25 },
  body: { fontFamily: FACES.text, fontSize: 16, lineHeight: 22 },
  small: { fontFamily: FACES.text, fontSize: 14, lineHeight: 19 },
  action: { fontFamily: FACES.strong, fontSize: 21, lineHeight: 25 },
  label: { fontFamily: FACES.label, fontSize: 16, lineHeight: 20, letterSpacing: 0.3 },
  code: { fontFamily: FACES.strong, fontSize: 14, lineHeight: 17, letterSpacing: 0.5 },
  figure: { fontFamily: FACES.strong, fontSize: 36, lineHeight: 38 },
} as const satisfies Record<string, TextStyle>;

/** Props of {@link Words}. */
export interface WordsProps {
  /** What the words are: title, text, small print. */
  readonly kind?: keyof typeof KINDS;
  /** Less important. */
  readonly soft?: boolean;
  /** Where it is not that of its kind. */
  readonly colour?: string;
  /** The words. */
  readonly children: ReactNode;
  /** Added to its own style. */
  readonly style?: StyleProp<TextStyle>;
  /** Lines at most; the rest is cut. */
  readonly lines?: number;
  /** Decoration that a screen reader passes over. */
  readonly hidden?: boolean;
  /** Names it for tests; it is not shown. */
  readonly testID?: string;
}

/**
 * Text in the product's faces; figures are tabular. It is drawn again only where it says something else: every reading draws
 * a screen anew, and most of what stands there is words.
 */
export const Words = memo(function Words(props: WordsProps) {
  const palette = usePalette();
  const { kind = 'body' } = props;
  const isHeading = kind === 'title' || kind === 'heading';
  return (
    <Text
      testID={props.testID}
      numberOfLines={props.lines}
      aria-hidden={props.hidden}
      {...(isHeading ? { role: 'heading' as const, 'aria-level': kind === 'title' ? 1 : 2 } : {})}
      style={[
        KINDS[kind],
        { color: props.colour ?? (props.soft === true ? palette.inkSoft : palette.ink) },
        { fontVariant: ['tabular-nums'] },
        props.style,
      ]}
    >
      {props.children}
    </Text>
  );
});
