import Ajv from 'ajv/dist/2020';
import { readdirSync, readFileSync } from 'node:fs';
import { makeDossierJsonSchema } from './json-schema';
import { parseDossier } from './read';

const validate = new Ajv({ strict: false, validateFormats: false }).compile(makeDossierJsonSchema());
const demo = readdirSync('demo/dossiers').map((name) => [name, readFileSync(`demo/dossiers/${name}`, 'utf8')] as const);

describe('the JSON Schema of the dossier', () => {
  it('is the one that is shipped', () => {
    expect(JSON.parse(readFileSync('docs/formats/dossier-1.schema.json', 'utf8'))).toEqual(makeDossierJsonSchema());
  });

  it.each(demo)('and the reader both take %s', (_name, text) => {
    expect(parseDossier(text)).toMatchObject({ ok: true });
    expect(validate(JSON.parse(text))).toBe(true);
  });

  it('refuses what the reader refuses by type, code and range', () => {
    const base = { format: 'bricolage.dossier/1', piece: { kind: 'desk' }, zones: [{ id: 'z', role: 'top' }] };
    expect(validate(base)).toBe(true);
    for (const wrong of [
      { ...base, format: 'other' },
      { ...base, piece: { kind: 'boat' } },
      { ...base, zones: [{ id: 'z', role: 'top', area_m2: -1 }] },
      { ...base, zones: [{ id: 'z' }] },
    ]) {
      expect(validate(wrong)).toBe(false);
      expect(parseDossier(JSON.stringify(wrong)).ok).toBe(false);
    }
  });
});
