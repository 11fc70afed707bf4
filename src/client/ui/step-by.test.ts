import { stepBy } from './step-by';

describe('a press on a stepper', () => {
  it.each([
    ['13', 5, '15'],
    ['15', 5, '20'],
    ['13', -5, '10'],
    ['12,5', 0.5, '13'],
    ['0.3', 0.1, '0.4'],
    ['', 5, '0'],
    ['soon', -5, '0'],
  ])('from “%s” by %p gives %s', (text, step, next) => expect(stepBy(text, step)).toBe(next));

  it('stays within its limits', () => {
    expect(stepBy('4', 1, 1, 4)).toBe('4');
    expect(stepBy('1', -1, 1, 4)).toBe('1');
    expect(stepBy('', 1, 1, 4)).toBe('1');
  });
});
