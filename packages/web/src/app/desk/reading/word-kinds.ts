/** Kinds of word that are told apart, in the order in which they are looked for. */
export const WORD_KINDS = [
  { kind: 'noun', tag: '(#Noun && !#Pronoun)', name: 'thing or name' },
  { kind: 'verb', tag: '#Verb', name: 'doing' },
  { kind: 'adjective', tag: '#Adjective', name: 'how it is' },
  { kind: 'adverb', tag: '#Adverb', name: 'how it is done' },
] as const;
