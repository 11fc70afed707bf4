import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { putInPlace, shopFolder } from './shop-folder';

describe('a copy put in the place of a file', () => {
  it('is read as it is: what a journal beside the old file still held is not read into it', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-place-'));
    const [file, copy] = [path.join(folder, 'shop.sqlite'), path.join(folder, 'copy.sqlite')];
    const make = (name: string, value: number): void => {
      const db = new Database(name);
      db.exec(`CREATE TABLE one (value INTEGER); INSERT INTO one VALUES (${value})`);
      db.close();
    };
    make(copy, 1);
    make(file, 2);
    // The server died: what it wrote last lies in the journal alone.
    const db = new Database(file);
    db.pragma('journal_mode = WAL');
    db.exec('UPDATE one SET value = 3');
    const journal = readFileSync(`${file}-wal`);
    db.close();
    writeFileSync(`${file}-wal`, journal);

    const read = (): unknown => {
      const back = new Database(file);
      const value = back.prepare('SELECT value FROM one').pluck().get();
      back.close();
      return value;
    };
    copyFileSync(copy, `${copy}.again`);
    const first = putInPlace(copy, file);
    expect(existsSync(`${file}-wal`)).toBe(false);
    expect(read()).toBe(1);
    // What was there before comes back where the copy turns out to be of no use.
    first.undo();
    expect(read()).toBe(3);
    putInPlace(`${copy}.again`, file).settle();
    expect(read()).toBe(1);
    expect(readdirSync(folder)).toEqual(['shop.sqlite']);
  });

  it('leaves the old one where there is no copy to put', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-place-'));
    const file = path.join(folder, 'shop.sqlite');
    writeFileSync(file, 'as it was');
    expect(() => putInPlace(path.join(folder, 'gone'), file)).toThrow(/ENOENT/);
    expect(readFileSync(file, 'utf8')).toBe('as it was');
  });

  it('has its own folder beside it', () => {
    expect(shopFolder(path.join('data', 'shop.sqlite'))).toBe(path.resolve('data', 'shop.sqlite-files'));
  });
});
