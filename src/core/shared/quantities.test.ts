import { convertToKept, convertToShown, formatQuantity, type Quantity } from './quantities';

describe('quantities in the owner’s units', () => {
  // Exact by definition: NIST Handbook 44, appendix C (inch, foot, gallon, fluid ounce); NIST SP 811, B.8 (temperature).
  it.each<[Quantity, number, number]>([
    ['temperature_c', 20, 68],
    ['temperature_c', -40, -40],
    ['temperature_gap_c', 5, 9],
    ['length_mm', 25.4, 1],
    ['side_mm', 914.4, 36],
    ['volume_ml', 473.176473, 16],
    ['area_m2', 9.290304, 100],
    ['coverage_m2_l', 9.8172, 400],
  ])('%s: %p is %p in US measures', (quantity, kept, shown) => {
    expect(convertToShown(quantity, kept, 'us')).toBe(shown);
    expect(convertToKept(quantity, shown, 'us')).toBeCloseTo(kept, 3);
  });

  it('leaves metric ones as they are kept, but for sides, which are read in centimetres', () => {
    expect(formatQuantity('temperature_c', 21.5, 'metric')).toBe('21.5 °C');
    expect(formatQuantity('side_mm', 750, 'metric')).toBe('75 cm');
    expect(convertToKept('volume_ml', 750, 'metric')).toBe(750);
  });
});
