import { plainLetters, printedForms } from './plainLetters';

it.each([
  ['kühler', 'KUHLER'],
  ['Łódź', 'LODZ'],
  ['spøk', 'SPOK'],
  ['großer', 'GROSSER'],
  ['Ærø', 'AERO'],
  ['cœur', 'COEUR'],
  ['Đuro', 'DURO'],
  ['Réservé', 'RESERVE'],
  ['direção', 'DIRECAO'],
  ['światła', 'SWIATLA'],
])('%s without accents is %s', (text, plain) => {
  expect(plainLetters(text)).toBe(plain);
});

// Umlauts where the type has none, common practice: bare, with an E behind, or lost.
it.each([
  ['Lüfter', ['LUFTER', 'LUEFTER', 'LFTER']],
  ['Wählhebel', ['WAHLHEBEL', 'WAEHLHEBEL', 'WHLHEBEL']],
  ['Öl', ['OL', 'OEL', 'L']],
  ['låskrets', ['LASKRETS', 'LAASKRETS', 'LSKRETS']],
  ['køler', ['KOLER', 'KOELER', 'KLER']],
  ['frein', ['FREIN']],
  ['gâche', ['GACHE']],
  ['Kühlerlüfter', ['KUHLERLUFTER', 'KUEHLERLUEFTER', 'KHLERLFTER']],
])('%s is printed as one of %p', (word, forms) => {
  expect(printedForms(word)).toEqual(forms);
  // The same once more: nothing is remembered of the word before.
  expect(printedForms(word)).toEqual(forms);
});
