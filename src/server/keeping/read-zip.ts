import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { open, type Entry, type ZipFile } from 'yauzl';

/** Bytes of all that a zip may unpack to, and files in it: beyond these it is no shop. */
const MOST_BYTES = 16 * 2 ** 30;
const MOST_FILES = 1_000_000;

export class ZipFault extends Error {}

/** A zip whose entries are read where they lie, a few at a time. */
export interface OpenZip {
  entries: ReadonlyMap<string, Entry>;
  /** The bytes of an entry with their hash; refused where it would unpack to more than `most`. */
  read: (path: string, most: number) => Promise<{ bytes: Buffer; sha256: string }>;
  close: () => void;
}

export async function openZip(file: string): Promise<OpenZip> {
  const zip = await new Promise<ZipFile>((resolve, reject) =>
    open(file, { lazyEntries: true, autoClose: false }, (error, opened) =>
      error ? reject(new ZipFault(error.message)) : resolve(opened),
    ),
  );
  try {
    const entries = await listEntries(zip);
    return {
      entries,
      read: (path, most) => readEntry(zip, entries.get(path), most),
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
  return new Promise((resolve, reject) => {
    zip.on('error', (error: Error) => reject(new ZipFault(error.message)));
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: Entry) => {
      bytes += entry.uncompressedSize;
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
): Promise<{ bytes: Buffer; sha256: string }> {
  if (!entry) throw new ZipFault('missing');
  // What is told of its size is held to while it unpacks: a bomb that understates itself is cut off there.
  if (entry.uncompressedSize > most) throw new ZipFault(`${entry.fileName} is too large`);
  const stream = await new Promise<Readable>((resolve, reject) =>
    zip.openReadStream(entry, (error, opened) => (error ? reject(new ZipFault(error.message)) : resolve(opened))),
  );
  const chunks: Buffer[] = [];
  const hash = createHash('sha256');
  try {
    for await (const chunk of stream) {
      chunks.push(chunk as Buffer);
      hash.update(chunk as Buffer);
    }
  } catch (error) {
    throw new ZipFault(error instanceof Error ? error.message : '');
  }
  return { bytes: Buffer.concat(chunks), sha256: hash.digest('hex') };
}
