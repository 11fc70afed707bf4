/* `npm start`: your own records. `npm run demo`: the invented workshop, in a file of its own. `-- --open`: phones come in. */
import { spawn } from 'node:child_process';
import { build, install, root, say } from './lib.mjs';

const demo = process.argv.includes('--demo');
await install();
build();
const env = demo
  ? { BRICOLAGE_DB: `${root}data/demo.sqlite`, BRICOLAGE_DEMO: `${root}demo/dossiers` }
  : { BRICOLAGE_DB: process.env.BRICOLAGE_DB ?? `${root}data/bricolage.sqlite` };
if (process.argv.includes('--open')) env.BRICOLAGE_OPEN = '1';
say(
  demo
    ? 'Starting with the demo workshop (data/demo.sqlite; your own records are not touched) …'
    : 'Starting with your records (data/bricolage.sqlite) …',
);
const server = spawn(process.execPath, ['dist-server/main.cjs'], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, ...env, NODE_ENV: 'production' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
