import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { connect, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

/* The server and the command line as processes of their own, as a person starts them. */
const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-process-'));
const SERVER = path.join(folder, 'main.cjs');
const running: ChildProcess[] = [];

beforeAll(() => {
  const { status } = spawnSync('npx', [
    'esbuild',
    'src/server/main.ts',
    'src/server/decode-picture.ts',
    'src/server/keep-apart.ts',
    'src/server/judge-apart.ts',
    '--bundle',
    '--platform=node',
    '--packages=external',
    `--outdir=${folder}`,
    '--out-extension:.js=.cjs',
    '--log-level=error',
  ]);
  expect(status).toBe(0);
});
afterEach(() => running.splice(0).forEach((child) => child.kill('SIGKILL')));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function start(env: Record<string, string>): Promise<{ url: string; child: ChildProcess }> {
  const child = spawn(process.execPath, [SERVER], {
    env: { ...process.env, NODE_PATH: path.resolve('node_modules'), BRICOLAGE_ROOT: path.resolve('.'), ...env },
  });
  running.push(child);
  return new Promise((resolve, reject) => {
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => {
      const url = /http:\/\/127\.0\.0\.1:\d+/.exec((said += chunk.toString()));
      if (url) resolve({ url: url[0], child });
    });
    let complaint = '';
    child.stderr.on('data', (chunk: Buffer) => (complaint += chunk.toString()));
    child.once('exit', (code) => reject(new Error(`exit ${code}: ${complaint}`)));
  });
}
const stop = (child: ChildProcess): Promise<number | null> =>
  new Promise((resolve) => {
    child.once('exit', (code) => resolve(code));
    child.kill('SIGTERM');
  });

describe('the server as a process', () => {
  it('takes a free port when the usual one is in use, and stops cleanly when asked', async () => {
    const blocker = createServer();
    await new Promise<void>((resolve) => blocker.listen(0, '127.0.0.1', resolve));
    const port = (blocker.address() as { port: number }).port;
    const { url, child } = await start({ BRICOLAGE_DB: path.join(folder, 'a.sqlite'), PORT: String(port) });
    expect(url).not.toContain(`:${port}`);
    expect(await (await fetch(`${url}/api/health`)).json()).toMatchObject({ ok: true });
    expect(await stop(child)).toBe(0);
    blocker.close();
  });

  it('stops although a browser holds a connection open on which it asks nothing', async () => {
    const { url, child } = await start({ BRICOLAGE_DB: path.join(folder, 'held.sqlite'), PORT: '0' });
    const held = connect(Number(new URL(url).port), '127.0.0.1');
    await new Promise<void>((resolve) => held.once('connect', () => resolve()));
    held.on('error', () => undefined);
    expect(await stop(child)).toBe(0);
    held.destroy();
  }, 10_000);

  it('loads demo pieces once and leaves what was changed since', async () => {
    const env = {
      BRICOLAGE_DB: path.join(folder, 'demo.sqlite'),
      BRICOLAGE_DEMO: path.resolve('demo/dossiers'),
      PORT: '0',
    };
    const first = await start(env);
    const pieces = (await (await fetch(`${first.url}/api/pieces`)).json()).pieces;
    expect(pieces.length).toBeGreaterThanOrEqual(4);
    await fetch(`${first.url}/api/pieces/demo-issue-desk/goal`, {
      method: 'PUT',
      body: JSON.stringify({ colour: '#000000' }),
    });
    await stop(first.child);
    const second = await start(env);
    const again = (await (await fetch(`${second.url}/api/pieces`)).json()).pieces;
    expect(again).toHaveLength(pieces.length);
    expect(again.find((piece: { piece: { id: string } }) => piece.piece.id === 'demo-issue-desk').goal).toEqual({
      colour: '#000000',
    });
  }, 15_000);

  it('looks round the invented workshop by a cookie of its own port alone; where that cannot be opened, home goes on', async () => {
    const { url } = await start({ BRICOLAGE_DB: path.join(folder, 'visit.sqlite'), PORT: '0' });
    const pieces = async (cookie: string): Promise<number> =>
      (await (await fetch(`${url}/api/pieces`, { headers: { cookie } })).json()).pieces.length;
    const went = await fetch(`${url}/api/visit`, { method: 'PUT' });
    const cookie = went.headers.get('set-cookie')!.split(';')[0]!;
    expect(cookie).toBe(`bricolage-visit-${new URL(url).port}=demo`);
    expect(await pieces(cookie)).toBeGreaterThan(10);
    expect(await pieces('bricolage-visit-4173=demo; bricolage-visit=demo')).toBe(0);

    // A project whose demo cannot be read, whatever the reason.
    const root = mkdtempSync(path.join(folder, 'root-'));
    mkdirSync(path.join(root, 'demo/dossiers'), { recursive: true });
    symlinkSync(path.resolve('src'), path.join(root, 'src'));
    writeFileSync(path.join(root, 'demo/dossiers/odd.json'), '{ "format": "bricolage.dossier/1", "piece": {');
    const spoilt = await start({ BRICOLAGE_DB: path.join(folder, 'home.sqlite'), PORT: '0', BRICOLAGE_ROOT: root });
    const refused = await fetch(`${spoilt.url}/api/visit`, { method: 'PUT' });
    expect([refused.status, refused.headers.get('set-cookie')]).toEqual([503, null]);
    expect((await refused.json()).error.message).toMatch(/cannot be opened just now.*Your own shop is as it was/);
    const own = {
      headers: { cookie: `bricolage-visit-${new URL(spoilt.url).port}=demo` },
      redirect: 'manual',
    } as const;
    const page = await fetch(`${spoilt.url}/`, own);
    expect([page.status, page.headers.get('set-cookie')]).toEqual([302, expect.stringContaining('Max-Age=0')]);
    expect((await fetch(`${spoilt.url}/api/pieces`, own)).status).toBe(503);
    expect((await (await fetch(`${spoilt.url}/api/health`)).json()).ok).toBe(true);
  }, 20_000);

  it('names a demo file that is not a dossier instead of starting half', async () => {
    const bad = mkdtempSync(path.join(folder, 'bad-'));
    writeFileSync(path.join(bad, 'odd.json'), '{ "format": "bricolage.dossier/1", "piece": { "kind": "boat" } }');
    await expect(
      start({ BRICOLAGE_DB: path.join(folder, 'bad.sqlite'), BRICOLAGE_DEMO: bad, PORT: '0' }),
    ).rejects.toThrow(/odd\.json: piece\.kind/);
  });
});

