import { isLow } from './low-stock';
import { readTin, type TinTexts } from './read-tin';

const TIN = { id: 't', class: 'wb_alkyd_enamel', volume_ml: 700, recoat_h: 6 };
const texts = (more: Partial<TinTexts> = {}): TinTexts => ({
  name: '',
  volume_ml: '700',
  size_ml: '',
  recoat_h: '6',
  coverage_m2_l: '',
  solids_pct: '',
  cure_days: '',
  recoat_until_h: '',
  window_opens_again_h: '',
  full_hardness_h: '',
  max_thinning_pct: '',
  pot_life_h: '',
  price: '',
  opened_on: '',
  ...more,
});

describe('a tin as typed', () => {
  it('takes what the label says, with a comma or a point', () => {
    const { tin, errors } = readTin(
      TIN,
      texts({ coverage_m2_l: '9,5', name: 'White enamel', opened_on: '2026-11-01' }),
    );
    expect(errors).toEqual({});
    expect(tin).toMatchObject({ coverage_m2_l: 9.5, name: 'White enamel', opened_on: '2026-11-01', recoat_h: 6 });
  });

  it('goes back to the class where a field is emptied', () => {
    expect(readTin(TIN, texts({ recoat_h: ' ' })).tin).not.toHaveProperty('recoat_h');
  });

  it.each([
    ['volume_ml', '-5', /0 or more/],
    ['solids_pct', '140', /percentage/],
    ['recoat_h', 'soon', /Hours/],
    ['max_thinning_pct', '120', /percentage/],
    ['pot_life_h', '0', /above 0/],
    ['opened_on', '23.11.2026', /year-month-day/],
  ] as const)('says what is wrong with %s %s', (field, text, words) => {
    expect(readTin(TIN, texts({ [field]: text })).errors[field]).toMatch(words);
  });
});

describe('a tin running low', () => {
  it.each([
    [{ volume_ml: 100, size_ml: 750 }, true],
    [{ volume_ml: 200, size_ml: 750 }, false],
    [{ volume_ml: 140 }, true],
    [{}, false],
  ])('%j is low: %s', (part, low) => expect(isLow({ id: 't', class: 'wax', ...part })).toBe(low));
});
