import { createElement } from 'react';
import type * as WordsModule from '../ui/Words';

/** What was drawn since it was last emptied, one entry for each time. */
export const drawn: string[] = [];

/**
 * The module of words, telling of those that are watched whenever whoever shows them is drawn, whether the words change or not. To
 * be put in its place by `jest.mock`.
 *
 * @param watched answers what a drawing goes by; undefined for words that nobody asks about
 */
export function watchingWords(
  watched: (words: string, kind: WordsModule.WordsProps['kind']) => string | undefined,
): typeof WordsModule {
  const actual = jest.requireActual<typeof WordsModule>('../ui/Words');
  const Words = (props: WordsModule.WordsProps) => {
    const { children, kind } = props;
    const words = Array.isArray(children) ? children.join('') : children;
    const name = typeof words === 'string' ? watched(words, kind) : undefined;
    if (name !== undefined) drawn.push(name);
    return createElement(actual.Words, props);
  };
  return { ...actual, Words } as unknown as typeof WordsModule;
}
