/*
 * Licence notices of what is shipped: every package the application and the server are made with, found from the lock
 * file, with the text it came with. Written into the export, where the application shows them.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root, say } from './lib.mjs';

const { packages } = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));
const LICENCE_FILE = /^(licen[sc]e|copying|notice|ofl)([.-].*)?$/i;

const readLicence = (folder) =>
  readdirSync(folder)
    .filter((name) => LICENCE_FILE.test(name))
    .map((name) => readFileSync(path.join(folder, name), 'utf8').trim())
    .join('\n\n');

const notices = Object.entries(packages)
  // What only builds or tests is not shipped; what is for another machine is not installed.
  .filter(([place, { dev, devOptional }]) => place !== '' && !dev && !devOptional && existsSync(path.join(root, place)))
  .map(([place, { version, license }]) => ({
    name: place.replace(/^.*node_modules\//, ''),
    version,
    licence: license ?? 'see its text',
    text: readLicence(path.join(root, place)),
  }));

const once = [...new Map(notices.map((one) => [`${one.name}@${one.version}`, one])).values()].sort((a, b) =>
  a.name.localeCompare(b.name),
);
writeFileSync(path.join(root, 'dist/notices.json'), JSON.stringify(once));
say(`Notices of ${once.length} packages`);
