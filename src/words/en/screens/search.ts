export const GLOSSARY_SCREEN_WORDS = {
  words: 'Words',
  whichWord: 'Which word?',
};

export const SEARCH_SCREEN_WORDS = {
  pieces: 'Pieces',
  faces: 'Faces',
  tests: 'Tests',
  theLog: 'The log',
  mixes: 'Mixes',
  tins: 'Tins',
  find: 'Find',
  findAnything: 'Find anything',
  aPieceATinATest: 'A piece, a tin, a test, a word, a screen',
  beginningsOfWordsAreEnough: 'Beginnings of words are enough.',
  theShopDoesNotAnswerWords: 'The shop does not answer; words and screens are found all the same.',
  found: (foundCount: number): string => `${foundCount} found`,
  nothingBeginsWithTryFewerLetters: (asked: string): string => `Nothing begins with “${asked}”. Try fewer letters.`,
  words: 'Words',
  screens: 'Screens',
};
