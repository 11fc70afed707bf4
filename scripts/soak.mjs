/*
 * `npm run bench -- --soak`: what takes minutes and is not part of `npm test`. The built server on files of its own, on
 * loopback: ended by SIGKILL in the middle of writes and uploads, asked thirty thousand requests that are not quite right,
 * and sent what unpacks to more than it is. Everything is drawn from a seed.
 */
import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync, crc32, deflateSync, gzipSync } from 'node:zlib';
import sharp from 'sharp';
import { ZipFile } from 'yazl';
import { loadTypeScript, root } from './lib.mjs';
import { copyDisks, crowd, killWhileKeeping, openVersions } from './soak-keeping.mjs';

const { makeRandom } = loadTypeScript('src/core/shared/random.ts');
const random = makeRandom(20261127);
const below = (n) => Math.floor(random() * n);
const pick = (list) => list[below(list.length)];

/** The built server on a folder; where `killAfterMs` is given it is ended so soon, in the middle of whatever it does then. */
async function startServer(folder, killAfterMs) {
  const child = spawn(process.execPath, ['dist-server/main.cjs'], {
    cwd: root,
    env: { ...process.env, PORT: '0', LOG_LEVEL: 'silent', BRICOLAGE_DB: path.join(folder, 'shop.sqlite') },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let complaint = '';
  child.stderr.on('data', (chunk) => (complaint += chunk.toString()));
  if (killAfterMs !== undefined) setTimeout(() => child.kill('SIGKILL'), killAfterMs);
  const url = await new Promise((resolve, reject) => {
    child.stdout.on('data', (chunk) => {
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString());
      if (found) resolve(found[0]);
    });
    child.once('exit', (code) => reject(new Error(`the server stopped with ${code}: ${complaint}`)));
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  return { url, pid: child.pid, ended, end: (signal) => (child.kill(signal), ended) };
}

const inFolder = async (work) => {
  const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-soak-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};

const send = (url, method, place, body, headers = {}) =>
  fetch(url + place, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body === undefined
      ? {}
      : { body: typeof body === 'string' || Buffer.isBuffer(body) ? body : JSON.stringify(body) }),
    signal: AbortSignal.timeout(20_000),
  });

const DESK = {
  format: 'bricolage.dossier/1',
  piece: { kind: 'desk', name: 'Desk' },
  zones: [
    { id: 'top', role: 'top', area_m2: 1 },
    { id: 'side', role: 'side' },
  ],
};

/** Writes and uploads in several lines until the server dies; what it acknowledged must be there after, and once. */
async function killRounds(rounds) {
  return inFolder(async (folder) => {
    const picture = await sharp({ create: { width: 320, height: 240, channels: 3, background: '#7a5a3a' } })
      .jpeg()
      .toBuffer();
    const pictures = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        sharp(picture)
          .modulate({ hue: 40 * i })
          .jpeg()
          .toBuffer(),
      ),
    );
    const noted = { observations: new Set(), work: new Set(), photos: new Set(), drawn: new Set() };
    let server = await startServer(folder);
    await send(server.url, 'PUT', '/api/pieces/p', DESK);
    await send(server.url, 'PUT', '/api/shelf/tin', { class: 'shellac_primer', volume_ml: 900_000 });
    let [lost, doubled, acknowledged] = [0, 0, 0];
    for (let round = 0; round < rounds; round += 1) {
      let running = true;
      const write = async (line) => {
        for (let k = 0; running; k += 1) {
          const id = `r${round}-${line}-${k}`;
          const kind = ['observations', 'work', 'photos', 'drawn'][(line + k) % 4];
          const asked = {
            observations: [
              'PUT',
              `/api/pieces/p/zones/top/observations/o${k % 40}-${line}`,
              { check: 'edge_line', result: 'dark_line', note: id },
            ],
            work: [
              'PUT',
              `/api/pieces/p/work/w${k % 40}-${line}`,
              { entries: [{ zone: 'top', op: 'denib', note: id }] },
            ],
            photos: ['PUT', `/api/pieces/p/photos/f${k % 20}-${line}`, pick(pictures)],
            drawn: ['PUT', `/api/shelf/tin/drawings/d${(round * 7 + k) % 60}-${line}`, { ml: 1 }],
          }[kind];
          const answer = await send(server.url, ...asked, { 'x-bricolage-change': randomUUID() }).catch(() => null);
          if (!answer) return;
          if (answer.ok) {
            await answer.arrayBuffer().catch(() => null);
            acknowledged += 1;
            noted[kind].add(asked[1].split('/').at(-1));
          }
        }
      };
      const lines = [0, 1, 2, 3].map(write);
      await new Promise((resolve) => setTimeout(resolve, 30 + below(220)));
      await server.end('SIGKILL');
      running = false;
      await Promise.all(lines);
      server = await startServer(folder);
      const piece = await (await send(server.url, 'GET', '/api/pieces/p')).json();
      const { tins } = await (await send(server.url, 'GET', '/api/shelf')).json();
      const found = {
        observations: piece.zones.flatMap(({ observations = [] }) => observations.map(({ id }) => id)),
        work: (piece.log ?? []).map(({ work }) => work),
        photos: (piece.photos ?? []).map(({ id }) => id),
        drawn: (tins[0]?.drawn ?? []).map(({ work }) => work),
      };
      for (const [kind, ids] of Object.entries(found)) {
        const own = new Set(ids);
        doubled += ids.length - own.size;
        for (const id of noted[kind]) if (!own.has(id)) lost += 1;
      }
      for (const { sha256 } of piece.photos ?? []) {
        const shown = await send(server.url, 'GET', `/api/photos/${sha256}`);
        await shown.arrayBuffer();
        if (!shown.ok) lost += 1;
      }
    }
    await server.end('SIGTERM');
    return { lost, doubled, acknowledged };
  });
}

