import { scryptSync } from 'node:crypto';
import { checkPassphrase, hashPassphrase, isPassphrase } from './passphrase';

describe('a passphrase', () => {
  it('is kept as scrypt of itself with a salt of its own, at the published cost', async () => {
    const words = 'sand to one eighty, wipe, wait';
    const [one, two] = [await hashPassphrase(words), await hashPassphrase(words)];
    expect(one).not.toBe(two);
    expect(one).not.toContain('sand');
    const [name, N, r, p, salt, key] = one.split('$');
    expect([name, N, r, p]).toEqual(['scrypt', String(2 ** 17), '8', '1']);
    const known = scryptSync(words, Buffer.from(salt!, 'base64url'), 32, { N: 2 ** 17, r: 8, p: 1, maxmem: 2 ** 28 });
    expect(Buffer.from(key!, 'base64url')).toEqual(known);
    await expect(isPassphrase(words, one)).resolves.toBe(true);
    await expect(isPassphrase(`${words} `, one)).resolves.toBe(false);
  }, 20_000);

  it('is the same however its accents were typed', async () => {
    const kept = await hashPassphrase('crème brûlée on oak'.normalize('NFC'));
    await expect(isPassphrase('crème brûlée on oak'.normalize('NFD'), kept)).resolves.toBe(true);
  }, 20_000);

  it('is long and no common one, and nothing else is asked of it', async () => {
    for (const fit of ['four words of wax', '            spaces count', 'ドアを開けてください、塗装中'])
      expect((await checkPassphrase(fit)).ok).toBe(true);
    for (const [weak, code] of [
      ['eleven let.', 'weak_passphrase'],
      ['abcabcabcabcabc', 'weak_passphrase'],
      ['password1234', 'weak_passphrase'],
      ['P@ssw0rd1234', 'weak_passphrase'],
      ['qwertyuiop12', 'weak_passphrase'],
      ['x'.repeat(201), 'weak_passphrase'],
      // Judged as it is compared: full-width letters are the common word, and an accent apart is no letter of its own.
      ['ｐａｓｓｗｏｒｄ１２３４', 'weak_passphrase'],
      ['ébrûlé café'.normalize('NFD'), 'weak_passphrase'],
      ['abcdefgh'.repeat(26), 'too_long'],
      [12345678901234, 'wrong_type'],
    ] as const) {
      const checked = await checkPassphrase(weak);
      expect(!checked.ok && checked.problem.code).toBe(code);
    }
  });
});
