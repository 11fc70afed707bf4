import 'reflect-metadata';
import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509';
import {
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  Extension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  AuthorityKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';
import { webcrypto, X509Certificate as NodeCertificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { isIP } from 'node:net';
import path from 'node:path';
import { readJson } from '@/core/shared';
import { writeWhole } from '../disk';
import { LOCAL_DOMAIN, LOOPBACK_RANGE, PRIVATE_RANGES } from './addresses';

/** ECDSA on P-256 (FIPS 186-5) with SHA-256: what every phone of the last ten years reads. */
const KEYS = { name: 'ECDSA', namedCurve: 'P-256' } as const;
const SIGNING = { name: 'ECDSA', hash: 'SHA-256' } as const;

const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
/** Phones refuse certificates of servers that run longer than 398 days (CA/Browser Forum baseline requirements, 6.3.2). */
const LEAF_DAYS = 397;
/** A leaf is made anew while it still holds this long. */
const RENEW_DAYS = 30;

export interface Certificate {
  /** PEM of the leaf with the authority behind it, and of its key. */
  chain: string;
  key: string;
  notAfter: string;
}

export interface Authority {
  /** DER, as a phone downloads it. */
  der: Buffer;
  /** SHA-256 of the DER in pairs: what the owner compares on both screens. */
  fingerprint: string;
  /** When it had to be made anew because what lay on the disk could not be read; null where it never was. ISO. */
  remadeAt: string | null;
  /** A certificate for these names and addresses, from the disk while it fits and holds, otherwise made anew. */
  certify: (hosts: readonly string[]) => Promise<Certificate>;
}

/**
 * The shop's own authority, made on first use. It can vouch for private addresses and names of the local network only
 * (RFC 5280, 4.2.1.10), so that a phone that trusts it trusts nothing in the wide world by it. Keys are the owner's alone
 * to read (mode 600).
 * @param folder where keys and certificates lie; made if missing
 * @param now the moment, ms since the epoch
 */
export async function openAuthority(folder: string, now: () => number = Date.now): Promise<Authority> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  chmodSync(folder, 0o700);
  const file = (name: string): string => path.join(folder, name);
  const held = await readPair(file('authority.pem'), file('authority.key.pem'));
  const unreadable = held === null && existsSync(file('authority.pem'));
  if (unreadable) {
    // Phones that trusted the old one do not know the new one: when that was is told until they have come in again.
    for (const name of ['authority.pem', 'authority.key.pem'])
      if (existsSync(file(name))) renameSync(file(name), file(`${name}.unreadable`));
    writeWhole(file('remade.json'), JSON.stringify({ at: new Date(now()).toISOString() }), 0o600);
  }
  const root = held ?? (await makePair(file('authority.pem'), file('authority.key.pem'), () => makeRoot(now())));
  const der = Buffer.from(root.certificate.rawData);

  return {
    der,
    fingerprint: new NodeCertificate(der).fingerprint256.replaceAll(':', ' '),
    remadeAt: readRemade(file('remade.json')),
    certify: async (hosts) => {
      const kept = await readPair(file('leaf.pem'), file('leaf.key.pem'));
      const fits = kept !== null && (await holdsStill(kept.certificate, root.certificate, hosts, now()));
      const leaf = fits
        ? kept
        : await makePair(file('leaf.pem'), file('leaf.key.pem'), () => makeLeaf(root, hosts, now()));
      const secret = await webcrypto.subtle.exportKey('pkcs8', leaf.key);
      return {
        chain: `${leaf.certificate.toString('pem')}\n${root.certificate.toString('pem')}\n`,
        key: PemConverter.encode(secret, 'PRIVATE KEY'),
        notAfter: leaf.certificate.notAfter.toISOString(),
      };
    },
  };
}

interface Pair {
  certificate: X509Certificate;
  key: webcrypto.CryptoKey;
}

/** A certificate with its key from the disk; null where one of them is missing, cannot be read, or is not the other's. */
async function readPair(certificate: string, key: string): Promise<Pair | null> {
  if (!existsSync(certificate) || !existsSync(key)) return null;
  try {
    const read = new X509Certificate(readFileSync(certificate, 'utf8'));
    const secret = PemConverter.decodeFirst(readFileSync(key, 'utf8'));
    const pair = { certificate: read, key: await webcrypto.subtle.importKey('pkcs8', secret, KEYS, true, ['sign']) };
    return (await belongTogether(pair)) ? pair : null;
  } catch {
    return null;
  }
}

/** What the key signs, the certificate's public key confirms. */
async function belongTogether({ certificate, key }: Pair): Promise<boolean> {
  const { subtle } = webcrypto;
  const open = await certificate.publicKey.export(KEYS, ['verify']);
  const word = Buffer.from('bricolage');
  return subtle.verify(SIGNING, open, await subtle.sign(SIGNING, key, word), word);
}

async function makePair(certificate: string, key: string, make: () => Promise<Pair>): Promise<Pair> {
  const made = await make();
  const secret = await webcrypto.subtle.exportKey('pkcs8', made.key);
  // A power cut between the two leaves a pair that does not belong together, which is made anew.
  writeWhole(key, PemConverter.encode(secret, 'PRIVATE KEY'), 0o600);
  writeWhole(certificate, made.certificate.toString('pem'));
  return made;
}

function readRemade(file: string): string | null {
  if (!existsSync(file)) return null;
  const read = readJson(readFileSync(file));
  const at = read.ok ? (read.value as { at?: unknown } | null)?.at : null;
  return typeof at === 'string' ? at : null;
}

const makeKeys = (): Promise<webcrypto.CryptoKeyPair> => webcrypto.subtle.generateKey(KEYS, true, ['sign', 'verify']);

async function makeRoot(now: number): Promise<Pair> {
  const keys = await makeKeys();
  const permitted = [
    ...[...PRIVATE_RANGES, LOOPBACK_RANGE].map((iPAddress) => new GeneralName({ iPAddress })),
    new GeneralName({ dNSName: LOCAL_DOMAIN }),
  ];
  const limits = new NameConstraints({
    permittedSubtrees: new GeneralSubtrees(permitted.map((base) => new GeneralSubtree({ base }))),
  });
  const certificate = await X509CertificateGenerator.createSelfSigned({
    name: 'CN=Bricolage workshop authority',
    notBefore: new Date(now - DAY_MS),
    notAfter: new Date(now + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: SIGNING,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      // Read by clients as a limit on what it signs: servers, and neither mail nor programs.
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new Extension(id_ce_nameConstraints, true, AsnConvert.serialize(limits)),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { certificate, key: keys.privateKey };
}

async function makeLeaf(root: Pair, hosts: readonly string[], now: number): Promise<Pair> {
  const keys = await makeKeys();
  const certificate = await X509CertificateGenerator.create({
    subject: 'CN=Bricolage workshop',
    issuer: root.certificate.subject,
    notBefore: new Date(now - DAY_MS),
    notAfter: new Date(now + LEAF_DAYS * DAY_MS),
    signingAlgorithm: SIGNING,
    publicKey: keys.publicKey,
    signingKey: root.key,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        hosts.map((value) => ({ type: isIP(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
      await AuthorityKeyIdentifierExtension.create(root.certificate),
    ],
  });
  return { certificate, key: keys.privateKey };
}

/** Whether the leaf on the disk is of this authority, for these hosts and no others, and not near its end. */
async function holdsStill(
  leaf: X509Certificate,
  root: X509Certificate,
  hosts: readonly string[],
  now: number,
): Promise<boolean> {
  const known = leaf.getExtension(SubjectAlternativeNameExtension)?.names.items.map(({ value }) => value) ?? [];
  const same = known.length === hosts.length && hosts.every((host) => known.includes(host));
  if (!same || leaf.notAfter.getTime() - now <= RENEW_DAYS * DAY_MS) return false;
  return leaf.verify({ publicKey: root.publicKey, signatureOnly: true });
}
