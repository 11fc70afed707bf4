import { markText } from './mark-text';

it('marks a text as FNV-1a does (test vectors of its authors, 32 bits)', () => {
  expect(['', 'a', 'foobar'].map(markText)).toEqual(['0-811c9dc5', '1-e40c292c', '6-bf9cf968']);
});
