import { createHash } from 'node:crypto';
import { EntityManager } from '@mikro-orm/core';
import { Injectable, UnprocessableEntityException } from '@nestjs/common';
import { readDocument } from '@larchwood/core';
import type { BuildDocument, Fault } from '@larchwood/format';
import { PartEntity } from '../database/entities.js';

/** Stands in a stored document where `frame.origin` was put away. */
interface Reference {
  readonly part: string;
}

/**
 * How documents lie in the database: as in a file, but for the frame's origin, half of it and the same in every revision,
 * which is kept once by what it holds.
 */
@Injectable()
export class Documents {
  constructor(private readonly entities: EntityManager) {}

  /** The JSON of a document as it is to be stored. */
  async put(document: BuildDocument, entities = this.entities): Promise<string> {
    const { origin } = document.frame as { readonly origin?: unknown };
    if (origin === undefined) return JSON.stringify(document);
    const json = JSON.stringify(origin);
    const hash = createHash('sha256').update(json).digest('hex');
    await entities.upsert(PartEntity, { hash, json });
    return JSON.stringify({
      ...document,
      frame: { ...document.frame, origin: { part: hash } satisfies Reference },
    });
  }

  /** A stored document whole again, just as it was stored otherwise: it may be damaged, or of an earlier version. */
  async whole(json: string): Promise<unknown> {
    const stored = parsed(json);
    const frame = (stored as { frame?: { origin?: Partial<Reference> } } | null)?.frame;
    const hash = frame?.origin?.part;
    if (typeof hash !== 'string') return stored;
    const part = await this.entities.findOne(PartEntity, { hash });
    const origin = parsed(part?.json);
    return { ...(stored as object), frame: { ...frame, origin } };
  }

  /**
   * What was stored, as this version writes it; what is stored stays as it was until the next save.
   * @throws UnprocessableEntityException with every fault, where it no longer reads
   */
  async read(stored: string): Promise<BuildDocument> {
    const read = readDocument(await this.whole(stored));
    if (!read.ok)
      throw unprocessable(
        'What is stored of this build does not read as one. It is left as it is, and can be taken away as a file.',
        read.faults,
      );
    return read.document;
  }
}

export const unprocessable = (message: string, faults: readonly Fault[]) =>
  new UnprocessableEntityException({ message, faults });

/** Null where it is no JSON: a damaged page may lie in the middle of it. */
function parsed(json: string | undefined): unknown {
  try {
    return JSON.parse(json ?? 'null') as unknown;
  } catch {
    return null;
  }
}