/** Requests of every kind as they should be, to be spoilt. */
const RIGHT = [
  ['PUT', '/api/pieces/p', DESK],
  ['GET', '/api/pieces/p'],
  ['GET', '/api/pieces/p/dossier'],
  ['PUT', '/api/pieces/p/zones/top', { role: 'top', area_m2: 1.5, like: 'side' }],
  ['DELETE', '/api/pieces/p/zones/side'],
  [
    'PUT',
    '/api/pieces/p/zones/top/observations/o1',
    { check: 'edge_line', result: 'dark_line', at: '2026-01-01T10:00:00Z' },
  ],
  ['DELETE', '/api/pieces/p/zones/top/observations/o1'],
  ['PATCH', '/api/pieces/p/facts', { facts: [{ path: ['goal', 'colour'], value: '#ffffff' }] }],
  [
    'PATCH',
    '/api/pieces/p/facts',
    { facts: [{ path: ['zones', 'top', 'defects', 'd1'], value: { id: 'd1', code: 'knot' } }] },
  ],
  ['PUT', '/api/pieces/p/goal', { colour: '#ffffff', schools: { doors: 'on' } }],
  ['PUT', '/api/pieces/p/facts', { kind: 'desk', name: 'x' }],
  ['PUT', '/api/pieces/p/tests/t1', { zone: 'top', kind: 'nail', reading: { score: 1 }, age_h: 20 }],
  ['PUT', '/api/pieces/p/work/w1', { entries: [{ zone: 'top', op: 'prime', ml: 10 }] }],
  ['PUT', '/api/pieces/p/parts', { parts: [{ id: 'd', zone: 'top', label: 'D', place: 'l', state: 'off' }] }],
  [
    'PUT',
    '/api/pieces/p/choice',
    { at: '2026-01-01T10:00:00Z', zones: [{ id: 'top', treatment: { primer: 'shellac_primer' } }] },
  ],
  ['PUT', '/api/pieces/p/photos/f1', 'not a picture'],
  ['GET', `/api/photos/${'0'.repeat(64)}`],
  ['DELETE', '/api/pieces/q'],
  ['POST', '/api/pieces/q/back'],
  ['PUT', '/api/shelf/t1', { class: 'wax', volume_ml: 10 }],
  ['PATCH', '/api/shelf/t1', { facts: [{ path: ['price'], value: 3 }] }],
  ['PUT', '/api/shelf/t1/drawings/w1', { ml: 3 }],
  ['PUT', '/api/workshop/setup', { hours: [{ day: 1, from: '09:00', to: '10:00' }] }],
  ['PATCH', '/api/workshop/setup', { facts: [{ path: ['places'], value: { large: 1, small: 1 } }] }],
  ['PUT', '/api/workshop/air/2026-01-01T10:00:00Z', { temperature_c: 18, humidity_pct: 50 }],
  ['PUT', '/api/workshop/pins/p%2F1', { at: '2026-01-01T10:00:00Z' }],
  ['GET', '/api/lists/summaries?find=desk&from=0&count=10'],
  ['GET', '/api/lists/changed?since='],
  ['GET', '/api/lists/readings?substrate=solid_oak&finish=bare&primer=none&mode=adhesion&prep=scuff'],
  ['GET', '/api/experience?except=p'],
  ['POST', '/api/keeping/arrivals', DESK],
  ['POST', '/api/keeping/arrivals/00000000-0000-0000-0000-000000000000/take', { clashes: 'leave' }],
  ['GET', '/api/access'],
  ['PUT', '/api/opening', { open: false }],
  ['GET', '/pieces'],
];

