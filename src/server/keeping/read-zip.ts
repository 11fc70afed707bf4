import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { close, createReadStream, fstatSync, openSync, read } from 'node:fs';
import { fromRandomAccessReader, RandomAccessReader, type Entry, type ZipFile } from 'yauzl';

/** Bytes of all that a zip may unpack to, and files in it: beyond these it is no shop. */
const MOST_BYTES = 16 * 2 ** 30;
const MOST_FILES = 250_000;
/** Records pack to a twentieth. What packs to less than this share of itself, and is more than a trifle, is no record of work. */
const LEAST_SHARE = 1 / 150;
const TRIFLE_BYTES = 32 * 2 ** 20;

export class ZipFault extends Error {}

/** A zip whose entries are read where they lie, a few at a time. */
export interface OpenZip {
  entries: ReadonlyMap<string, Entry>;
  /** The bytes of an entry with their hash; refused where it would unpack to more than `most`. */
  read: (path: string, most: number) => Promise<{ bytes: Buffer; sha256: string }>;
  /** The hash of an entry alone, which takes no memory. */
  hash: (path: string, most: number) => Promise<string>;
  close: () => void;
}

/** Read at once from the list at the end of a zip, whose entries are asked for two short reads at a time. */
const BLOCK_BYTES = 2 ** 20;

/** A file read in blocks: a list of seventy thousand names takes a fifth of the time. */
class BlockReader extends RandomAccessReader {
  private readonly block = Buffer.alloc(BLOCK_BYTES);
  private from = 0;
  private length = 0;
  constructor(private readonly file: number) {
    super();
  }
  size(): number {
    return fstatSync(this.file).size;
  }
  override _readStreamForRange(start: number, end: number): Readable {
    // A stream that is ended would close the file under all others.
    const fs = { read, close: (_file: number, done?: (error: null) => void) => done?.(null) };
    return createReadStream('', { fd: this.file, fs, start, end: end - 1 });
  }
  override read(buffer: Buffer, at: number, length: number, place: number, done: (error: Error | null) => void): void {
    const serve = (): void => {
      this.block.copy(buffer, at, place - this.from, place - this.from + length);
      // Never at once: what asks goes on asking, and would pile up.
      queueMicrotask(() => done(null));
    };
    if (place >= this.from && place + length <= this.from + this.length) return serve();
    if (length > BLOCK_BYTES)
      return read(this.file, buffer, at, length, place, (error, got) => done(error ?? tooShort(got, length)));
    read(this.file, this.block, 0, BLOCK_BYTES, place, (error, got) => {
      [this.from, this.length] = [place, got];
      if (error || got < length) return done(error ?? tooShort(got, length));
      serve();
    });
  }
  override close(done: (error: Error | null) => void): void {
    close(this.file, (error) => done(error));
  }
}

const tooShort = (got: number, wanted: number): Error | null => (got < wanted ? new Error('ends too soon') : null);

export async function openZip(file: string): Promise<OpenZip> {
  const reader = new BlockReader(openSync(file, 'r'));
  const zip = await new Promise<ZipFile>((resolve, reject) =>
    fromRandomAccessReader(reader, reader.size(), { lazyEntries: true, autoClose: false }, (error, opened) =>
      error ? reader.close(() => reject(new ZipFault(error.message))) : resolve(opened),
    ),
  );
  try {
    const entries = await listEntries(zip);
    return {
      entries,
      read: async (path, most) => {
        const chunks: Buffer[] = [];
        const sha256 = await readEntry(zip, entries.get(path), most, (chunk) => chunks.push(chunk));
        return { bytes: Buffer.concat(chunks), sha256 };
      },
      hash: (path, most) => readEntry(zip, entries.get(path), most),
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

function listEntries(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let bytes = 0;
  let largest = { name: '', size: 0 };
  return new Promise((resolve, reject) => {
    zip.on('error', (error: Error) => reject(new ZipFault(error.message)));
    zip.on('end', () =>
      bytes > TRIFLE_BYTES && zip.fileSize < bytes * LEAST_SHARE
        ? reject(new ZipFault(`${largest.name} is too large`))
        : resolve(entries),
    );
    zip.on('entry', (entry: Entry) => {
      bytes += entry.uncompressedSize;
      if (entry.uncompressedSize > largest.size) largest = { name: entry.fileName, size: entry.uncompressedSize };
      if (entries.size >= MOST_FILES || bytes > MOST_BYTES) return reject(new ZipFault('too large'));
      if (entries.has(entry.fileName)) return reject(new ZipFault(`${entry.fileName} twice`));
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

async function readEntry(
  zip: ZipFile,
  entry: Entry | undefined,
  most: number,
  keep: (chunk: Buffer) => unknown = () => undefined,
): Promise<string> {
  if (!entry) throw new ZipFault('missing');
  // What is told of its size is held to while it unpacks: a bomb that understates itself is cut off there.
  if (entry.uncompressedSize > most) throw new ZipFault(`${entry.fileName} is too large`);
  const stream = await new Promise<Readable>((resolve, reject) =>
    zip.openReadStream(entry, (error, opened) => (error ? reject(new ZipFault(error.message)) : resolve(opened))),
  );
  const hash = createHash('sha256');
  try {
    for await (const chunk of stream) {
      keep(chunk as Buffer);
      hash.update(chunk as Buffer);
    }
  } catch (error) {
    throw new ZipFault(error instanceof Error ? error.message : '');
  }
  return hash.digest('hex');
}
