import { Migration } from '@mikro-orm/migrations';

/** Builds and their revisions. */
export class CreateBuilds extends Migration {
  override up(): void {
    this.addSql(`create table build (
      id text not null primary key, name text not null, kind text not null, document json not null,
      revision integer not null, saved_at datetime not null, deleted_at datetime null);`);
    this.addSql(`create index build_deleted_at_index on build (deleted_at);`);
    this.addSql(`create table revision (
      id integer not null primary key autoincrement, build_id text not null references build (id) on delete cascade,
      number integer not null, document json not null, saved_at datetime not null, reason text not null);`);
    this.addSql(`create unique index revision_build_id_number_unique on revision (build_id, number);`);
  }

  override down(): void {
    this.addSql(`drop table revision;`);
    this.addSql(`drop table build;`);
  }
}

const RIDER_TABLE = [
  `create table rider (
      id integer not null primary key autoincrement, name text not null, measures json not null);`,
  `create unique index rider_name_unique on rider (name);`,
];
const PROFILE_TABLE = [
  `create table profile (
      id integer not null primary key autoincrement, school text not null, name text not null, profile json not null);`,
  `create unique index profile_school_name_unique on profile (school, name);`,
];

/** The workshop's riders. */
export class CreateRiders extends Migration {
  override up(): void {
    RIDER_TABLE.forEach((sql) => this.addSql(sql));
  }

  override down(): void {
    this.addSql(`drop table rider;`);
  }
}

/** The workshop's fixtures. */
export class CreateProfiles extends Migration {
  override up(): void {
    PROFILE_TABLE.forEach((sql) => this.addSql(sql));
  }

  override down(): void {
    this.addSql(`drop table profile;`);
  }
}

/** Which save made a build's newest revision. */
export class AddSaveIds extends Migration {
  override up(): void {
    this.addSql(`alter table build add column save_id text null;`);
  }

  override down(): void {
    this.addSql(`alter table build drop column save_id;`);
  }
}

/** Sittings, names and uses of revisions; parts kept once; settings; who is let in. */
export class AddKeeping extends Migration {
  override up(): void {
    for (const column of ['sitting text null', 'name text null', 'used_for json null', '"by" text null'])
      this.addSql(`alter table revision add column ${column};`);
    this.addSql(`alter table revision add column began_at datetime not null default 0;`);
    this.addSql(`update revision set began_at = saved_at;`);
    this.addSql(`create table part (hash text not null primary key, json text not null);`);
    this.addSql(`create table setting (key text not null primary key, value json not null);`);
    this.addSql(
      `create table session (hash text not null primary key, role text not null, until datetime not null);`,
    );
    this.addSql(`create index session_until_index on session (until);`);
  }

  override down(): void {
    for (const table of ['session', 'setting', 'part']) this.addSql(`drop table ${table};`);
    for (const column of ['sitting', 'name', 'used_for', '"by"', 'began_at'])
      this.addSql(`alter table revision drop column ${column};`);
  }
}

/** The workshop's own lists: dies, logged bends, tools, stock, off-cuts. */
export class AddShop extends Migration {
  override up(): void {
    this.addSql(`create table shop_item (
      id integer not null primary key autoincrement, list text not null, item text not null, value json not null);`);
    this.addSql(`create unique index shop_item_list_item_unique on shop_item (list, item);`);
  }

  override down(): void {
    this.addSql(`drop table shop_item;`);
  }
}

/** Pictures of the log. */
export class AddPictures extends Migration {
  override up(): void {
    this.addSql(`create table picture (
      id text not null primary key, type text not null, bytes blob not null, kept_at datetime not null);`);
  }

  override down(): void {
    this.addSql(`drop table picture;`);
  }
}

/** Orders at the stand-in for a cutting service. */
export class AddCuttingOrders extends Migration {
  override up(): void {
    this.addSql(`create table cutting_order (
      id integer not null primary key autoincrement, key text not null, build text not null, pieces json not null,
      price real not null, days integer not null, ordered_at datetime not null);`);
    this.addSql(`create unique index cutting_order_key_unique on cutting_order (key);`);
    this.addSql(`create index cutting_order_build_index on cutting_order (build);`);
  }

  override down(): void {
    this.addSql(`drop table cutting_order;`);
  }
}

/** Whose an item of the workshop's lists is; those that are there are the builder's. */
export class AddShopBy extends Migration {
  override up(): void {
    this.addSql(`alter table shop_item add column "by" text null;`);
  }

  override down(): void {
    this.addSql(`alter table shop_item drop column "by";`);
  }
}

/** Revisions of the workshop's items; riders and fixtures become lists as all others. */
export class AddShopRevisions extends Migration {
  override up(): void {
    this.addSql(`alter table shop_item add column revision integer not null default 1;`);
    this.addSql(`alter table shop_item add column save_id text null;`);
    this.addSql(`insert into shop_item (list, item, value)
      select 'riders', 'rider-' || id, json_set(measures, '$.name', name) from rider;`);
    this.addSql(`insert into shop_item (list, item, value)
      select 'fixtures', 'fixture-' || id, profile from profile;`);
    for (const table of ['rider', 'profile']) this.addSql(`drop table ${table};`);
  }

  override down(): void {
    [...RIDER_TABLE, ...PROFILE_TABLE].forEach((sql) => this.addSql(sql));
    this.addSql(`insert into rider (name, measures)
      select json_extract(value, '$.name'), json_remove(value, '$.name') from shop_item where list = 'riders'
      group by json_extract(value, '$.name');`);
    this.addSql(`insert into profile (school, name, profile)
      select json_extract(value, '$.school'), json_extract(value, '$.name'), value from shop_item where list = 'fixtures'
      group by 1, 2;`);
    this.addSql(`delete from shop_item where list in ('riders', 'fixtures');`);
    for (const column of ['revision', 'save_id']) this.addSql(`alter table shop_item drop column ${column};`);
  }
}

export const MIGRATIONS = [
  { name: '2026-11-24-create-builds', class: CreateBuilds },
  { name: '2026-11-25-create-riders', class: CreateRiders },
  { name: '2026-11-26-create-profiles', class: CreateProfiles },
  { name: '2026-11-28-add-save-ids', class: AddSaveIds },
  { name: '2026-11-28-add-keeping', class: AddKeeping },
  { name: '2026-11-28-add-shop', class: AddShop },
  { name: '2026-11-29-add-pictures', class: AddPictures },
  { name: '2026-11-29-add-cutting-orders', class: AddCuttingOrders },
  { name: '2026-12-02-add-shop-by', class: AddShopBy },
  { name: '2026-12-02-add-shop-revisions', class: AddShopRevisions },
];
