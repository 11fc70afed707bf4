import { highestNumber, numberName } from './names';

describe('pieces named by their kind', () => {
  it('are numbered past the highest in use', () => {
    const names = ['Chair', 'Chair 3', 'Chair from the market', 'Chair 02', 'Chairs', 'Table 9'];
    expect(highestNumber('Chair', names)).toBe(3);
    expect(numberName('Chair', highestNumber('Chair', names))).toBe('Chair 4');
    expect(numberName('Chair', highestNumber('Chair', ['Table']))).toBe('Chair');
    expect(numberName('Chair', highestNumber('Chair', ['Chair']))).toBe('Chair 2');
  });
});
