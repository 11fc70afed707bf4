import fc from 'fast-check';
import { findTooMuch, readJson } from './read-json';

const count = (text: string): number => {
  const bytes = new TextEncoder().encode(text);
  let most = 0;
  while (findTooMuch(bytes, most) !== null) most += 1;
  return most;
};

/** The same count, made of the parsed value. */
const countParsed = (value: unknown): number => {
  if (typeof value !== 'object' || value === null) return 0;
  const inner: unknown[] = Object.values(value);
  return Math.max(inner.length, 1) + inner.reduce<number>((sum, own) => sum + countParsed(own), 0);
};

describe('JSON that is read', () => {
  it('is counted as its parsed value would be', () => {
    expect(count('[[1,2],{"a":3}]')).toBe(5);
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), (value) => count(JSON.stringify(value)) === countParsed(value)),
    );
  });

  it('is not misled by what stands in texts', () => {
    expect(count('["a,b[{\\"]},{", "\\\\", ","]')).toBe(3);
  });

  it('is refused before anything is made of it, where it holds too much', () => {
    const many = `[${'{},'.repeat(1000)}{}]`;
    expect(readJson(many, 1000)).toMatchObject({ ok: false, problem: { code: 'too_many', params: { max: 1000 } } });
    expect(readJson(many, 3000).ok).toBe(true);
  });

  it('may begin with a byte order mark', () => {
    expect(readJson('\uFEFF{"a":1}')).toEqual({ ok: true, value: { a: 1 } });
    expect(readJson(new Uint8Array([0xef, 0xbb, 0xbf, 0x31]))).toEqual({ ok: true, value: 1 });
    expect(readJson('{')).toMatchObject({ ok: false, problem: { code: 'not_json' } });
  });
});
