import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { setImmediate as otherRequests } from 'node:timers/promises';
import { buffer } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { BadRequestException, PayloadTooLargeException } from '@nestjs/common';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { ZipFile as ZipOut } from 'yazl';

/** Same bytes from the same files, on any machine. */
const NO_DATE = { mtime: new Date(1980, 0, 2), forceDosTimestamp: true } as const;

/** A file of a zip that is made when its turn comes. */
export interface FileToZip {
  readonly name: string;
  /** Packed already, as a picture is: it is put in as it is. */
  readonly packed?: boolean;
  readonly bytes: () => Promise<Uint8Array>;
}

/** A zip as a stream: one file is in memory at a time, and packing leaves the process free between them. */
export function zipStream(files: readonly FileToZip[]): Readable {
  const zip = new ZipOut();
  const out = zip.outputStream as Readable;
  zip.on('error', (error: Error) => out.destroy(error));
  for (const { name, packed = false, bytes } of files)
    zip.addReadStreamLazy(name, { ...NO_DATE, compress: !packed }, (done) => {
      otherRequests()
        .then(bytes)
        .then(
          (content) => done(null, Readable.from([content])),
          (error: unknown) => out.destroy(error instanceof Error ? error : new Error(String(error))),
        );
    });
  zip.end();
  return out;
}

/** The files of a zip that lies on the disk. */
export interface OpenedZip {
  readonly names: readonly string[];
  /** @throws BadRequestException when it is larger than that, or does not unpack */
  readonly bytes: (name: string, most: number) => Promise<Buffer>;
}

/**
 * Writes a body to the disk as it comes, and opens it as a zip; it is gone when `use` is done with it.
 * @param at how the folder begins in which it lies meanwhile
 * @param most bytes, packed
 * @throws PayloadTooLargeException when it is larger
 * @throws BadRequestException when it is no zip
 */
export async function withZip<T>(
  body: Readable,
  at: string,
  most: number,
  use: (zip: OpenedZip) => Promise<T>,
): Promise<T> {
  const place = await mkdtemp(at);
  try {
    const file = join(place, 'workshop.zip');
    await pipeline(body, noLargerThan(most), createWriteStream(file));
    const zip = await openPromise(file, { lazyEntries: true, autoClose: false }).catch(() => {
      throw new BadRequestException(NONE);
    });
    try {
      return await use(await opened(zip));
    } finally {
      zip.close();
    }
  } finally {
    await rm(place, { recursive: true, force: true });
  }
}

const NONE = 'This file is no zip that can be read. Nothing was taken in.';

function noLargerThan(most: number) {
  return async function* (chunks: AsyncIterable<Buffer>) {
    let size = 0;
    for await (const chunk of chunks) {
      size += chunk.length;
      if (size > most)
        throw new PayloadTooLargeException(
          `That is more than ${Math.round(most / 2 ** 30)} GB, the most that is taken here. Nothing was changed.`,
        );
      yield chunk;
    }
  };
}

async function opened(zip: ZipFile): Promise<OpenedZip> {
  const entries = new Map<string, Entry>();
  try {
    for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
  } catch {
    throw new BadRequestException(NONE);
  }
  return {
    names: [...entries.keys()],
    bytes: async (name, most) => {
      const entry = entries.get(name)!;
      if (entry.uncompressedSize > most)
        throw new BadRequestException(
          `This zip holds more than a workshop does: ${name} is larger than any such file. Nothing was taken in.`,
        );
      // What unpacks to more than it says is refused by the reader.
      return zip
        .openReadStreamPromise(entry)
        .then(buffer)
        .catch(() => {
          throw new BadRequestException(NONE);
        });
    },
  };
}