const ODD = [
  null,
  true,
  -1,
  0,
  1e308,
  -0.5,
  '',
  ' ',
  '\u0000',
  'é'.repeat(300),
  '__proto__',
  'constructor',
  [],
  {},
  [[[]]],
  { $: 1 },
  '2026-02-31',
  '9999-12-31T23:59:59Z',
];

/** One place in a value made odd, taken away, doubled or buried. */
function spoilValue(value) {
  if (typeof value !== 'object' || value === null || random() < 0.15) return pick(ODD);
  const copy = Array.isArray(value) ? [...value] : { ...value };
  const keys = Object.keys(copy);
  if (keys.length === 0 || random() < 0.1) {
    if (Array.isArray(copy)) copy.push(pick(ODD));
    else copy[pick(['id', 'at', 'zone', 'constructor', 'toString', 'like', 'path'])] = pick(ODD);
    return copy;
  }
  const key = pick(keys);
  const dice = random();
  if (dice < 0.15) delete copy[key];
  else copy[key] = spoilValue(copy[key]);
  return copy;
}

function spoilText(text) {
  const at = below(text.length + 1);
  const dice = random();
  if (dice < 0.3) return text.slice(0, at);
  if (dice < 0.6)
    return text.slice(0, at) + pick(['{', '}', '"', ',', '\\u0000', '[[', 'null', '\u2028']) + text.slice(at);
  return text.slice(0, at) + text.slice(Math.min(text.length, at + 1 + below(4)));
}

function spoilPath(place) {
  const parts = place.split('/');
  const at = 2 + below(Math.max(1, parts.length - 2));
  parts[at] = pick([
    '',
    '..',
    '%00',
    '%2e%2e',
    '%',
    'a'.repeat(2000),
    '%F0%28',
    '__proto__',
    'constructor',
    '-',
    '1e9',
    'p?x[]=1&x[a]=2',
    encodeURIComponent('é/..'),
  ]);
  return parts.join('/');
}

