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

/** The workshop's riders. */
export class CreateRiders extends Migration {
  override up(): void {
    this.addSql(`create table rider (
      id integer not null primary key autoincrement, name text not null, measures json not null);`);
    this.addSql(`create unique index rider_name_unique on rider (name);`);
  }

  override down(): void {
    this.addSql(`drop table rider;`);
  }
}

/** The workshop's fixtures. */
export class CreateProfiles extends Migration {
  override up(): void {
    this.addSql(`create table profile (
      id integer not null primary key autoincrement, school text not null, name text not null, profile json not null);`);
    this.addSql(`create unique index profile_school_name_unique on profile (school, name);`);
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

export const MIGRATIONS = [
  { name: '2026-11-24-create-builds', class: CreateBuilds },
  { name: '2026-11-25-create-riders', class: CreateRiders },
  { name: '2026-11-26-create-profiles', class: CreateProfiles },
  { name: '2026-11-28-add-save-ids', class: AddSaveIds },
];
