import { readLabel } from '../readLabel';
import { BLOCKED_WORDS } from './blocked';
import { USABLE_WORDS } from './usable';
import { LEGEND_LANGUAGE_NAMES } from './vocabulary';

/** A circuit’s phrases in a language. */
const lists = [BLOCKED_WORDS, USABLE_WORDS].flatMap((vocabulary) =>
  Object.entries(vocabulary).flatMap(([meaning, languages]) =>
    Object.entries(languages).map(([language, list]) => ({
      name: `${meaning}, ${language}`,
      mustBlock: vocabulary === BLOCKED_WORDS,
      language,
      phrases: list.split('|').map((phrase) => phrase.trim()),
    })),
  ),
);

it('names every circuit in every language that the screen promises', () => {
  expect(LEGEND_LANGUAGE_NAMES).toEqual(
    'English German French Spanish Italian Dutch Portuguese Swedish Polish'.split(' '),
  );
  for (const vocabulary of [BLOCKED_WORDS, USABLE_WORDS])
    for (const [meaning, languages] of Object.entries(vocabulary))
      expect([meaning, Object.keys(languages).sort()]).toEqual([
        meaning,
        ['de', 'en', 'es', 'fr', 'it', 'nl', 'pl', 'pt', 'sv'],
      ]);
});

it.each(lists)('has words, each once: $name', ({ phrases }) => {
  expect(phrases.filter((phrase) => phrase.length < 2)).toEqual([]);
  expect(new Set(phrases).size).toBe(phrases.length);
});

it.each(lists.filter(({ mustBlock }) => mustBlock))(
  'blocks what is printed in full: $name',
  ({ phrases }) => {
    expect(phrases.filter((phrase) => readLabel(phrase).safety !== 'block')).toEqual([]);
  },
);

it('leaves nearly everything else usable that is printed in full, and blocks of it what has two meanings', () => {
  const phrases = lists.filter(({ mustBlock }) => !mustBlock).flatMap((one) => one.phrases);
  const of = (...wanted: string[]): string[] =>
    phrases.filter((phrase) => wanted.includes(readLabel(phrase).safety));
  expect(of('block')).toEqual(['theft', 'anti theft', 'security', 'antivol', 'telematics']);
  // Words of several languages, such as `batteri`, are asked about.
  expect(of('unknown').length / phrases.length).toBeLessThan(0.01);
});

// Words that join others are left out of phrases and of legends alike.
it.each(["pédale d'accélérateur", 'cargador a bordo', 'assistência à condução', 'arbre à cames'])(
  'reads %s as one phrase',
  (legend) => {
    expect(readLabel(legend).safety).toBe('block');
  },
);

it.each([
  ['WISCHERMOTOR', 'caution', 'wipers'],
  ['ANHÄNGERKUPPLUNG', 'caution', 'trailer'],
  ['PARKEERSENSOREN', 'free', 'camera, parking aid'],
  ['MOTORSTEUERGERÄT', 'block', 'engine control'],
])('takes %s for itself, and not for a word within it', (legend, safety, meaning) => {
  expect(readLabel(legend)).toMatchObject({ safety, meaning });
});