async function spoiltRequests(count) {
  return inFolder(async (folder) => {
    const server = await startServer(folder);
    let died = false;
    void server.ended.then(() => (died = true));
    await send(server.url, 'PUT', '/api/pieces/p', DESK);
    const statuses = new Map();
    const worst = [];
    let slowest = 0;
    const one = async () => {
      const [method, place, body] = pick(RIGHT);
      const dice = random();
      let [way, where, what, headers] = [method, place, body, {}];
      if (dice < 0.5 && what !== undefined) what = spoilValue(what);
      else if (dice < 0.65 && what !== undefined) what = spoilText(JSON.stringify(what));
      else if (dice < 0.8) where = spoilPath(place);
      else if (dice < 0.9) way = pick(['PUT', 'PATCH', 'DELETE', 'POST', 'OPTIONS', 'HEAD']);
      else
        headers = pick([
          { 'content-encoding': 'gzip' },
          { 'content-type': 'text/plain; charset=utf-99' },
          { 'content-type': 'multipart/form-data' },
          { 'x-bricolage-shop': 'x'.repeat(3000) },
          { 'x-bricolage-change': pick(['p', '', '../..', 'c1', 'c2']) },
          { 'x-bricolage-made': 'yesterday' },
          { origin: 'null' },
          { cookie: '__Host-bricolage=' + 'a'.repeat(2000) },
          { range: 'bytes=5-1' },
          { 'if-none-match': '*' },
        ]);
      if (way === 'HEAD' || way === 'GET') what = undefined;
      const started = performance.now();
      const answer = await send(server.url, way, where, what, headers).catch((error) => ({
        status: String(error.cause?.code ?? error.name),
      }));
      await answer.arrayBuffer?.().catch(() => null);
      slowest = Math.max(slowest, (performance.now() - started) / 1000);
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      if (answer.status >= 500 || typeof answer.status === 'string')
        worst.push([answer.status, way, where.slice(0, 80), JSON.stringify(what)?.slice(0, 160), headers]);
    };
    for (let sent = 0; sent < count && !died; sent += 16) {
      await Promise.all(Array.from({ length: 16 }, one));
      // A spoilt request may have deleted the piece, and the rest would only be told that it is not there.
      await send(server.url, 'POST', '/api/pieces/p/back');
    }
    const well = await send(server.url, 'GET', '/api/health').then(
      (answer) => answer.ok,
      () => false,
    );
    await server.end('SIGTERM');
    for (const own of worst.slice(0, 10)) process.stderr.write(`${JSON.stringify(own)}\n`);
    return { broken: worst.length, well: well && !died, statuses, slowest };
  });
}

/** The most a process held at once, MB, with those it started; none where the system does not tell. */
function peakOf(pid) {
  try {
    const own = Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;
    const children = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').filter(Boolean);
    return children.reduce((sum, child) => sum + peakOf(Number(child)), own);
  } catch {
    return 0;
  }
}

const chunk = (name, data) => {
  const body = Buffer.concat([Buffer.from(name, 'latin1'), data]);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  sum.writeUInt32BE(crc32(body));
  return Buffer.concat([length, body, sum]);
};
const PNG = Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]);
const header = (width, height) => {
  const data = Buffer.alloc(13);
  data.writeUInt32BE(width, 0);
  data.writeUInt32BE(height, 4);
  data.set([8, 2, 0, 0, 0], 8);
  return chunk('IHDR', data);
};

async function zipOf(files) {
  const zip = new ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name);
  zip.end();
  const parts = [];
  for await (const part of zip.outputStream) parts.push(part);
  return Buffer.concat(parts);
}

