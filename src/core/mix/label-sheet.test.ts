import { drawLabels } from './label-sheet';

it('labels are drawn eight to a sheet of A4, within it, with what they say written as text', () => {
  const svg = drawLabels({ lines: ['Slip <grey>', 'White: 400 ml'], colour: '#C9C6BF' });
  expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
  expect(svg.match(/Slip &lt;grey&gt;/g)).toHaveLength(9);
  expect(svg.match(/fill="#C9C6BF"/g)).toHaveLength(8);
  for (const [, x, y] of svg.matchAll(/<rect x="([\d.]+)" y="([\d.]+)" width="90"/g)) {
    expect(Number(x) + 90).toBeLessThan(210);
    expect(Number(y) + 60).toBeLessThan(297);
  }
});
