import {
  existsSync,
  linkSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { copyWhole, draftOf, placeFile, removeDrafts, writeWhole } from './disk';

describe('files on the disk', () => {
  let folder = '';
  const at = (name: string): string => path.join(folder, name);
  const read = (name: string): string => readFileSync(at(name), 'utf8');
  beforeEach(() => (folder = mkdtempSync(path.join(tmpdir(), 'bricolage-disk-'))));
  afterEach(() => rmSync(folder, { recursive: true }));

  it('are never written through another name of theirs', () => {
    writeFileSync(at('kept'), 'as it was');
    linkSync(at('kept'), at('copy'));
    writeFileSync(at('sent'), 'something else');
    expect(placeFile(at('sent'), at('kept'))).toBe(false);
    expect([read('kept'), read('copy')]).toEqual(['as it was', 'as it was']);
    writeWhole(at('kept'), 'new');
    copyWhole(at('sent'), at('copy'));
    expect([read('kept'), read('copy')]).toEqual(['new', 'something else']);
    expect(placeFile(at('sent'), at('second'))).toBe(true);
    expect(readdirSync(folder).sort()).toEqual(['copy', 'kept', 'second', 'sent']);
  });

  it('keep what they held where writing fails, and leave no draft', () => {
    mkdirSync(at('taken'));
    expect(() => writeWhole(at('taken'), 'x')).toThrow();
    expect(() => copyWhole(at('missing'), at('other'))).toThrow(/ENOENT/);
    expect(readdirSync(folder)).toEqual(['taken']);
  });

  it('that were only drafts go at the next start', () => {
    writeFileSync(draftOf(at('shop.sqlite')), 'half');
    writeFileSync(at(`${'ab'.repeat(32)}.jpg.0e6f7d3c-1f52-4f0e-9d4e-0a4b4c8f9d11`), 'half, of an earlier version');
    writeFileSync(at('shop.sqlite'), 'whole');
    removeDrafts(folder, 0);
    expect(readdirSync(folder)).toHaveLength(3);
    removeDrafts(folder);
    expect(readdirSync(folder)).toEqual(['shop.sqlite']);
    removeDrafts(at('nowhere'));
    expect(existsSync(at('nowhere'))).toBe(false);
  });
});
