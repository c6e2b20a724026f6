import type { ShopCommandKind } from './shopCommand';

/** An entry is taken out of the glossary. */
export const glossaryRemoval: ShopCommandKind<'glossaryRemoval'> = {
  called: () => 'Taking an entry out of the glossary',
  subject: ({ id }) => `glossary ${id}`,
  sent: ({ id }) => ({ method: 'DELETE', path: `/glossary/${id}` }),
  apply: { glossary: (entries, { id }) => entries.filter((one) => one.id !== id) },
  askedAgain: 'Glossary',
  // Every model of its make may have taken it over.
  stored: () => ({ asked: ['Glossary', 'Models'] }),
  isRemoval: true,
};