/** What unpacks to more than it is, of every kind the server takes. */
async function makeBombs() {
  const zeros = Buffer.alloc(200 * 2 ** 20);
  const wide = await sharp({
    create: { width: 9000, height: 9000, channels: 3, background: '#000' },
    limitInputPixels: false,
  })
    .png()
    .toBuffer();
  const jpeg = await sharp({
    create: { width: 12_000, height: 12_000, channels: 3, background: '#000' },
    limitInputPixels: false,
  })
    .jpeg({ quality: 1 })
    .toBuffer();
  const webp = await sharp({
    create: { width: 12_000, height: 12_000, channels: 3, background: '#000' },
    limitInputPixels: false,
  })
    .webp({ quality: 1, effort: 0 })
    .toBuffer();
  const strip = await sharp({ create: { width: 12_000, height: 6, channels: 3, background: '#000' } })
    .png()
    .toBuffer();
  const photo = (bytes) => ['PUT', '/api/pieces/p/photos/bomb', bytes];
  const arrival = (bytes) => ['POST', '/api/keeping/arrivals', bytes];
  const many = (count, one = '{}') => `[${`${one},`.repeat(count - 1)}${one}]`;
  const desk = '"format":"bricolage.dossier/1","piece":{"kind":"desk"}';
  const list = (pieces, files) =>
    Buffer.from(
      `{"format":"bricolage.shop/1","id":"s","made_at":"2026-01-01T00:00:00Z","counts":{"pieces":0,"photos":0,"tins":0},"pieces":${pieces},"files":${files}}`,
    );
  const files = (...names) => JSON.stringify(names.map((name) => ({ path: name, sha256: '0'.repeat(64), bytes: 1 })));
  return [
    ['strip of 12 000 × 6', ...photo(strip)],
    [
      'zip of 117 kB whose list holds forty million values',
      ...arrival(await zipOf([['shop.json', list('[]', many(40_000_000))]])),
    ],
    [
      'zip whose list is wrong from the first entry on',
      ...arrival(await zipOf([['shop.json', list('[]', many(200_000))]])),
    ],
    [
      'zip whose shelf holds a million tins',
      ...arrival(
        await zipOf([
          ['shop.json', list('[]', files('shelf.json'))],
          ['shelf.json', Buffer.from(many(1_700_000))],
        ]),
      ),
    ],
    [
      'zip whose tables unpack to half a gigabyte',
      ...arrival(
        await zipOf([
          ['shop.json', list('[]', files('csv/a.csv', 'csv/b.csv'))],
          ['csv/a.csv', zeros],
          ['csv/b.csv', zeros],
        ]),
      ),
    ],
    ['5 MB of {} as a piece', 'PUT', '/api/pieces/p-2', `{${desk},"zones":${many(1_700_000)}}`],
    ['5 MB of {} as a file', ...arrival(Buffer.from(`{${desk},"zones":${many(1_700_000)}}`))],
    ['a change of 300 000 values', 'PUT', '/api/pieces/p/goal', `{"odd":${many(300_000)}}`],
    ['PNG of 81 million pixels', ...photo(wide)],
    [
      'PNG that says it is small and unpacks to 200 MB',
      ...photo(Buffer.concat([PNG, header(10, 10), chunk('IDAT', deflateSync(zeros)), chunk('IEND', Buffer.alloc(0))])),
    ],
    [
      'PNG with a text that unpacks to 200 MB',
      ...photo(
        Buffer.concat([
          PNG,
          header(10, 10),
          chunk('zTXt', Buffer.concat([Buffer.from('a\0\0', 'latin1'), deflateSync(zeros)])),
          chunk('IEND', Buffer.alloc(0)),
        ]),
      ),
    ],
    [
      'PNG of 100 000 empty parts',
      ...photo(
        Buffer.concat([PNG, header(10, 10), ...Array.from({ length: 100_000 }, () => chunk('tEXt', Buffer.alloc(0)))]),
      ),
    ],
    ['JPEG of 144 million pixels', ...photo(jpeg)],
    ['WebP of 144 million pixels', ...photo(webp)],
    ['zip of one file of 200 MB', ...arrival(await zipOf([['shop.json', zeros]]))],
    [
      'zip of 70 000 names',
      ...arrival(await zipOf(Array.from({ length: 70_000 }, (_, i) => [`pieces/p${i}.json`, Buffer.from('{}')]))),
    ],
    ['JSON a million levels deep', ...arrival(Buffer.from(`${'['.repeat(1_000_000)}${']'.repeat(1_000_000)}`))],
    [
      'JSON of 70 MB',
      ...arrival(Buffer.from(JSON.stringify({ format: 'bricolage.dossier/1', a: 'x'.repeat(70 * 2 ** 20) }))),
    ],
    ['body that unpacks from gzip to 200 MB', 'PUT', '/api/pieces/p', gzipSync(zeros), { 'content-encoding': 'gzip' }],
    [
      'body that unpacks from brotli to 200 MB',
      'PUT',
      '/api/pieces/p/goal',
      brotliCompressSync(zeros),
      { 'content-encoding': 'br' },
    ],
    [
      '15 000 facts',
      'PATCH',
      '/api/pieces/p/facts',
      { facts: Array.from({ length: 15_000 }, () => ({ path: ['goal', 'due'] })) },
    ],
  ];
}

