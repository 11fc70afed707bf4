import { request as ask, type RequestOptions } from 'node:https';
import { request as askPlainly } from 'node:http';
import { rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { makeDoor } from '@/server/opening';
import { cleanUp, startServer, type Running } from './harness';

/* Phones come over TLS to a second address of the loopback, which stands in for the network of the house. */
let shop: Running;
let port = 0;
let ca = '';
beforeEach(async () => {
  shop = await startServer();
});
afterEach(async () => {
  await shop.stop();
  cleanUp(shop.file);
});

interface Answer {
  status: number;
  body: any; // eslint-disable-line @typescript-eslint/no-explicit-any
  headers: NodeJS.Dict<string | string[]>;
}

interface Asked {
  body?: unknown;
  cookie?: string;
  from?: string;
  headers?: Record<string, string>;
  tls?: Pick<RequestOptions, 'maxVersion' | 'minVersion'>;
}

/** A device on the network: `from` is its address. */
const phone = (method: string, path: string, { body, cookie, from = '127.0.0.1', headers, tls }: Asked = {}) =>
  new Promise<Answer>((resolve, reject) => {
    const own = { ...(cookie ? { cookie } : {}), ...(body ? { 'content-type': 'application/json' } : {}), ...headers };
    const asked = ask(
      {
        host: '127.0.0.2',
        port,
        path,
        method,
        ca,
        headers: own,
        localAddress: from,
        agent: false,
        checkServerIdentity: () => undefined,
        ...tls,
      },
      (answer) => {
        const chunks: Buffer[] = [];
        answer.on('data', (chunk: Buffer) => chunks.push(chunk));
        answer.on('end', () => {
          const text = Buffer.concat(chunks).toString();
          const json = String(answer.headers['content-type']).includes('json');
          resolve({ status: answer.statusCode!, body: json ? JSON.parse(text) : text, headers: answer.headers });
        });
      },
    );
    asked.on('error', reject);
    asked.end(body ? JSON.stringify(body) : undefined);
  });

async function open(): Promise<void> {
  const { body } = await shop.call('PUT', '/api/opening', { open: true });
  port = Number(new URL(body.urls[0]).port);
  const der = Buffer.from(await (await fetch(`${shop.base}/authority.crt`)).arrayBuffer());
  ca = `-----BEGIN CERTIFICATE-----\n${der.toString('base64')}\n-----END CERTIFICATE-----\n`;
}

const newCode = async (): Promise<string> => (await shop.call('POST', '/api/opening/code')).body.code;

/** Lets a device in; gives the cookie it keeps. */
async function letIn(device: string): Promise<string> {
  const { headers } = await phone('POST', '/api/access', { body: { device, code: await newCode() } });
  return headers['set-cookie']![0]!.split(';')[0]!;
}

/** A line on which a device listens. */
async function listenAs(cookie: string) {
  let text = '';
  let end = (): void => undefined;
  const ended = new Promise<void>((resolve) => (end = resolve));
  const asked = ask(
    {
      host: '127.0.0.2',
      port,
      path: '/api/events',
      ca,
      headers: { cookie },
      agent: false,
      checkServerIdentity: () => undefined,
    },
    (answer) => answer.on('data', (chunk: Buffer) => (text += chunk.toString())).on('end', end),
  );
  asked.on('error', end);
  asked.end();
  const until = async (wanted: RegExp): Promise<void> => {
    while (!wanted.test(text)) await new Promise((done) => setTimeout(done, 10));
  };
  await until(/event: here/);
  return { until, ended, text: () => text };
}

describe('the door for phones', () => {
  it('is shut until the owner opens it, is told with its address, and is shut again', async () => {
    const before = await shop.call('GET', '/api/opening');
    expect(before.body).toMatchObject({ open: false, urls: [], devices: [], passphrase: false });
    expect((await shop.call('POST', '/api/opening/code')).body.error.code).toBe('no_network');
    await open();
    const after = (await shop.call('GET', '/api/opening')).body;
    expect(after.urls[0]).toBe(`https://127.0.0.2:${port}`);
    expect(after.urls[1]).toMatch(/^https:\/\/[a-z0-9-]+\.local:\d+$/);
    expect(after.fingerprint).toMatch(/^([0-9A-F]{2} ){31}[0-9A-F]{2}$/);
    expect((await phone('GET', '/api/access')).body).toEqual({ local: false, entered: false, passphrase: false });
    await shop.call('PUT', '/api/opening', { open: false });
    await expect(phone('GET', '/api/access')).rejects.toThrow(/ECONNREFUSED/);
  });

  it('speaks TLS 1.2 and newer, and nothing in the clear', async () => {
    await open();
    await expect(
      phone('GET', '/api/access', { tls: { minVersion: 'TLSv1.1', maxVersion: 'TLSv1.1' } }),
    ).rejects.toThrow();
    const inTheClear = new Promise((resolve, reject) => {
      const asked = askPlainly({ host: '127.0.0.2', port, path: '/api/access' }, resolve);
      asked.on('error', reject);
      asked.end();
    });
    await expect(inTheClear).rejects.toThrow();
  });

  it('gives nothing of the shop to a device without a pass, whatever it asks and however', async () => {
    await shop.call('PUT', '/api/pieces/p-1', { format: 'bricolage.dossier/1', piece: { kind: 'desk' } });
    await open();
    const asked = [
      ['GET', '/api/pieces'],
      ['GET', '/api/pieces/p-1'],
      ['GET', '/api/pieces/p-1/dossier'],
      ['PUT', '/api/pieces/p-2'],
      ['PUT', '/api/pieces/p-1/goal'],
      ['DELETE', '/api/pieces/p-1/zones/top'],
      ['PUT', '/api/pieces/p-1/photos/a'],
      ['GET', `/api/photos/${'0'.repeat(64)}`],
      ['GET', '/api/lists/summaries'],
      ['GET', '/api/lists/in-work'],
      ['GET', '/api/shelf'],
      ['GET', '/api/workshop'],
      ['GET', '/api/experience'],
      ['GET', '/api/instruments'],
      ['GET', '/api/health'],
      ['GET', '/api/opening'],
      ['POST', '/api/opening/code'],
      ['GET', '/api/nothing'],
    ];
    for (const cookie of [undefined, '__Host-bricolage=', `__Host-bricolage=${'A'.repeat(43)}`, '__Host-bricolage=%00'])
      for (const [method, path] of asked) {
        const { status, body } = await phone(method!, path!, {
          ...(cookie === undefined ? {} : { cookie }),
          ...(method === 'PUT' ? { body: {} } : {}),
        });
        expect([path, status, body.error.code]).toEqual([path, 401, 'not_entered']);
      }
  });

  it('lets a device in by a code, once, and its pass opens what the computer sees, but not the door itself', async () => {
    await open();
    const code = await newCode();
    const spaced = `${code.slice(0, 3)} ${code.slice(3, 6)} ${code.slice(6)}`;
    const entered = await phone('POST', '/api/access', { body: { device: 'Phone at the bench', code: spaced } });
    expect(entered.status).toBe(200);
    const [set] = entered.headers['set-cookie'] as string[];
    for (const rule of ['Path=/', 'HttpOnly', 'Secure', 'SameSite=Strict']) expect(set).toContain(rule);
    expect(set).toMatch(/^__Host-bricolage=[\w-]{43};/);
    const cookie = set!.split(';')[0]!;
    expect((await phone('GET', '/api/pieces', { cookie })).status).toBe(200);
    expect((await phone('GET', '/api/access', { cookie })).body).toMatchObject({
      entered: true,
      device: 'Phone at the bench',
    });
    for (const [method, path] of [
      ['GET', '/api/opening'],
      ['PUT', '/api/opening'],
      ['POST', '/api/opening/code'],
      ['PUT', '/api/opening/passphrase'],
      ['DELETE', '/api/opening/devices'],
    ])
      expect((await phone(method!, path!, { cookie, body: {} })).body.error.code).toBe('local_only');
    const again = await phone('POST', '/api/access', { body: { device: 'Another', code } });
    expect([again.status, again.body.error.code]).toEqual([401, 'wrong_pass']);
  });

  it('keeps of a pass nothing that would let anyone in, and ends it from the computer and from the phone', async () => {
    await open();
    const [one, two, three] = [await letIn('One'), await letIn('Two'), await letIn('Three')];
    const { devices } = (await shop.call('GET', '/api/opening')).body;
    expect(devices.map(({ device }: { device: string }) => device).sort()).toEqual(['One', 'Three', 'Two']);
    expect(JSON.stringify(devices)).not.toContain(one.split('=')[1]!);
    const id = devices.find(({ device }: { device: string }) => device === 'One').id;
    await shop.call('DELETE', `/api/opening/devices/${id}`);
    expect((await phone('GET', '/api/pieces', { cookie: one })).status).toBe(401);
    expect((await phone('GET', '/api/pieces', { cookie: two })).status).toBe(200);
    expect((await phone('DELETE', '/api/access', { cookie: two })).headers['set-cookie']![0]).toContain('Max-Age=0');
    expect((await phone('GET', '/api/pieces', { cookie: two })).status).toBe(401);
    await shop.call('DELETE', '/api/opening/devices');
    expect((await phone('GET', '/api/pieces', { cookie: three })).status).toBe(401);
    expect((await shop.call('GET', '/api/opening')).body.devices).toEqual([]);
  });

  it('changes the token when a device comes in anew, and ends the pass it had', async () => {
    await open();
    const first = await letIn('Phone');
    const { headers } = await phone('POST', '/api/access', {
      cookie: first,
      body: { device: 'Phone', code: await newCode() },
    });
    const second = headers['set-cookie']![0]!.split(';')[0]!;
    expect(second).not.toBe(first);
    expect((await phone('GET', '/api/pieces', { cookie: first })).status).toBe(401);
    expect((await phone('GET', '/api/pieces', { cookie: second })).status).toBe(200);
  });

  it('lets a device in by the passphrase; a weak one is refused, and it is never sent back', async () => {
    await open();
    for (const weak of ['short', 'aaaaaaaaaaaaaaaa', 'abababababababab'])
      expect((await shop.call('PUT', '/api/opening/passphrase', { passphrase: weak })).body.error.code).toBe(
        'weak_passphrase',
      );
    const passphrase = 'paste wax on the plane sole';
    const set = await shop.call('PUT', '/api/opening/passphrase', { passphrase });
    expect(set.body.passphrase).toBe(true);
    const entered = await phone('POST', '/api/access', { body: { device: 'Tablet', passphrase } });
    expect(entered.status).toBe(200);
    await shop.call('PUT', '/api/opening/passphrase', { passphrase: null });
    expect((await phone('POST', '/api/access', { body: { device: 'Tablet', passphrase } })).status).toBe(401);
  }, 20_000);

  it('slows who guesses, one device and all together, and never the computer itself', async () => {
    await open();
    const guess = (from: string) => phone('POST', '/api/access', { from, body: { device: 'X', code: '000000000' } });
    const one = [];
    for (let i = 0; i < 8; i += 1) one.push((await guess('127.0.0.9')).status);
    expect(one).toEqual([401, 401, 401, 401, 401, 401, 429, 429]);
    const held = await guess('127.0.0.9');
    expect([held.headers['retry-after'], held.body.error.params]).toEqual(['900', { minutes: 15 }]);
    // The right code does not help who has guessed; another device comes in.
    const code = await newCode();
    expect((await phone('POST', '/api/access', { from: '127.0.0.9', body: { device: 'X', code } })).status).toBe(429);
    expect((await phone('POST', '/api/access', { body: { device: 'Y', code } })).status).toBe(200);
    const crowd = [];
    for (let i = 0; i < 60; i += 1) crowd.push((await guess(`127.0.1.${10 + (i % 15)}`)).status);
    expect(crowd.filter((status) => status === 401).length).toBeLessThanOrEqual(40);
    expect(crowd.at(-1)).toBe(429);
    expect((await shop.call('GET', '/api/pieces')).status).toBe(200);
    expect((await shop.call('POST', '/api/opening/code')).status).toBe(200);
  });

  it('lets in whom the desk shows its code, whatever strangers have tried; passphrases are counted apart', async () => {
    const passphrase = 'paste wax on the plane sole';
    await shop.call('PUT', '/api/opening/passphrase', { passphrase });
    await open();
    const guess = (from: string, body: object) =>
      phone('POST', '/api/access', { from, body: { device: 'X', ...body } });
    for (let i = 0; i < 56; i += 1) await guess(`127.0.3.${10 + (i % 8)}`, { code: '000000000' });
    expect((await guess('127.0.3.200', { code: '000000000' })).status).toBe(429);
    expect((await guess('127.0.3.201', { code: await newCode() })).status).toBe(200);
    expect((await guess('127.0.3.202', { passphrase })).status).toBe(200);
    // A passphrase is no way round the counting beside a code that is none.
    const beside = { code: 'A'.repeat(43), passphrase };
    expect((await guess('127.0.3.203', beside)).status).toBe(401);
    // From an address that was used for guessing, the picture still serves: nobody guesses that.
    const { body } = await shop.call('POST', '/api/opening/code');
    const secret = new URL(body.address).hash.slice(1);
    expect(secret).toHaveLength(43);
    expect((await guess('127.0.3.10', { code: body.code })).status).toBe(429);
    expect((await guess('127.0.3.10', { code: secret })).status).toBe(200);
    expect((await guess('127.0.3.10', { code: secret })).status).toBe(401);
  }, 20_000);

  it('ends all passes with a new passphrase where that is wished; what has ended hears nothing more', async () => {
    await open();
    const [one, two] = [await letIn('One'), await letIn('Two')];
    const heard = await listenAs(one);
    await shop.call('PUT', '/api/shelf/t-1', { class: 'wax' });
    await heard.until(/"shelf":true/);
    const passphrase = 'dewax before the second coat';
    await shop.call('PUT', '/api/opening/passphrase', { passphrase });
    expect((await phone('GET', '/api/pieces', { cookie: two })).status).toBe(200);
    await shop.call('PUT', '/api/opening/passphrase', { passphrase, end_passes: true });
    expect((await phone('GET', '/api/pieces', { cookie: two })).status).toBe(401);
    await shop.call('PUT', '/api/workshop/setup', {});
    await heard.ended;
    expect(heard.text()).not.toContain('workshop');
  }, 20_000);

  it('that cannot be opened is told in words, tried again, and ends nothing', async () => {
    const folder = path.join(path.dirname(shop.file), 'locked');
    let addresses = ['127.0.0.2'];
    const asked: unknown[] = [];
    const door = makeDoor({
      folder: path.join(folder, 'authority'),
      handle: (_request, response) => response.end(),
      addresses: () => (asked.push(1), addresses),
      port: 0,
      lookEveryMs: 20,
    });
    // A file where the folder should be.
    writeFileSync(folder, '');
    expect(await door.open()).toMatchObject({ ok: false, problem: { code: 'door_not_opened' } });
    await expect(door.authority()).rejects.toThrow();
    rmSync(folder);
    // The ten-minute look opens it by itself, passes over an address that is gone, and shuts it where none is left.
    const settled = async (test: () => boolean): Promise<void> => {
      while (!test()) await new Promise((done) => setTimeout(done, 10));
    };
    await settled(() => door.urls().length > 0);
    addresses = ['203.0.113.9', '127.0.0.3'];
    await settled(() => door.urls()[0]?.includes('127.0.0.3') === true);
    addresses = ['203.0.113.9'];
    await settled(() => door.urls().length === 0);
    expect(asked.length).toBeGreaterThan(3);
    await door.close();
  }, 20_000);

  it('answers to its own names alone, and for no other site, whatever the method', async () => {
    await open();
    const cookie = await letIn('Phone');
    for (const host of ['shop.example', '127.0.0.1', `127.0.0.3:${port}`])
      expect((await phone('GET', '/api/pieces', { cookie, headers: { host } })).body.error.code).toBe('foreign_origin');
    for (const headers of [
      { origin: 'https://shop.example' },
      { origin: `http://127.0.0.2:${port}` },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
    ] as Record<string, string>[])
      for (const method of ['GET', 'DELETE', 'PUT'])
        expect((await phone(method, '/api/access', { cookie, headers })).body.error.code).toBe('foreign_origin');
    const own = await phone('GET', '/api/pieces', { cookie, headers: { origin: `https://127.0.0.2:${port}` } });
    expect(own.status).toBe(200);
    // The computer's own door takes no name of the other, and knows no way in.
    expect((await shop.call('POST', '/api/access', { device: 'X', code: await newCode() })).status).toBe(404);
    expect((await shop.call('GET', '/api/access')).body).toMatchObject({ local: true, entered: true });
  });

  it('refuses what is no way in, naming the field', async () => {
    await open();
    const bad: [unknown, string][] = [
      [{ code: '1' }, 'device'],
      [{ device: '', code: '1' }, 'device'],
      [{ device: 'x'.repeat(61), code: '1' }, 'device'],
      [{ device: 'X', code: 7 }, 'code'],
      [{ device: 'X', passphrase: ['a'] }, 'passphrase'],
    ];
    for (const [i, [body, field]] of bad.entries()) {
      const answer = await phone('POST', '/api/access', { from: `127.0.2.${i + 1}`, body });
      expect([answer.status, answer.body.error.path]).toEqual([422, field]);
    }
  });
});
