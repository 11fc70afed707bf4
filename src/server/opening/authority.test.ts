import { createHash, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openAuthority } from './authority';

/* Node's own certificate reader and TLS (OpenSSL) are the judges: what they refuse a phone refuses too. */
const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-authority-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const HOSTS = ['192.168.1.20', '127.0.0.2', 'garage.local'];
const DAY_MS = 86_400_000;

/** Serves with a certificate on the loopback and asks it by a name; gives what the asking side says. */
async function ask(certificate: { chain: string; key: string }, ca: string, servername: string): Promise<string> {
  const server = createServer({ cert: certificate.chain, key: certificate.key }, (_q, answer) => answer.end('here'));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.2', resolve));
  const { port } = server.address() as AddressInfo;
  const said = await new Promise<string>((resolve) => {
    const asked = request({ host: '127.0.0.2', port, ca, ...(servername === '' ? {} : { servername }) }, (answer) =>
      answer.on('data', (text: Buffer) => resolve(text.toString())),
    );
    asked.on('error', (error: NodeJS.ErrnoException) => resolve(`${error.code ?? ''} ${error.message}`));
    asked.end();
  });
  server.close();
  return said;
}

const toPem = (der: Buffer): string =>
  `-----BEGIN CERTIFICATE-----\n${der
    .toString('base64')
    .match(/.{1,64}/g)!
    .join('\n')}\n-----END CERTIFICATE-----\n`;

describe('the shop’s own authority', () => {
  it('vouches for the private addresses and the local name of this machine, and a client that trusts it gets through', async () => {
    const authority = await openAuthority(folder);
    const certificate = await authority.certify(HOSTS);
    const [leaf] = certificate.chain.split(/(?<=-----END CERTIFICATE-----)\n/);
    const read = new X509Certificate(leaf!);
    expect(read.checkIP('192.168.1.20')).toBe('192.168.1.20');
    expect(read.checkHost('garage.local')).toBe('garage.local');
    expect(read.checkIP('192.168.1.21')).toBeUndefined();
    expect(read.verify(new X509Certificate(authority.der).publicKey)).toBe(true);
    expect(new X509Certificate(authority.der).ca).toBe(true);
    const hash = createHash('sha256').update(authority.der).digest();
    expect(Buffer.from(authority.fingerprint.replaceAll(' ', ''), 'hex')).toEqual(hash);
    await expect(ask(certificate, toPem(authority.der), '')).resolves.toBe('here');
  });

  it('is not believed for anything outside the private ranges, even where it signs for it', async () => {
    const authority = await openAuthority(mkdtempSync(path.join(folder, 'wide-')));
    const wide = await authority.certify(['203.0.113.7', 'shop.example']);
    await expect(ask(wide, toPem(authority.der), 'shop.example')).resolves.toMatch(/permitted subtree violation/);
  });

  it('is not believed by who does not know it', async () => {
    const authority = await openAuthority(folder);
    const other = await openAuthority(mkdtempSync(path.join(folder, 'other-')));
    await expect(ask(await authority.certify(HOSTS), toPem(other.der), '')).resolves.toMatch(
      /SIGNATURE|SELF_SIGNED|UNABLE_TO/,
    );
  });

  it('is made anew where what lies on the disk cannot be read, and says when; what was there is left beside it', async () => {
    const NOW = Date.UTC(2026, 11, 1);
    for (const [name, spoil] of [
      ['authority.pem', 'no certificate'],
      ['authority.key.pem', ''],
      ['authority.key.pem', readFileSync(path.join(folder, 'leaf.key.pem'), 'utf8')],
    ] as const) {
      const home = mkdtempSync(path.join(folder, 'spoilt-'));
      const first = await openAuthority(home);
      expect(first.remadeAt).toBeNull();
      await first.certify(HOSTS);
      writeFileSync(path.join(home, name), spoil);
      const anew = await openAuthority(home, () => NOW);
      expect(anew.fingerprint).not.toBe(first.fingerprint);
      expect(anew.remadeAt).toBe('2026-12-01T00:00:00.000Z');
      await expect(ask(await anew.certify(HOSTS), toPem(anew.der), '')).resolves.toBe('here');
      expect(readFileSync(path.join(home, `${name}.unreadable`), 'utf8')).toBe(spoil);
      expect((await openAuthority(home)).fingerprint).toBe(anew.fingerprint);
    }
    // A leaf that cannot be read is made anew by the same authority: no phone hears of it.
    const same = await openAuthority(folder);
    writeFileSync(path.join(folder, 'leaf.pem'), 'no certificate');
    await expect(ask(await same.certify(HOSTS), toPem(same.der), '')).resolves.toBe('here');
    expect((await openAuthority(folder)).remadeAt).toBeNull();
  });

  it('signs servers alone, and says so', async () => {
    const { der } = await openAuthority(folder);
    expect(new X509Certificate(der).keyUsage).toEqual(['1.3.6.1.5.5.7.3.1']);
  });

  it('keeps its keys for the owner alone, and a certificate as long as it fits and holds', async () => {
    const first = await openAuthority(folder);
    for (const name of ['authority.key.pem', 'leaf.key.pem'])
      expect(statSync(path.join(folder, name)).mode & 0o777).toBe(0o600);
    const before = await first.certify(HOSTS);
    const again = await openAuthority(folder);
    expect(again.fingerprint).toBe(first.fingerprint);
    expect((await again.certify(HOSTS)).chain).toBe(before.chain);
    expect((await again.certify(['192.168.1.21'])).chain).not.toBe(before.chain);
    const later = await openAuthority(folder, () => Date.parse(before.notAfter) - 29 * DAY_MS);
    const renewed = await later.certify(['192.168.1.21']);
    expect(Date.parse(renewed.notAfter)).toBeGreaterThan(Date.parse(before.notAfter) + 300 * DAY_MS);
  });
});
