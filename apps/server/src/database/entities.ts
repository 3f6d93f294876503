import { Entity, Index, JsonType, ManyToOne, PrimaryKey, Property, Unique } from '@mikro-orm/core';
import type { Role } from '@larchwood/contract';

/** A build: its newest document, and the number of that revision for optimistic locking. */
@Entity({ tableName: 'build' })
export class BuildEntity {
  @PrimaryKey({ type: 'string' })
  id!: string;

  @Property({ type: 'string' })
  name!: string;

  @Property({ type: 'string' })
  kind!: string;

  /** JSON, as `Documents` stores it: compared and written as text, not taken apart at every save. */
  @Property({ type: 'text' })
  document!: string;

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

/** A sitting's saves, or one save of another reason, as the last of them was, so that it can be brought back. */
@Entity({ tableName: 'revision' })
@Unique({ properties: ['build', 'number'] })
export class RevisionEntity {
  @PrimaryKey({ type: 'integer', autoincrement: true })
  id!: number;

  @ManyToOne({ entity: () => BuildEntity, deleteRule: 'cascade' })
  build!: BuildEntity;

  @Property({ type: 'integer' })
  number!: number;

  /** JSON, as `Documents` stores it: compared and written as text, not taken apart at every save. */
  @Property({ type: 'text' })
  document!: string;

  /** The first save of the sitting. */
  @Property({ type: 'datetime' })
  beganAt!: Date;

  @Property({ type: 'datetime' })
  savedAt!: Date;

  @Property({ type: 'string' })
  reason!: string;

  /** Window whose next save by itself is the same revision; none once it was named or used. */
  @Property({ type: 'string', nullable: true })
  sitting?: string | null;

  @Property({ type: 'string', nullable: true })
  name?: string | null;

  @Property({ type: JsonType, nullable: true })
  usedFor?: readonly string[] | null;

  /** Who saved it, as they call themselves. */
  @Property({ type: 'string', nullable: true })
  by?: string | null;
}

/** A large part that many revisions share, kept once, by what it holds. */
@Entity({ tableName: 'part' })
export class PartEntity {
  /** SHA-256 of its JSON. */
  @PrimaryKey({ type: 'string' })
  hash!: string;

  @Property({ type: 'text' })
  json!: string;
}

/** One setting of the workshop. */
@Entity({ tableName: 'setting' })
export class SettingEntity {
  @PrimaryKey({ type: 'string' })
  key!: string;

  @Property({ type: JsonType })
  value!: unknown;
}

/** Somebody let in from the shop's network, until they leave or all are logged out. */
@Entity({ tableName: 'session' })
export class SessionEntity {
  /** SHA-256 of the token; the token itself is kept by the browser alone. */
  @PrimaryKey({ type: 'string' })
  hash!: string;

  @Property({ type: 'string' })
  role!: string;

  @Index()
  @Property({ type: 'datetime' })
  until!: Date;
}

/** An item of one of the workshop's lists. */
@Entity({ tableName: 'shop_item' })
@Unique({ properties: ['list', 'item'] })
export class ShopItemEntity {
  @PrimaryKey({ type: 'integer', autoincrement: true })
  id!: number;

  @Property({ type: 'string' })
  list!: string;

  /** Its id within the list. */
  @Property({ type: 'string' })
  item!: string;

  @Property({ type: JsonType })
  value!: unknown;

  /** Whose it is: what was written at the bench may be written anew there; all else is the builder's. */
  @Property({ type: 'string', nullable: true })
  by?: Role | null;

  /** Counts up with every change, for optimistic locking. */
  @Property({ type: 'integer' })
  revision!: number;

  /** Which change made it: the same one sent again is answered, not made again. */
  @Property({ type: 'string', nullable: true })
  saveId?: string | null;
}

/** A picture of the log. */
@Entity({ tableName: 'picture' })
export class PictureEntity {
  @PrimaryKey({ type: 'string' })
  id!: string;

  @Property({ type: 'string' })
  type!: string;

  @Property({ type: 'blob' })
  bytes!: Buffer;

  @Property({ type: 'datetime' })
  keptAt!: Date;
}

/** An order at the stand-in for a cutting service. */
@Entity({ tableName: 'cutting_order' })
export class CuttingOrderEntity {
  @PrimaryKey({ type: 'integer', autoincrement: true })
  id!: number;

  /** The same one sent again is answered, not ordered again. */
  @Unique()
  @Property({ type: 'string' })
  key!: string;

  @Index()
  @Property({ type: 'string' })
  build!: string;

  @Property({ type: JsonType })
  pieces!: { readonly piece: string; readonly mark: string; readonly price: number }[];

  @Property({ type: 'double' })
  price!: number;

  /** Until it is sent. */
  @Property({ type: 'integer' })
  days!: number;

  @Property({ type: 'datetime' })
  orderedAt!: Date;
}
