import { randomUUID } from 'node:crypto';
import { EntityManager } from '@mikro-orm/core';
import { ConflictException, ForbiddenException, Injectable, NotFoundException } from '@nestjs/common';
import { createBuild, readDocument } from '@larchwood/core';
import { changesBetween, ticksOnly, type BuildDocument } from '@larchwood/format';
import {
  PAGE,
  type BuildSummary,
  type CreateBuildRequest,
  type MarkRevisionRequest,
  type RevisionSummary,
  type Role,
  type SaveBuildRequest,
  type StoredBuild,
  type StoredRevision,
} from '@larchwood/contract';
import { BuildEntity, RevisionEntity } from '../database/entities.js';
import { Changes } from '../changes/changes.js';
import { Documents, unprocessable } from './documents.js';

/** How a revision came about. */
interface Origin {
  readonly reason: string;
  readonly saveId?: string | undefined;
  readonly sitting?: string | undefined;
  readonly by?: string | undefined;
}
const EDITED = 'edited';
/**
 * Saves of one window fold into one revision while they follow each other so closely, for so long; ms. A look at the bench
 * is within a sitting, an evening is several. Common practice, no source.
 */
export const SITTING = { pause: 10 * 60_000, longest: 60 * 60_000 } as const;

/**
 * Stores build documents. Every change is a new revision, but for those that a window saves by itself in one sitting:
 * they are one, as the last of them was, until it is named or something is made of it.
 */
@Injectable()
export class BuildsService {
  constructor(
    private readonly entities: EntityManager,
    private readonly documents: Documents,
    private readonly changes: Changes,
  ) {}

  async list(from = 0): Promise<BuildSummary[]> {
    const builds = await this.entities.find(
      BuildEntity,
      { deletedAt: null },
      {
        orderBy: { savedAt: 'desc', name: 'asc', id: 'asc' },
        fields: ['id', 'name', 'kind', 'revision', 'savedAt'],
        limit: PAGE,
        offset: from,
      },
    );
    return builds.map((build) => summary(build as BuildEntity));
  }

  async get(id: string): Promise<StoredBuild> {
    return this.stored(await this.find(id));
  }

