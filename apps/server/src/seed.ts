import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { MikroORM, RequestContext } from '@mikro-orm/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { ordersOf } from '@larchwood/core';
import type { StoredBuild } from '@larchwood/contract';
import {
  changesBetween,
  FILE_SUFFIX,
  isUnchanged,
  readShopText,
  type BuildDocument,
  type CutOrder,
} from '@larchwood/format';
import { BuildsService } from './builds/builds.service.js';
import { BuildEntity, CuttingOrderEntity } from './database/entities.js';
import { earlierRevisions } from './demoRevisions.js';
import { ShopService } from './shop/shop.service.js';

/** Fills an empty database with the demo workshop; one that already holds anything, deleted or not, is left alone. */
export async function seedDemo(app: NestExpressApplication, folder: string): Promise<void> {
  const orm = app.get(MikroORM);
  await RequestContext.create(orm.em, async () => {
    if ((await orm.em.count(BuildEntity)) > 0) return;
    for (const file of readdirSync(folder)
      .filter((name) => name.endsWith(FILE_SUFFIX))
      .sort()) {
      const build = await withRevisions(
        app.get(BuildsService),
        JSON.parse(readFileSync(join(folder, file), 'utf8')) as BuildDocument,
      );
      for (const order of ordersOf(build.document))
        orm.em.create(CuttingOrderEntity, knownOrder(build.id, order));
    }
    await orm.em.flush();
    const lists = join(folder, 'shop.json');
    if (!existsSync(lists)) return;
    const read = readShopText(readFileSync(lists, 'utf8'));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    await app
      .get(ShopService)
      .keepNew(
        Object.entries(read.shop).flatMap(([list, items]) =>
          Object.entries(items).map(([id, value]) => ({ list, id, value: value as unknown })),
        ),
      );
  });
}

/** Puts a demo build in as it came to be: each earlier revision named, and then as it is. */
async function withRevisions(builds: BuildsService, document: BuildDocument): Promise<StoredBuild> {
  const [first, ...others] = earlierRevisions(document);
  let build = await builds.import(first!.document);
  await builds.mark(build.id, build.revision, { name: first!.name });
  for (const { name, document: next } of others) {
    build = await builds.save(build.id, { revision: build.revision, document: next });
    await builds.mark(build.id, build.revision, { name });
  }
  if (isUnchanged(changesBetween(build.document, document))) return build;
  return builds.save(build.id, { revision: build.revision, document });
}

/** An order of a demo build as the stand-in would have it. */
function knownOrder(build: string, { id, on, due, price, pieces }: CutOrder) {
  const day = (date: string) => Date.parse(`${date}T08:00:00Z`);
  return {
    ...{ id: Number(id.replace(/\D/g, '')), key: `demo-${id}`, build, price },
    ...{ orderedAt: new Date(day(on)), days: Math.round((day(due) - day(on)) / 86_400_000) },
    pieces: pieces.map(({ piece, mark }) => ({ piece, mark, price: 0 })),
  };
}
