/*
 * What is kept, through everything that may end a server: in the middle of a copy, of putting one back, of pieces coming in,
 * of the bin, of a step forward of the schema; copies of the whole disk taken while it writes; files of every version.
 */
import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { root } from './lib.mjs';

const MIGRATIONS = path.join(root, 'src/server/db/migrations');
const listMigrations = () => readdirSync(MIGRATIONS).sort();
const NEWEST = Number(listMigrations().at(-1).slice(0, 4));
const HASH = (bytes) => createHash('sha256').update(bytes).digest('hex');

/** A file of records as a version of the program left it, with a piece that has a zone, a reading and a picture. */
export function writeVersion(file, version, photo) {
  const db = new Database(file);
  for (const name of listMigrations().filter((own) => Number(own.slice(0, 4)) <= version))
    db.exec(readFileSync(path.join(MIGRATIONS, name), 'utf8'));
  db.pragma(`user_version = ${version}`);
  const piece = { id: 'p', kind: 'desk', name: `Of version ${version}` };
  const [zone, reading] = [
    { id: 'top', role: 'top' },
    { id: 'o', check: 'edge_line', result: 'dark_line' },
  ];
  db.prepare(
    `INSERT INTO piece (id, kind, name, body, rest, created_at, changed_at) VALUES ('p', 'desk', ?, ?, ?, ?, ?)`,
  ).run(
    piece.name,
    JSON.stringify(piece),
    // The log lay in it before it had rows of its own.
    JSON.stringify(version < 5 ? { log: [{ zone: 'top', op: 'prime', work: 'w' }] } : {}),
    '2026-01-01T00:00:00.000Z',
    '2026-01-01T00:00:00.000Z',
  );
  if (version >= 5)
    db.prepare(`INSERT INTO log_entry (piece_id, position, body) VALUES ('p', 0, ?)`).run(
      JSON.stringify({ zone: 'top', op: 'prime', work: 'w' }),
    );
  db.prepare(`INSERT INTO zone (piece_id, id, position, role, body) VALUES ('p', 'top', 0, 'top', ?)`).run(
    JSON.stringify(zone),
  );
  db.prepare(
    `INSERT INTO observation (piece_id, zone_id, id, position, check_code, result, body)
     VALUES ('p', 'top', 'o', 0, 'edge_line', 'dark_line', ?)`,
  ).run(JSON.stringify(reading));
  if (version >= 2) {
    const sha256 = HASH(photo);
    db.prepare(`INSERT INTO photo (piece_id, id, position, sha256, body) VALUES ('p', 'f', 0, ?, ?)`).run(
      sha256,
      JSON.stringify({ id: 'f', sha256, width: 60, height: 40 }),
    );
    // Pictures lay in one folder for all before shops had ids, then in one by the name of the file.
    const { dir, name } = path.parse(file);
    const home = version < 7 ? path.join(dir, 'photos') : path.join(dir, `${name}-files`, 'photos');
    mkdirSync(path.join(home, sha256.slice(0, 2)), { recursive: true });
    writeFileSync(path.join(home, sha256.slice(0, 2), `${sha256}.jpg`), photo);
  }
  db.close();
}

/** Whether a piece of `writeVersion` is there with all it had. */
async function isWhole(send, url, version) {
  const { zones, log, photos = [] } = await (await send(url, 'GET', '/api/pieces/p')).json();
  const there = zones?.[0]?.observations?.[0]?.id === 'o' && log?.[0]?.work === 'w';
  if (version < 2) return there;
  const shown = await send(url, 'GET', `/api/photos/${photos[0]?.sha256}`);
  return there && HASH(Buffer.from(await shown.arrayBuffer())) === photos[0].sha256;
}

/** How many shops of earlier versions do not open with every record and picture. */
export async function openVersions({ inFolder, startServer, send }, photo) {
  let failed = 0;
  for (let version = 1; version <= NEWEST; version += 1)
    await inFolder(async (folder) => {
      writeVersion(path.join(folder, 'shop.sqlite'), version, photo);
      // The second start is of a shop that was brought forward.
      for (let time = 0; time < 2; time += 1) {
        const server = await startServer(folder);
        if (!(await isWhole(send, server.url, version))) failed += 1;
        await server.end('SIGTERM');
      }
    });
  return { failed, versions: NEWEST };
}