async function bombs() {
  const all = await makeBombs();
  return inFolder(async (folder) => {
    const server = await startServer(folder);
    await send(server.url, 'PUT', '/api/pieces/p', DESK);
    const before = JSON.stringify(await (await send(server.url, 'GET', '/api/pieces/p')).json());
    let slowest = { name: '', seconds: 0 };
    let [taken, others, sending] = [0, 0, true];
    const served = (async () => {
      while (sending) {
        const started = performance.now();
        await (await send(server.url, 'GET', '/api/pieces/p')).arrayBuffer();
        others = Math.max(others, (performance.now() - started) / 1000);
      }
    })();
    for (const [name, method, place, body, headers] of all) {
      const started = performance.now();
      const answer = await send(server.url, method, place, body, headers).catch((error) => ({
        status: error.cause?.code ?? error.name,
      }));
      await answer.arrayBuffer?.().catch(() => null);
      const seconds = (performance.now() - started) / 1000;
      if (seconds > slowest.seconds) slowest = { name, seconds };
      // A connection that is cut in the middle of a body is a refusal, too.
      const refused =
        answer.status === 'EPIPE' || answer.status === 'ECONNRESET' || (answer.status >= 400 && answer.status < 500);
      if (!refused) {
        taken += 1;
        process.stderr.write(`not refused: ${name}: ${answer.status}\n`);
      }
    }
    sending = false;
    await served;
    const after = JSON.stringify(await (await send(server.url, 'GET', '/api/pieces/p')).json());
    if (after !== before) taken += 1;
    const peak = peakOf(server.pid);
    await server.end('SIGTERM');
    return { count: all.length, taken, slowest, others, peak };
  });
}

/** Adds the figures of all of them. */
export async function measureSoak(add) {
  const tools = { inFolder, startServer, send, below };
  const photo = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#7a5a3a' } })
    .jpeg()
    .toBuffer();
  const told = (first) => `the first search took ${(first / 1000).toFixed(1)} s`;
  const reads = await crowd(tools, 50);
  const crowded = '20 clients, 300 pieces: 5 search and list without a pause, 15 read';
  add(
    'reads beside search and lists, 99th of 100',
    reads.ms,
    'ms',
    '< 100',
    `${crowded} each 50 ms; ${told(reads.first)}`,
  );
  const pressed = await crowd(tools, 0);
  add('the same, nobody ever resting', pressed.ms, 'ms', '', `${crowded} without one; ${told(pressed.first)}`);
  const { failed, versions } = await openVersions(tools, photo);
  add('shops of earlier versions that lack anything', failed, '', '0', `versions 1 to ${versions}, each opened twice`);
  const disks = await copyDisks(tools, photo, 50);
  add(
    'copies of the disk that fail without a word',
    disks.speechless,
    '',
    '0',
    `50 taken mid-write; ${disks.opened} open`,
  );
  const rounds = 100;
  const kept = await killWhileKeeping(tools, photo, rounds);
  const acts = `${rounds} SIGKILL in copies, putting back, arrivals, bin and zips, ${rounds / 10} in a step forward`;
  add('lost by a kill while keeping', kept.lost, '', '0', acts);
  add('broken copies after it', kept.broken, '', '0', acts);
  add('leftovers after the next start', kept.left, '', '0', acts);
  const kinds = await bombs();
  const about = `${kinds.count} kinds; slowest: ${kinds.slowest.name}`;
  add('bombs taken', kinds.taken, '', '0', about);
  add('bombs: slowest refusal', kinds.slowest.seconds, 's', '< 2', about);
  add('bombs: slowest answer to others meanwhile', kinds.others, 's', '< 1', about);
  add(
    'bombs: most memory held, server and decoder',
    kinds.peak,
    'MB',
    '< 500',
    'VmHWM of the server and what it started',
  );
  const spoilt = await spoiltRequests(30_000);
  const answered = [...spoilt.statuses]
    .sort(([a], [b]) => (String(a) < String(b) ? -1 : 1))
    .map(([status, n]) => `${status}: ${n}`);
  add('30 000 spoilt requests: answers of 5xx or none', spoilt.broken, '', '0', answered.join(', '));
  add('30 000 spoilt requests: slowest answer', spoilt.slowest, 's', '< 2', '16 at a time');
  add('server well after them', Number(spoilt.well), '', '1', 'GET /api/health');
  const killed = await killRounds(200);
  const written = `${killed.acknowledged} writes acknowledged in 200 rounds of SIGKILL`;
  add('acknowledged writes lost', killed.lost, '', '0', written);
  add('writes doubled', killed.doubled, '', '0', written);
}
