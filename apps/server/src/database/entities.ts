import { Entity, Index, JsonType, ManyToOne, PrimaryKey, Property, Unique } from '@mikro-orm/core';
import type { BuildDocument, Profile, Rider } from '@larchwood/format';

/** A build: its newest document, and the number of that revision for optimistic locking. */
@Entity({ tableName: 'build' })
export class BuildEntity {
  @PrimaryKey({ type: 'string' })
  id!: string;

  @Property({ type: 'string' })
  name!: string;

  @Property({ type: 'string' })
  kind!: string;

  @Property({ type: JsonType })
  document!: BuildDocument;

  @Property({ type: 'integer' })
  revision!: number;

  @Property({ type: 'datetime' })
  savedAt!: Date;

  /** Which save of whose window made the newest revision: the same one sent again is answered, not made again. */
  @Property({ type: 'string', nullable: true })
  saveId?: string | null;

  /** Set while the build is deleted; it can be brought back. */
  @Index()
  @Property({ type: 'datetime', nullable: true })
  deletedAt?: Date | null;
}

/** Every save, kept whole, so that it can be brought back. */
@Entity({ tableName: 'revision' })
@Unique({ properties: ['build', 'number'] })
export class RevisionEntity {
  @PrimaryKey({ type: 'integer', autoincrement: true })
  id!: number;

  @ManyToOne({ entity: () => BuildEntity, deleteRule: 'cascade' })
  build!: BuildEntity;

  @Property({ type: 'integer' })
  number!: number;

  @Property({ type: JsonType })
  document!: BuildDocument;

  @Property({ type: 'datetime' })
  savedAt!: Date;

  @Property({ type: 'string' })
  reason!: string;
}

/** A rider of the workshop's list, one a name. */
@Entity({ tableName: 'rider' })
export class RiderEntity {
  @PrimaryKey({ type: 'integer', autoincrement: true })
  id!: number;

  @Unique()
  @Property({ type: 'string' })
  name!: string;

  @Property({ type: JsonType })
  measures!: Omit<Rider, 'name'>;
}

/** A fixture of the workshop's, one a school and name. */
@Entity({ tableName: 'profile' })
@Unique({ properties: ['school', 'name'] })
export class ProfileEntity {
  @PrimaryKey({ type: 'integer', autoincrement: true })
  id!: number;

  @Property({ type: 'string' })
  school!: string;

  @Property({ type: 'string' })
  name!: string;

  @Property({ type: JsonType })
  profile!: Profile;
}