/** The server killed in the middle of what it does with the whole shop; gives what was lost, doubled or left broken. */
export async function killWhileKeeping({ inFolder, startServer, send, below }, photo, rounds) {
  const found = { lost: 0, broken: 0, left: 0 };
  await inFolder(async (folder) => {
    const file = path.join(folder, 'shop.sqlite');
    const files = `${file}-files`;
    let server = await startServer(folder);
    const piece = (id, more = {}) =>
      send(server.url, 'PUT', `/api/pieces/${id}`, {
        format: 'bricolage.dossier/1',
        piece: { kind: 'desk', id },
        zones: [{ id: 'top', role: 'top' }],
        ...more,
      });
    await piece('p');
    await send(server.url, 'PUT', '/api/pieces/p/photos/f', photo);
    const zip = Buffer.from(await (await send(server.url, 'GET', '/api/keeping/shop.zip')).arrayBuffer());
    const known = new Set(['p']);
    const listIds = async () =>
      new Set((await (await send(server.url, 'GET', '/api/pieces')).json()).pieces.map((own) => own.piece.id));
    const acts = {
      copy: async () => void (await send(server.url, 'POST', '/api/keeping/backups')),
      restore: async () => {
        const { backups } = await (await send(server.url, 'GET', '/api/keeping/backups')).json();
        if (backups[0]) await send(server.url, 'POST', `/api/keeping/backups/${backups[0].at}/restore`);
      },
      arrive: async () => {
        const looked = await (await send(server.url, 'POST', '/api/keeping/arrivals', zip)).json();
        await send(server.url, 'POST', `/api/keeping/arrivals/${looked.id}/take`, { clashes: 'beside' });
      },
      bin: async () => {
        await send(server.url, 'DELETE', '/api/pieces/p');
        await send(server.url, 'POST', '/api/pieces/p/back');
      },
      zip: async () => void (await (await send(server.url, 'GET', '/api/keeping/shop.zip')).arrayBuffer()),
    };
    const names = Object.keys(acts);
    for (let round = 0; round < rounds; round += 1) {
      const name = names[round % names.length];
      // A copy of now first: what a copy brings back is then what was acknowledged.
      if (name === 'restore') await acts.copy();
      else {
        const id = `r${round}`;
        if ((await piece(id)).ok) known.add(id);
      }
      const acting = acts[name]().catch(() => undefined);
      await new Promise((resolve) => setTimeout(resolve, below(160)));
      await server.end('SIGKILL');
      await acting;
      server = await startServer(folder);
      await send(server.url, 'POST', '/api/pieces/p/back').then((answer) => answer.arrayBuffer());
      const here = await listIds();
      for (const id of known) if (!here.has(id)) found.lost += 1;
      const { photos = [] } = await (await send(server.url, 'GET', '/api/pieces/p')).json();
      const shown = await send(server.url, 'GET', `/api/photos/${photos[0]?.sha256}`);
      if (HASH(Buffer.from(await shown.arrayBuffer())) !== photos[0]?.sha256) found.lost += 1;
      for (const copy of readdirSync(path.join(files, 'backups')).filter((own) => !own.startsWith('.'))) {
        const db = new Database(path.join(files, 'backups', copy, 'shop.sqlite'), { readonly: true });
        if (db.pragma('quick_check', { simple: true }) !== 'ok') found.broken += 1;
        db.close();
        if (round % 40 !== 39) continue;
        // Only some are kept: each takes the room of the records.
        rmSync(path.join(files, 'backups', copy), { recursive: true });
      }
      // The copy of the day may be under way.
      const listDrafts = () =>
        [folder, files, path.join(files, 'backups')]
          .flatMap((own) => readdirSync(own))
          .filter((own) => /draft|snapshot|restoring/.test(own));
      for (let tries = 0; listDrafts().length > 0 && tries < 30; tries += 1)
        await new Promise((resolve) => setTimeout(resolve, 100));
      found.left += listDrafts().length;
    }
    await server.end('SIGTERM');
  });
  // A step forward of the schema, ended in its middle.
  for (let round = 0; round < rounds / 10; round += 1)
    await inFolder(async (folder) => {
      const version = 4 + (round % (NEWEST - 4));
      writeVersion(path.join(folder, 'shop.sqlite'), version, photo);
      const starting = startServer(folder, 60 + below(300)).catch(() => null);
      const early = await starting;
      await early?.end('SIGKILL');
      const server = await startServer(folder);
      if (!(await isWhole(send, server.url, version))) found.lost += 1;
      await server.end('SIGTERM');
    });
  return found;
}

