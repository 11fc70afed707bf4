import { drawCard } from './draw-down-card';

it('a card for a draw-down is drawn at true scale, with a line to check it by', () => {
  const words = {
    title: 'A <card>',
    checkLine: '100 mm',
    overBlack: 'b',
    overWhite: 'w',
    bare: 'bare',
    tin: 'Tin & co',
  };
  const svg = drawCard(words);
  const [, width, height, boxWidth, boxHeight] = /width="(\d+)mm" height="(\d+)mm" viewBox="0 0 (\d+) (\d+)"/.exec(
    svg,
  )!;
  expect([width, height]).toEqual([boxWidth, boxHeight]);
  expect(svg).toContain('h100');
  expect(svg).toContain('A &lt;card&gt;');
  expect(svg).toContain('Tin &amp; co');
});