  /** A build for its file: up to date where it reads, else just as it is stored. */
  async file(id: string): Promise<{ readonly name: string; readonly document: object }> {
    const { name, document } = await this.find(id);
    const whole = await this.documents.whole(document);
    const read = readDocument(whole);
    return { name, document: read.ok ? read.document : (Object(whole) as object) };
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
   * @param role who is at the bench may tick and read settings, and change nothing else
   * @throws ConflictException with the build as it stands, when somebody saved in between.
   */
  async save(id: string, request: SaveBuildRequest, role: Role = 'builder'): Promise<StoredBuild> {
    const { revision, document, ...origin } = request;
    return this.saveOver(id, revision, document, { ...origin, reason: EDITED }, role);
  }

  private async saveOver(
    id: string,
    lastSeen: number,
    value: unknown,
    origin: Origin,
    role: Role = 'builder',
  ): Promise<StoredBuild> {
    const document = checked(value);
    const saved = await this.entities.transactional(async (entities) => {
      const build = await entities.findOne(BuildEntity, { id, deletedAt: null });
      if (!build) throw missing(id);
      if (origin.saveId !== undefined && build.saveId === origin.saveId) return this.stored(build);
      if (build.revision !== lastSeen) {
        throw new ConflictException({
          message: `“${build.name}” was saved elsewhere in the meantime (revision ${build.revision}; yours began at ${lastSeen}). Nothing was overwritten.`,
          current: await this.stored(build),
        });
      }
      if (role === 'bench' && !ticksOnly(changesBetween((await this.stored(build)).document, document)))
        throw new ForbiddenException(
          'At the bench settings are ticked and read, and steps ticked off; nothing else was saved.',
        );
      return answerOf(await this.newRevision(entities, build, document, origin), document);
    });
    this.tell(saved, origin.by);
    return saved;
  }

  async rename(id: string, name: string): Promise<StoredBuild> {
    const build = await this.get(id);
    const document = { ...build.document, name: name.trim() };
    return this.saveOver(id, build.revision, document, { reason: `renamed from ${build.name}` });
  }

  async remove(id: string): Promise<void> {
    const build = await this.find(id);
    build.deletedAt = new Date();
    await this.entities.flush();
    this.changes.tell({ id, deleted: true });
  }

  async bringBack(id: string): Promise<StoredBuild> {
    const build = await this.entities.findOne(BuildEntity, { id });
    if (!build) throw missing(id);
    build.deletedAt = null;
    await this.entities.flush();
    this.tell(build);
    return this.stored(build);
  }

  /** Newest first. */
  async revisions(id: string, from = 0): Promise<RevisionSummary[]> {
    await this.find(id);
    const found = await this.entities.find(
      RevisionEntity,
      { build: id },
      { orderBy: { number: 'desc' }, exclude: ['document'], limit: PAGE, offset: from },
    );
    return found.map((revision) => revisionSummary(revision as RevisionEntity));
  }

  async revision(id: string, number: number): Promise<StoredRevision> {
    const found = await this.findRevision(id, number);
    return { ...revisionSummary(found), document: await this.documents.read(found.document) };
  }

  /** Names a revision, or notes what was made of it: it stays for good, and the next save is another. */
  async mark(id: string, number: number, { name, usedFor }: MarkRevisionRequest): Promise<RevisionSummary> {
    const found = await this.findRevision(id, number);
    if (name !== undefined) found.name = name.trim() === '' ? null : name.trim();
    if (usedFor !== undefined) found.usedFor = [...new Set([...(found.usedFor ?? []), usedFor])].slice(-50);
    found.sitting = null;
    await this.entities.flush();
    return revisionSummary(found);
  }

  /** Brings an older revision back as a new one. */
  async restore(id: string, number: number): Promise<StoredBuild> {
    const older = await this.revision(id, number);
    const build = await this.find(id);
    const reason = `brought back revision ${number}`;
    return this.saveOver(id, build.revision, older.document, { reason });
  }

  private async find(id: string): Promise<BuildEntity> {
    const build = await this.entities.findOne(BuildEntity, { id, deletedAt: null });
    if (!build) throw missing(id);
    return build;
  }

  private async findRevision(id: string, number: number): Promise<RevisionEntity> {
    const found = await this.entities.findOne(RevisionEntity, { build: { id, deletedAt: null }, number });
    if (!found) throw new NotFoundException(`There is no revision ${number} of this build.`);
    return found;
  }

  private async add(document: BuildDocument, reason: string): Promise<StoredBuild> {
    return this.entities.transactional(async (entities) => {
      const build = entities.create(BuildEntity, {
        id: randomUUID(),
        name: document.name,
        kind: document.kind,
        document: '',
        revision: 0,
        savedAt: new Date(),
      });
      await this.newRevision(entities, build, document, { reason });
      entities.persist(build);
      return answerOf(build, document);
    });
  }

  private async newRevision(
    entities: EntityManager,
    build: BuildEntity,
    value: BuildDocument,
    { reason, saveId, sitting, by }: Origin,
  ): Promise<BuildEntity> {
    const savedAt = new Date();
    const document = await this.documents.put(value, entities);
    const newest = sitting === undefined ? null : await newestOf(entities, build);
    const folds =
      newest !== null &&
      newest.reason === reason &&
      newest.sitting === sitting &&
      newest.by === (by ?? null) &&
      savedAt.getTime() - newest.savedAt.getTime() < SITTING.pause &&
      savedAt.getTime() - newest.beganAt.getTime() < SITTING.longest;
    const number = build.revision + 1;
    entities.assign(build, {
      ...{ document, name: value.name, kind: value.kind, revision: number, savedAt },
      saveId: saveId ?? null,
    });
    if (folds) entities.assign(newest, { number, document, savedAt });
    else
      entities.persist(
        entities.create(RevisionEntity, {
          ...{ build, number, document, savedAt, beganAt: savedAt, reason },
          sitting: sitting ?? null,
          by: by ?? null,
        }),
      );
    return build;
  }

  private async stored(build: BuildEntity): Promise<StoredBuild> {
    return answerOf(build, await this.documents.read(build.document));
  }

  private tell({ id, revision, saveId }: Pick<BuildEntity, 'id' | 'revision' | 'saveId'>, by?: string): void {
    this.changes.tell({
      id,
      revision,
      ...(saveId == null ? {} : { saveId }),
      ...(by === undefined ? {} : { by }),
    });
  }
}

const newestOf = (entities: EntityManager, build: BuildEntity): Promise<RevisionEntity | null> =>
  entities.findOne(RevisionEntity, { build, number: build.revision });

function checked(value: unknown): BuildDocument {
  const read = readDocument(value);
  if (!read.ok)
    throw unprocessable('This is not a build that can be stored: nothing was changed.', read.faults);
  return read.document;
}

const copyName = (name: string): string => `${name.slice(0, 110)} (copy)`;
const missing = (id: string) => new NotFoundException(`There is no build ${id}.`);
const summary = ({ id, name, kind, revision, savedAt }: BuildEntity): BuildSummary => ({
  ...{ id, name, kind, revision },
  savedAt: savedAt.toISOString(),
});
const answerOf = (build: BuildEntity, document: BuildDocument): StoredBuild => ({
  ...summary(build),
  ...(build.saveId == null ? {} : { saveId: build.saveId }),
  document,
});
const revisionSummary = (found: RevisionEntity): RevisionSummary => ({
  revision: found.number,
  beganAt: found.beganAt.toISOString(),
  savedAt: found.savedAt.toISOString(),
  reason: found.reason,
  ...(found.name == null ? {} : { name: found.name }),
  ...(found.usedFor == null ? {} : { usedFor: found.usedFor }),
  ...(found.by == null ? {} : { by: found.by }),
});
