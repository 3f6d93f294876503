import { randomUUID } from 'node:crypto';
import { EntityManager } from '@mikro-orm/core';
import {
  ConflictException,
  Injectable,
  NotFoundException,
  UnprocessableEntityException,
} from '@nestjs/common';
import { createBuild, readDocument } from '@larchwood/core';
import type { BuildDocument, Fault } from '@larchwood/format';
import type {
  BuildSummary,
  CreateBuildRequest,
  RevisionSummary,
  StoredBuild,
  StoredRevision,
} from '@larchwood/contract';
import { BuildEntity, RevisionEntity } from '../database/entities.js';

/** Stores build documents. Every change is a new revision; nothing that was saved is ever overwritten. */
@Injectable()
export class BuildsService {
  constructor(private readonly entities: EntityManager) {}

  async list(): Promise<BuildSummary[]> {
    const builds = await this.entities.find(
      BuildEntity,
      { deletedAt: null },
      { orderBy: { savedAt: 'desc', name: 'asc' }, fields: ['id', 'name', 'kind', 'revision', 'savedAt'] },
    );
    return builds.map((build) => summary(build as BuildEntity));
  }

  async get(id: string): Promise<StoredBuild> {
    return stored(await this.find(id));
  }

  /** A build for its file: up to date where it reads, else just as it is stored. */
  async file(id: string): Promise<{ readonly name: string; readonly document: object }> {
    const { name, document } = await this.find(id);
    const read = readDocument(document);
    return { name, document: read.ok ? read.document : document };
  }

  async create(request: CreateBuildRequest): Promise<StoredBuild> {
    const made = createBuild({
      name: request.name.trim(),
      kind: request.kind,
      startingSet: request.startingSet,
      units: { length: request.length ?? 'mm', denominator: 32 },
    });
    if (!made.ok) throw unprocessable(made.message, [{ path: '/startingSet', message: made.message }]);
    return this.add(made.value, 'new build');
  }

  async import(value: unknown): Promise<StoredBuild> {
    return this.add(checked(value), 'imported');
  }

  async duplicate(id: string): Promise<StoredBuild> {
    const { document } = await this.get(id);
    return this.add({ ...document, name: copyName(document.name) }, 'copy');
  }

  /**
   * Saves a document over the revision last seen. The same save sent again, because its answer was lost, is answered the same.
   * @throws ConflictException with the build as it stands, when somebody saved in between.
   */
  async save(
    id: string,
    lastSeen: number,
    value: unknown,
    { reason = 'edited', saveId }: { readonly reason?: string; readonly saveId?: string | undefined } = {},
  ): Promise<StoredBuild> {
    const document = checked(value);
    return this.entities.transactional(async (entities) => {
      const build = await entities.findOne(BuildEntity, { id, deletedAt: null });
      if (!build) throw missing(id);
      if (saveId !== undefined && build.saveId === saveId) return stored(build);
      if (build.revision !== lastSeen) {
        throw new ConflictException({
          message: `“${build.name}” was saved elsewhere in the meantime (revision ${build.revision}; yours began at ${lastSeen}). Nothing was overwritten.`,
          current: stored(build),
        });
      }
      return stored(newRevision(entities, build, document, reason, saveId));
    });
  }

  async rename(id: string, name: string): Promise<StoredBuild> {
    const build = await this.get(id);
    return this.save(
      id,
      build.revision,
      { ...build.document, name: name.trim() },
      { reason: `renamed from ${build.name}` },
    );
  }

  async remove(id: string): Promise<void> {
    const build = await this.find(id);
    build.deletedAt = new Date();
    await this.entities.flush();
  }

  async bringBack(id: string): Promise<StoredBuild> {
    const build = await this.entities.findOne(BuildEntity, { id });
    if (!build) throw missing(id);
    build.deletedAt = null;
    await this.entities.flush();
    return stored(build);
  }

  async revisions(id: string): Promise<RevisionSummary[]> {
    await this.find(id);
    const found = await this.entities.find(
      RevisionEntity,
      { build: id },
      { orderBy: { number: 'desc' }, fields: ['number', 'savedAt', 'reason'] },
    );
    return found.map(({ number, savedAt, reason }) => ({
      revision: number,
      savedAt: savedAt.toISOString(),
      reason,
    }));
  }

  async revision(id: string, number: number): Promise<StoredRevision> {
    const found = await this.entities.findOne(RevisionEntity, { build: { id, deletedAt: null }, number });
    if (!found) throw new NotFoundException(`There is no revision ${number} of this build.`);
    return {
      revision: found.number,
      savedAt: found.savedAt.toISOString(),
      reason: found.reason,
      document: upToDate(found.document),
    };
  }

  /** Brings an older revision back as a new one. */
  async restore(id: string, number: number): Promise<StoredBuild> {
    const older = await this.revision(id, number);
    const build = await this.find(id);
    return this.save(id, build.revision, older.document, { reason: `brought back revision ${number}` });
  }

  private async find(id: string): Promise<BuildEntity> {
    const build = await this.entities.findOne(BuildEntity, { id, deletedAt: null });
    if (!build) throw missing(id);
    return build;
  }

  private async add(document: BuildDocument, reason: string): Promise<StoredBuild> {
    const build = this.entities.create(BuildEntity, {
      id: randomUUID(),
      name: document.name,
      kind: document.kind,
      document,
      revision: 0,
      savedAt: new Date(),
    });
    newRevision(this.entities, build, document, reason);
    await this.entities.persistAndFlush(build);
    return stored(build);
  }
}

function newRevision(
  entities: EntityManager,
  build: BuildEntity,
  document: BuildDocument,
  reason: string,
  saveId?: string,
): BuildEntity {
  const savedAt = new Date();
  entities.assign(build, {
    document,
    name: document.name,
    kind: document.kind,
    revision: build.revision + 1,
    savedAt,
    saveId: saveId ?? null,
  });
  entities.persist(
    entities.create(RevisionEntity, { build, number: build.revision, document, savedAt, reason }),
  );
  return build;
}

function checked(value: unknown): BuildDocument {
  const read = readDocument(value);
  if (!read.ok)
    throw unprocessable('This is not a build that can be stored: nothing was changed.', read.faults);
  return read.document;
}

const copyName = (name: string): string => `${name.slice(0, 110)} (copy)`;
const missing = (id: string) => new NotFoundException(`There is no build ${id}.`);
const unprocessable = (message: string, faults: readonly Fault[]) =>
  new UnprocessableEntityException({ message, faults });
const summary = (build: BuildEntity): BuildSummary => ({
  id: build.id,
  name: build.name,
  kind: build.kind,
  revision: build.revision,
  savedAt: build.savedAt.toISOString(),
});
const stored = (build: BuildEntity): StoredBuild => ({
  ...summary(build),
  ...(build.saveId == null ? {} : { saveId: build.saveId }),
  document: upToDate(build.document),
});
/**
 * What an earlier version stored, as this one writes it; the stored one stays as it was until the next save.
 * @throws UnprocessableEntityException with every fault, where what is stored no longer reads
 */
function upToDate(document: BuildDocument): BuildDocument {
  const read = readDocument(document);
  if (!read.ok)
    throw unprocessable(
      'What is stored of this build does not read as one. It is left as it is, and can be taken away as a file.',
      read.faults,
    );
  return read.document;
}
