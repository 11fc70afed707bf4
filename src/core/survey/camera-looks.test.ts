import type { Observation } from '../dossier';
import { CAMERA_LOOKS } from '../knowledge';
import { judgeLook, lookMisread, nameLook, rateLooks } from './camera-looks';

const look = (result: string, more: Partial<Observation> = {}): Observation => ({
  check: 'pattern_repeat',
  result,
  ...more,
});

describe('how good looks with the camera are in a shop', () => {
  it('is judged only where the owner looked too', () => {
    expect(judgeLook(look('repeats'))).toBeNull();
    expect(judgeLook(look('repeats', { by: 'camera', proposed: 'repeats' }))).toBeNull();
    expect(judgeLook(look('repeats', { proposed: 'repeats' }))).toBe(true);
    expect(judgeLook(look('no_repeat', { proposed: 'repeats' }))).toBe(false);
  });

  it('draws own answers to what renders gave, by hand', () => {
    const right = Array.from({ length: 17 }, () => look('repeats', { proposed: 'repeats' }));
    const wrong = Array.from({ length: 3 }, () => look('no_repeat', { proposed: 'repeats' }));
    const { misread } = CAMERA_LOOKS.pattern_repeat!;
    const rates = rateLooks([...right, ...wrong, look('repeats', { by: 'camera' })]);
    expect(rates[nameLook('pattern_repeat')]).toBeCloseTo((misread * 20 + 3) / 40, 3);
    expect(lookMisread('pattern_repeat', rates)).toBe(rates[nameLook('pattern_repeat')]);
    expect(lookMisread('pattern_repeat', {})).toBe(misread);
  });

  it('says nothing of looks that were never confirmed', () => {
    expect(rateLooks([look('repeats', { by: 'camera' })])).toEqual({});
  });
});
