import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { MikroORM, RequestContext } from '@mikro-orm/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { FILE_SUFFIX, readShopText } from '@larchwood/format';
import { BuildsService } from './builds/builds.service.js';
import { BuildEntity } from './database/entities.js';
import { ShopService } from './shop/shop.service.js';

/** Fills an empty database with the demo workshop; one that already holds anything, deleted or not, is left alone. */
export async function seedDemo(app: NestExpressApplication, folder: string): Promise<void> {
  const orm = app.get(MikroORM);
  await RequestContext.create(orm.em, async () => {
    if ((await orm.em.count(BuildEntity)) > 0) return;
    for (const file of readdirSync(folder)
      .filter((name) => name.endsWith(FILE_SUFFIX))
      .sort()) {
      await app.get(BuildsService).import(JSON.parse(readFileSync(join(folder, file), 'utf8')));
    }
    const lists = join(folder, 'shop.json');
    if (!existsSync(lists)) return;
    const read = readShopText(readFileSync(lists, 'utf8'));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    for (const [list, items] of Object.entries(read.shop))
      for (const [id, item] of Object.entries(items)) await app.get(ShopService).save(list, id, item);
  });
}
