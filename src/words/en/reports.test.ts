/** @jest-environment node */
import { readdirSync, readFileSync } from 'node:fs';
import { reportDiagnosis } from '@/cli/reports/diagnosis';
import { reportPlan } from '@/cli/reports/plan';
import { reportProof } from '@/cli/reports/proof';
import { parseDossier, type Dossier } from '@/core/dossier';

const NOW = '2026-11-28T09:12:00Z';
const FOLDER = 'demo/dossiers';
const pieces = readdirSync(FOLDER).map((file): [string, Dossier] => {
  const read = parseDossier(readFileSync(`${FOLDER}/${file}`, 'utf8'), NOW);
  if (!read.ok) throw new Error(file);
  return [file, read.value];
});

/** Every sentence of a report: what stands under `why`, `text` and in lists of what is assumed. */
function listSentences(value: unknown, key = ''): string[] {
  if (typeof value === 'string') return key === 'why' || key === 'text' || key === 'assumes' ? [value] : [];
  if (Array.isArray(value)) return value.flatMap((entry) => listSentences(entry, key));
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([name, entry]) => listSentences(entry, name));
}

describe('what is said of the demo workshop', () => {
  it.each(pieces)('%s: whole sentences, nothing left open in them', (_file, dossier) => {
    const reports = [reportDiagnosis(dossier), reportPlan(dossier, NOW), reportProof(dossier, NOW)];
    const said = reports.flatMap((report) => listSentences(report));
    expect(said.length).toBeGreaterThan(5);
    for (const sentence of said) {
      expect(sentence).toMatch(/^[A-Z“0-9].*[.?!”]$/s);
      expect(sentence).not.toMatch(/undefined|NaN|null|\[object|  /);
    }
  });
});