describe('the command line as a process', () => {
  const call = (args: string[], input?: string) =>
    spawnSync(process.execPath, ['scripts/bricolage.mjs', ...args], {
      encoding: 'utf8',
      ...(input === undefined ? {} : { input }),
    });

  it('prints JSON and exits with 0, 1 or 2', () => {
    const good = call(['diagnose', 'demo/dossiers/issue-desk.json']);
    expect([good.status, JSON.parse(good.stdout).format]).toEqual([0, 'bricolage.diagnosis/1']);
    const bad = call(
      ['plan', '-'],
      '{ "format": "bricolage.dossier/1", "piece": { "kind": "desk" }, "zones": [{ "id": "a", "role": "roof" }] }',
    );
    expect([bad.status, bad.stdout]).toEqual([1, '']);
    expect(bad.stderr).toContain('zones[0].role');
    expect(call(['guess']).status).toBe(2);
  });

  it('clears away what it has begun when it is ended, and what was left by one that could not', async () => {
    const { child } = await start({
      BRICOLAGE_DB: path.join(folder, 'going.sqlite'),
      BRICOLAGE_DEMO: path.resolve('demo/dossiers'),
      PORT: '0',
    });
    await stop(child);
    const home = mkdtempSync(path.join(folder, 'out-'));
    const out = path.join(home, 'shop.zip');
    const args = ['scripts/bricolage.mjs', 'export', path.join(folder, 'going.sqlite'), out];
    const exporting = (signal: NodeJS.Signals) =>
      new Promise<number | null>((resolve) => {
        const command = spawn(process.execPath, args, { stdio: 'ignore' });
        command.once('exit', (code) => resolve(code));
        const look = setInterval(() => {
          if (!readdirSync(home).some((name) => name.endsWith('.draft'))) return;
          clearInterval(look);
          command.kill(signal);
        }, 2);
      });
    expect(await exporting('SIGINT')).toBe(130);
    expect(readdirSync(home)).toEqual([]);
    expect(await exporting('SIGKILL')).toBeNull();
    expect(readdirSync(home)).toHaveLength(1);
    const { status, stdout } = call(args.slice(1));
    expect([status, stdout]).toEqual([0, expect.stringMatching(/is made: \d+ pieces/)]);
    expect(readdirSync(home)).toEqual(['shop.zip']);
  }, 40_000);

  it('answers the same from what was compiled before, and makes that anew where it is spoilt', () => {
    const ask = () => call(['diagnose', 'demo/dossiers/issue-desk.json']).stdout;
    const first = ask();
    expect(JSON.parse(first).format).toBe('bricolage.diagnosis/1');
    const kept = readdirSync('.cache').filter((name) => /^main\.cjs\.\d+$/.test(name));
    expect(kept).toHaveLength(1);
    expect(ask()).toBe(first);
    const compiled = path.join('.cache', kept[0]!);
    writeFileSync(compiled, 'spoilt');
    expect(ask()).toBe(first);
    expect(statSync(compiled).size).toBeGreaterThan(100_000);
  }, 15_000);
});
