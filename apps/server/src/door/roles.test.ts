import 'reflect-metadata';
import { METHOD_METADATA, PATH_METADATA } from '@nestjs/common/constants.js';
import { RequestMethod } from '@nestjs/common';
import { describe, expect, it } from 'vitest';
import { BuildsController } from '../builds/builds.controller.js';
import { CuttingController } from '../cutting/cutting.controller.js';
import { KeepingController } from '../keeping/keeping.controller.js';
import { PicturesController } from '../pictures/pictures.controller.js';
import { ShopController } from '../shop/shop.controller.js';
import { DoorController } from './door.controller.js';
import { FOR_ALL, FOR_BENCH } from './roles.js';

const CONTROLLERS = [
  BuildsController,
  CuttingController,
  DoorController,
  KeepingController,
  PicturesController,
  ShopController,
];

/** Every route that changes something, with who may ask for it besides builders. */
const routes = CONTROLLERS.flatMap((controller) => {
  const prototype = controller.prototype as unknown as Record<string, object>;
  return Object.getOwnPropertyNames(prototype).flatMap((name) => {
    const handler = prototype[name]!;
    const method = Reflect.getMetadata(METHOD_METADATA, handler) as RequestMethod | undefined;
    if (method === undefined || method === RequestMethod.GET) return [];
    const path = [controller, handler].map((of) => String(Reflect.getMetadata(PATH_METADATA, of))).join('/');
    const says = (key: string) =>
      Reflect.getMetadata(key, handler) === true || Reflect.getMetadata(key, controller) === true;
    const who = says(FOR_ALL) ? 'all' : says(FOR_BENCH) ? 'bench' : 'builder';
    return [`${RequestMethod[method]} ${path.replace(/\/\/$/, '')} ${who}`];
  });
});

describe('who may ask for what', () => {
  it('a route that changes something is a builder’s, unless it stands here', () => {
    expect(routes.length).toBeGreaterThan(20);
    expect(routes.filter((route) => !route.endsWith(' builder')).sort()).toMatchInlineSnapshot(`
      [
        "DELETE api/door bench",
        "DELETE api/shop/:list/:id bench",
        "POST api/door all",
        "POST api/pictures bench",
        "PUT api/builds/:id bench",
        "PUT api/shop/:list/:id bench",
      ]
    `);
  });
});
