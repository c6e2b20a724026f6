/** Letters that Unicode does not take apart into a base and an accent. */
const WHOLE: Readonly<Record<string, string>> = {
  Ł: 'L',
  Ø: 'O',
  ß: 'SS',
  Æ: 'AE',
  Œ: 'OE',
  Đ: 'D',
};

/** Upper case without accents. */
export function plainLetters(text: string): string {
  return text
    .toUpperCase()
    .replace(/[ŁØÆŒĐ]|ß/g, (letter) => WHOLE[letter] ?? letter)
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '');
}

const UMLAUTS = /[ÄÖÜÅØ]/g;
const WRITTEN_OUT: Readonly<Record<string, string>> = {
  Ä: 'AE',
  Ö: 'OE',
  Ü: 'UE',
  Å: 'AA',
  Ø: 'OE',
};

/** The ways a word is printed where the type has no accents: bare, written out, or with the letter lost. */
export function printedForms(word: string): readonly string[] {
  const upper = word.toUpperCase();
  const forms = new Set([plainLetters(upper)]);
  if (UMLAUTS.test(upper)) {
    forms.add(plainLetters(upper.replace(UMLAUTS, (letter) => WRITTEN_OUT[letter] ?? letter)));
    forms.add(plainLetters(upper.replace(UMLAUTS, '')));
  }
  return [...forms];
}
