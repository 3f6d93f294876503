import { EntityManager } from '@mikro-orm/core';
import { BadRequestException, Injectable } from '@nestjs/common';
import { strFromU8, strToU8, zipSync, type Unzipped } from 'fflate';
import {
  fileStem,
  FILE_SUFFIX,
  LARGEST_DOCUMENT,
  NO_SHOP,
  readShopText,
  type Fault,
  type Shop,
  type ShopList,
} from '@larchwood/format';
import { readDocument, readProfile } from '@larchwood/core';
import { SaveRiderRequest, type TakenIn } from '@larchwood/contract';
import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { BuildsService } from '../builds/builds.service.js';
import { unprocessable } from '../builds/documents.js';
import { BuildEntity } from '../database/entities.js';
import { PicturesService } from '../pictures/pictures.service.js';
import { ProfilesService } from '../profiles/profiles.service.js';
import { RidersService } from '../riders/riders.service.js';
import { ShopService } from '../shop/shop.service.js';
import { unzipped } from '../unzipped.js';

/** Largest zip that is taken in, packed and unpacked, and most files in it. */
export const LARGEST_ZIP = 64 * 1024 * 1024;
const MOST_FILES = 5000;
/** Same bytes from the same workshop. */
const NO_DATE = { mtime: new Date('1980-01-02T00:00:00Z') } as const;

/** The whole workshop as one zip of open files: builds as they are now, riders, fixtures, the workshop's lists and pictures. */
@Injectable()
export class WorkshopService {
  constructor(
    private readonly entities: EntityManager,
    private readonly builds: BuildsService,
    private readonly riders: RidersService,
    private readonly profiles: ProfilesService,
    private readonly shop: ShopService,
    private readonly pictures: PicturesService,
  ) {}

  async zip(): Promise<Uint8Array> {
    const files: Record<string, Uint8Array> = {};
    const all = await this.entities.find(
      BuildEntity,
      { deletedAt: null },
      { fields: ['id'], orderBy: { name: 'asc', id: 'asc' } },
    );
    for (const { id } of all) {
      const { name, document } = await this.builds.file(id);
      files[`builds/${fileStem(name)}-${id.slice(0, 8)}${FILE_SUFFIX}`] = json(document);
    }
    files['riders.json'] = json((await this.riders.list()).map(({ rider }) => rider));
    files['fixtures.json'] = json((await this.profiles.list()).map(({ profile }) => profile));
    files['shop.json'] = json(await this.shop.all());
    for (const id of await this.pictures.ids()) {
      const { type, bytes } = await this.pictures.get(id);
      files[`pictures/${id}.${type === 'image/png' ? 'png' : 'jpg'}`] = bytes;
    }
    return zipSync(files, NO_DATE);
  }

