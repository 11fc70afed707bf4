import { makePairing } from './pairing';

const MINUTE_MS = 60_000;

describe('a code for one device', () => {
  it('is nine digits, serves once, for ten minutes, however it is spaced', () => {
    let now = 0;
    const pairing = makePairing(() => now);
    const { code, until } = pairing.make();
    expect(code).toMatch(/^\d{9}$/);
    expect(Date.parse(until)).toBe(10 * MINUTE_MS);
    now = 10 * MINUTE_MS - 1;
    expect(pairing.use(`${code.slice(0, 4)} ${code.slice(4)}`)).toBe(true);
    expect(pairing.use(code)).toBe(false);
    const late = pairing.make().code;
    now += 10 * MINUTE_MS;
    expect(pairing.use(late)).toBe(false);
  });

  it('ends when another is shown, and nothing stands for it', () => {
    const pairing = makePairing(() => 0);
    const first = pairing.make().code;
    const second = pairing.make().code;
    for (const wrong of [first === second ? '' : first, '', ' ', second.slice(1), `${second}0`])
      expect(pairing.use(wrong)).toBe(false);
    expect(pairing.use(second)).toBe(true);
  });

  it('cannot be worn out: after thousands of wrong tries the digits rest and the picture serves, and new digits do', () => {
    const pairing = makePairing(() => 0);
    const { code, secret } = pairing.make();
    for (let i = 0; i < 2000; i += 1) expect(pairing.isRight(code === '000000000' ? '1' : '000000000')).toBe(false);
    expect(pairing.isRight(code)).toBe(false);
    expect(pairing.isRight(`${secret.slice(1)}A`)).toBe(false);
    expect(pairing.use(secret)).toBe(true);
    expect(pairing.use(secret)).toBe(false);
    expect(pairing.use(pairing.make().code)).toBe(true);
  });

  it('comes from the whole range', () => {
    const pairing = makePairing(() => 0);
    const codes = Array.from({ length: 2000 }, () => pairing.make().code);
    expect(new Set(codes).size).toBe(2000);
    for (let place = 0; place < 9; place += 1) {
      const counts = Array.from({ length: 10 }, (_, digit) => codes.filter((own) => own[place] === `${digit}`).length);
      // Each digit stands 200 times of 2000, give or take; 5 standard deviations are 67.
      for (const own of counts) expect(Math.abs(own - 200)).toBeLessThan(67);
    }
  });
});
