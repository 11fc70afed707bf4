import { listTerms, markTerms } from './glossary';

describe('words of the trade', () => {
  it('are about sixty, each told once', () => {
    expect(listTerms().length).toBeGreaterThanOrEqual(60);
    expect(new Set(listTerms().map(({ term }) => term)).size).toBe(listTerms().length);
  });

  it('are found in a running text where they come first, the longer of two that begin alike', () => {
    expect(markTerms('A bonding primer holds on laminate; a primer of shellac stops a bleed.')).toEqual([
      { text: 'A ' },
      { text: 'bonding primer', term: 'bonding_primer' },
      { text: ' holds on ' },
      { text: 'laminate', term: 'laminate' },
      { text: '; a ' },
      { text: 'primer', term: 'primer' },
      { text: ' of ' },
      { text: 'shellac', term: 'shellac' },
      { text: ' stops a ' },
      { text: 'bleed', term: 'bleed' },
      { text: '.' },
    ]);
  });

  it('leave a text whole: nothing is lost, and parts of other words are none', () => {
    for (const text of ['Attack the knotty part', 'Curing takes days. Cure it.', '', 'Nothing of the trade'])
      expect(
        markTerms(text)
          .map((part) => part.text)
          .join(''),
      ).toBe(text);
    expect(markTerms('Attack the knotty part')).toEqual([{ text: 'Attack the knotty part' }]);
  });
});
