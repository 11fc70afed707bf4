/** @jest-environment node */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { runCommand } from '@/cli/run';
import { CODES, findLeaks } from './find-leaks';
import { anyWishes, SEED } from './random-dossiers';
import { share } from './share';

function tell(command: string, dossier: string): string {
  const out: string[] = [];
  const code = runCommand([command, '-', '--text'], {
    readFile: () => dossier,
    out: (text) => out.push(text),
    err: (text) => out.push(text),
    now: () => '2026-11-28T09:12:00.000Z',
  });
  expect(code).toBe(0);
  return out.join('\n');
}

const COMMANDS = ['diagnose', 'plan', 'audit', 'price', 'proof'];
const folder = path.resolve('demo/dossiers');

describe('what is said at a terminal', () => {
  it.each(readdirSync(folder))('of %s has nothing of the inside in it', (name) => {
    const dossier = readFileSync(path.join(folder, name), 'utf8');
    const priced = 'money' in (JSON.parse(dossier) as object);
    for (const command of COMMANDS)
      if (command !== 'price' || priced)
        expect({ command, leaks: findLeaks(tell(command, dossier)) }).toEqual({ command, leaks: [] });
  });

  it('of made-up pieces neither', () => {
    fc.assert(
      fc.property(anyWishes, (piece) => {
        for (const command of ['diagnose', 'plan']) expect(findLeaks(tell(command, JSON.stringify(piece)))).toEqual([]);
      }),
      { seed: SEED, numRuns: share(64), endOnFailure: true },
    );
  });

  it('finds what it looks for', () => {
    expect(findLeaks(`primed with ${[...CODES][0]!} by 2026-01-02, 19.992 of it; days, days`)).toHaveLength(4);
  });
});