/** Copies of the disk taken while the server writes: each opens, or is refused in words. */
export async function copyDisks({ inFolder, startServer, send, below }, photo, count) {
  let speechless = 0;
  let opened = 0;
  await inFolder(async (folder) => {
    const own = path.join(folder, 'own');
    mkdirSync(own);
    const server = await startServer(own);
    await send(server.url, 'PUT', '/api/pieces/p', {
      format: 'bricolage.dossier/1',
      piece: { kind: 'desk', id: 'p' },
      zones: [{ id: 'top', role: 'top' }],
    });
    let writing = true;
    const write = async (line) => {
      for (let k = 0; writing; k += 1) {
        const body = { check: 'edge_line', result: 'dark_line', note: 'x'.repeat(below(4000)) };
        await (
          await send(server.url, 'PUT', `/api/pieces/p/zones/top/observations/o${k % 90}-${line}`, body)
        ).arrayBuffer();
        if (k % 7 === 0) await (await send(server.url, 'PUT', `/api/pieces/p/photos/f${line}`, photo)).arrayBuffer();
      }
    };
    const lines = [write(0), write(1)];
    for (let i = 0; i < count; i += 1) {
      await new Promise((resolve) => setTimeout(resolve, 20 + below(80)));
      const copy = path.join(folder, `copy-${i}`);
      cpSync(own, copy, { recursive: true, filter: (name) => !name.endsWith('-shm') && !name.endsWith('in-use') });
      try {
        const second = await startServer(copy);
        const well = (await send(second.url, 'GET', '/api/health')).ok;
        if (well) opened += 1;
        else speechless += 1;
        await second.end('SIGTERM');
      } catch (error) {
        if (!/The (file|records|folder)/.test(String(error))) speechless += 1;
      }
      rmSync(copy, { recursive: true });
    }
    writing = false;
    await Promise.all(lines);
    await server.end('SIGTERM');
  });
  return { speechless, opened };
}

/** Five clients that search and list without a pause; the first says how long its first search took, ms. */
const SEARCHERS = `
const [url, heavy] = [process.argv[1], JSON.parse(process.argv[2])];
const search = async (line) => {
  for (let k = 0; ; k += 1) {
    const started = performance.now();
    await (await fetch(url + heavy[(line + k) % heavy.length])).arrayBuffer();
    if (k === 0 && line === 0) console.log(Math.round(performance.now() - started));
  }
};
[0, 1, 2, 3, 4].forEach(search);`;

/**
 * Twenty clients on a shop of three hundred pieces: how long reads take while five of them search and list without a
 * pause. `pauseMs`: how long each of the others rests between its reads; none tells what the machine can give, not what
 * people would wait.
 */
export async function crowd({ inFolder, startServer, send }, pauseMs) {
  return inFolder(async (folder) => {
    const server = await startServer(folder);
    const demo = path.join(root, 'demo/dossiers');
    const dossiers = readdirSync(demo).map((name) => JSON.parse(readFileSync(path.join(demo, name), 'utf8')));
    for (let i = 0; i < 300; i += 1) {
      const own = dossiers[i % dossiers.length];
      const answer = await send(server.url, 'PUT', `/api/pieces/c-${i}`, {
        ...own,
        piece: { ...own.piece, id: `c-${i}`, name: `Piece ${i}` },
      });
      if (!answer.ok) throw new Error(await answer.text());
    }
    const heavy = [
      '/api/lists/find?words=oak',
      '/api/lists/summaries?sort=due',
      '/api/lists/in-work',
      '/api/lists/earned',
      '/api/experience',
    ];
    const times = [];
    // In a process of their own: what they read is megabytes, and would keep the others' clocks waiting here.
    const others = spawn(process.execPath, ['-e', SEARCHERS, server.url, JSON.stringify(heavy)], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let first = '';
    others.stdout.on('data', (chunk) => (first += chunk.toString()));
    const read = async (line) => {
      for (let k = 0; k < 200; k += 1) {
        const started = performance.now();
        await (await send(server.url, 'GET', `/api/pieces/c-${(line * 31 + k * 7) % 300}`)).arrayBuffer();
        times.push(performance.now() - started);
        if (pauseMs > 0) await new Promise((resolve) => setTimeout(resolve, pauseMs));
      }
    };
    await Promise.all(Array.from({ length: 15 }, (_, line) => read(line)));
    while (first === '') await new Promise((resolve) => setTimeout(resolve, 50));
    others.kill();
    await server.end('SIGTERM');
    times.sort((a, b) => a - b);
    return { ms: times[Math.floor(times.length * 0.99)], first: Number(first) };
  });
}