  /**
   * Takes in a zip that `zip` wrote: every build as a new one; riders, fixtures and items of lists that are not there yet.
   * @throws UnprocessableEntityException with the faults by file, before anything is changed
   */
  async takeIn(zip: Uint8Array): Promise<TakenIn> {
    const files = unpacked(zip);
    const faults: Fault[] = [];
    const fault = (file: string, { path, message }: Fault) =>
      faults.push({ path: `${file}${path}`, message });
    const documents = Object.entries(files)
      .filter(([name]) => name.endsWith(FILE_SUFFIX))
      .flatMap(([name, bytes]) => {
        const read = readDocument(parsed(bytes));
        if (read.ok) return [read.document];
        read.faults.forEach((each) => fault(name, each));
        return [];
      });
    const riders = [];
    for (const [place, value] of listIn(files, 'riders.json').entries()) {
      const rider = plainToInstance(SaveRiderRequest, value ?? {});
      const [wrong] = await validate(rider, { whitelist: true, forbidNonWhitelisted: true });
      if (wrong)
        fault('riders.json', {
          path: `/${place}`,
          message: Object.values(wrong.constraints ?? {})[0] ?? 'This is no rider.',
        });
      else riders.push(rider);
    }
    const profiles = listIn(files, 'fixtures.json').flatMap((value, place) => {
      const read = readProfile(value);
      if (read.ok) return [read.profile];
      read.faults.forEach(({ path, message }) =>
        fault('fixtures.json', { path: `/${place}${path}`, message }),
      );
      return [];
    });
    const lists = files['shop.json'] ? readShopText(strFromU8(files['shop.json'])) : NO_LISTS;
    if (!lists.ok) lists.faults.forEach((each) => fault('shop.json', each));
    const items = itemsOf(lists.ok ? lists.shop : NO_SHOP);
    if (faults.length > 0) throw unprocessable('Not all of this zip reads: nothing was taken in.', faults);
    if (documents.length + riders.length + profiles.length + items.length === 0)
      throw new BadRequestException('There is no build, rider, fixture or list in this zip.');
    const knownRiders = new Set((await this.riders.list()).map(({ rider }) => rider.name));
    const knownProfiles = new Set((await this.profiles.list()).map(({ profile }) => keyOf(profile)));
    const newRiders = riders.filter(({ name }) => !knownRiders.has(name.trim()));
    const newProfiles = profiles.filter((profile) => !knownProfiles.has(keyOf(profile)));
    const here = await this.shop.all();
    const knownPictures = new Set(await this.pictures.ids());
    const newPictures = picturesIn(files).filter(({ id }) => !knownPictures.has(id));
    const newItems = items.filter(({ list, id }) => !Object.hasOwn(here[list], id));
    await this.entities.transactional(async () => {
      for (const document of documents) await this.builds.import(document);
      for (const rider of newRiders) await this.riders.save(rider);
      for (const profile of newProfiles) await this.profiles.save({ profile });
      for (const { list, id, value } of newItems) await this.shop.save(list, id, value, 'builder');
      for (const { id, bytes } of newPictures) await this.pictures.keep(Buffer.from(bytes), id);
    });
    return {
      ...{ builds: documents.length, riders: newRiders.length, profiles: newProfiles.length },
      items: newItems.length,
      left: [
        ...riders.filter((rider) => !newRiders.includes(rider)).map(({ name }) => name),
        ...profiles.filter((profile) => !newProfiles.includes(profile)).map(({ name }) => name),
      ],
    };
  }
}

const keyOf = ({ school, name }: { readonly school: string; readonly name: string }) => `${school} ${name}`;
const json = (value: unknown): Uint8Array => strToU8(`${JSON.stringify(value, null, 2)}\n`);

/** @throws BadRequestException when it is no zip, or grows beyond all bounds */
const unpacked = (zip: Uint8Array): Unzipped =>
  unzipped(zip, {
    ...{ size: 4 * LARGEST_ZIP, files: MOST_FILES, file: 2 * LARGEST_DOCUMENT },
    large: 'This zip holds more than a workshop does. Nothing was taken in.',
    none: 'This file is no zip that can be read. Nothing was taken in.',
  });

function parsed(bytes: Uint8Array | undefined): unknown {
  try {
    return bytes === undefined ? undefined : (JSON.parse(strFromU8(bytes)) as unknown);
  } catch {
    return undefined;
  }
}

function listIn(files: Unzipped, name: string): readonly unknown[] {
  const value = parsed(files[name]);
  return Array.isArray(value) ? value : [];
}

/** Pictures by their ids. */
const picturesIn = (files: Unzipped) =>
  Object.entries(files).flatMap(([name, bytes]) => {
    const id = /^pictures\/([\w-]{1,60})\.(?:jpg|png)$/.exec(name)?.[1];
    return id === undefined ? [] : [{ id, bytes }];
  });

const NO_LISTS = { ok: true, shop: NO_SHOP } as const;
/** Every item of a workshop’s lists. */
const itemsOf = (shop: Shop) =>
  (Object.keys(shop) as ShopList[]).flatMap((list) =>
    Object.entries(shop[list]).map(([id, value]) => ({ list, id, value: value as unknown })),
  );
