import { randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import { setImmediate as otherRequests } from 'node:timers/promises';
import { EntityManager } from '@mikro-orm/core';
import { BadRequestException, Inject, Injectable } from '@nestjs/common';
import { fileStem, FILE_SUFFIX, LARGEST_DOCUMENT, type Fault, type ShopList } from '@larchwood/format';
import { readDocument } from '@larchwood/core';
import { LARGEST_PICTURE, type TakenIn } from '@larchwood/contract';
import { BuildsService } from '../builds/builds.service.js';
import { unprocessable } from '../builds/documents.js';
import { DATABASE_FILE } from '../database/databaseFile.js';
import { BuildEntity } from '../database/entities.js';
import { takenInAt } from '../database/takenIn.js';
import { PicturesService } from '../pictures/pictures.service.js';
import { ShopService } from '../shop/shop.service.js';
import { LIST_FILES, readLists, withBuilds, type Lists } from './lists.js';
import { withZip, zipStream, type FileToZip, type OpenedZip } from './zipFile.js';

/** Largest zip that is taken in, packed: more than any workshop's; it lies on the disk meanwhile. */
export const LARGEST_ZIP = 64 * 2 ** 30;
/** Largest file of lists: every list full, bytes. */
const LARGEST_LIST = 256 * 2 ** 20;
/** Which file holds which build, so that what is said of a build elsewhere keeps to it. */
const BUILDS = 'builds.json';

/** The whole workshop as one zip of open files: builds as they are now, riders, fixtures, the workshop's lists and pictures. */
@Injectable()
export class WorkshopService {
  constructor(
    private readonly entities: EntityManager,
    private readonly builds: BuildsService,
    private readonly shop: ShopService,
    private readonly pictures: PicturesService,
    @Inject(DATABASE_FILE) private readonly databaseFile: string,
  ) {}

  async zip(): Promise<Readable> {
    const builds = await this.entities.find(
      BuildEntity,
      { deletedAt: null },
      { fields: ['id', 'name'], orderBy: { name: 'asc', id: 'asc' } },
    );
    const named = builds.map(({ id, name }) => ({
      id,
      name: `builds/${fileStem(name)}-${id.slice(0, 8)}${FILE_SUFFIX}`,
    }));
    const { riders, fixtures, ...shop } = await this.shop.all();
    const pictures = await this.pictures.all();
    return zipStream([
      ...named.map(({ id, name }): FileToZip => ({
        name,
        bytes: async () => json((await this.builds.file(id)).document),
      })),
      jsonFile(BUILDS, Object.fromEntries(named.map(({ id, name }) => [name, id]))),
      jsonFile('riders.json', Object.values(riders)),
      jsonFile('fixtures.json', Object.values(fixtures)),
      jsonFile('shop.json', shop),
      ...pictures.map(({ id, type }): FileToZip => ({
        ...{ name: `pictures/${id}.${type === 'image/png' ? 'png' : 'jpg'}`, packed: true },
        bytes: async () => (await this.pictures.get(id)).bytes,
      })),
    ]);
  }

  /**
   * Takes in a zip that `zip` made: every build as a new one; riders, fixtures and items of lists that are not there yet.
   * What the lists say of a build they say of the one it has become here.
   * @throws UnprocessableEntityException with the faults by file, before anything is changed
   */
  takeIn(body: Readable): Promise<TakenIn> {
    return withZip(body, takenInAt(this.databaseFile), LARGEST_ZIP, async (zip) => {
      const documents = zip.names.filter((name) => name.endsWith(FILE_SUFFIX));
      const faults: Fault[] = [];
      for (const name of documents) {
        await otherRequests();
        const read = await documentIn(zip, name);
        if (!read.ok)
          faults.push(...read.faults.map(({ path, message }) => ({ path: `${name}${path}`, message })));
      }
      const lists = readLists(await listFiles(zip), await this.shop.all());
      faults.push(...lists.faults);
      if (faults.length > 0) throw unprocessable('Not all of this zip reads: nothing was taken in.', faults);
      if (documents.length + lists.found === 0)
        throw new BadRequestException('There is no build, rider, fixture or list in this zip.');
      const taken = await this.entities.transactional(() => this.put(zip, documents, lists));
      this.shop.told();
      return taken;
    });
  }

  private async put(zip: OpenedZip, documents: readonly string[], lists: Lists): Promise<TakenIn> {
    const ids = idsOf(await textIn(zip, BUILDS));
    const becomes = new Map<string, string>();
    for (const name of documents) {
      const read = await documentIn(zip, name);
      const { id } = await this.builds.import(read.ok ? read.document : undefined);
      const was = ids.get(name);
      if (was !== undefined) becomes.set(was, id);
    }
    await this.shop.keepNew([
      ...lists.items.map((each) => ({ ...each, value: withBuilds(each.value, becomes) })),
      ...lists.named.map((each) => ({ ...each, id: randomUUID() })),
    ]);
    await this.putPictures(zip);
    const named = (wanted: ShopList) => lists.named.filter(({ list }) => list === wanted).length;
    return {
      ...{ builds: documents.length, riders: named('riders'), profiles: named('fixtures') },
      ...{ items: lists.items.length, left: lists.left },
    };
  }

  private async putPictures(zip: OpenedZip): Promise<void> {
    const known = new Set((await this.pictures.all()).map(({ id }) => id));
    for (const name of zip.names) {
      const id = PICTURE.exec(name)?.[1];
      if (id !== undefined && !known.has(id))
        await this.pictures.keep(await zip.bytes(name, 2 * LARGEST_PICTURE), id);
    }
  }
}

const PICTURE = /^pictures\/([\w-]{1,60})\.(?:jpg|png)$/;

const json = (value: unknown): Uint8Array => Buffer.from(`${JSON.stringify(value, null, 2)}\n`);
const jsonFile = (name: string, value: unknown): FileToZip => ({ name, bytes: async () => json(value) });

/** @throws BadRequestException when the file is larger than any */
async function textIn(zip: OpenedZip, name: string): Promise<string | undefined> {
  return zip.names.includes(name) ? (await zip.bytes(name, LARGEST_LIST)).toString('utf8') : undefined;
}

async function documentIn(zip: OpenedZip, name: string): Promise<ReturnType<typeof readDocument>> {
  const text = (await zip.bytes(name, 2 * LARGEST_DOCUMENT)).toString('utf8');
  return readDocument(parsed(text));
}

async function listFiles(zip: OpenedZip): Promise<Readonly<Record<string, string | undefined>>> {
  const texts = await Promise.all(LIST_FILES.map(async (name) => [name, await textIn(zip, name)] as const));
  return Object.fromEntries(texts);
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

/** Ids of the builds by their files; a zip without them is taken in, too. */
function idsOf(text: string | undefined): ReadonlyMap<string, string> {
  const value = text === undefined ? undefined : parsed(text);
  return new Map(
    Object.entries(typeof value === 'object' && value !== null ? value : {}).filter(
      (entry): entry is [string, string] => typeof entry[1] === 'string',
    ),
  );
}
