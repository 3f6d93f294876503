import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { FINDING_CODES, findingText } from '../findings/catalogue.js';
import { planBuild } from '../plan/plan.js';
import { EVERY_SET, made, planMade, stanceMade } from '../../../../testing/made.js';
import { readDocument, readDocumentText } from './read.js';
import { BuildSchema, FORMAT_VERSION } from '@larchwood/format';
import { findKind } from '../stance/kinds/registry.js';
import { without } from '../without.js';

const faultsOf = (value: unknown) => {
  const read = readDocument(value);
  return read.ok ? [] : read.faults;
};
/** A sound document with one place changed, named by its JSON Pointer; `undefined` takes the place out. */
function broken(pointer: string, value: unknown) {
  const document = JSON.parse(JSON.stringify(made())) as Record<string, unknown>;
  const keys = pointer.split('/').slice(1);
  const last = keys.pop()!;
  const parent = keys.reduce((part, key) => part[key] as Record<string, unknown>, document);
  if (value === undefined) Reflect.deleteProperty(parent, last);
  else parent[last] = value;
  return faultsOf(document);
}

/** Fixture and paper as versions 1 to 4 had them. */
const OLD_SHOP = {
  fixture: {
    school: 'slide-and-post',
    profile: {
      name: 'Workshop slide-and-post',
      pivotHeight: 300,
      seatConeHeight: 25,
      lowerConeHeight: 30,
      upperConeHeight: 30,
      axes: [
        { id: 'axleAbove', zero: 100, direction: 1, step: 0.5, low: 0, high: 220 },
        { id: 'axleBehind', zero: 1000, direction: -1, step: 2, low: 320, high: 600 },
        { id: 'seatAngle', zero: 0, direction: 1, step: 0.1, low: 66, high: 80 },
        { id: 'seatCone', zero: 0, direction: 1, step: 1, low: 300, high: 720 },
        { id: 'headAngle', zero: 0, direction: 1, step: 0.1, low: 62, high: 78 },
        { id: 'headCarriage', zero: 0, direction: 1, step: 0.5, low: 330, high: 760 },
        { id: 'lowerCone', zero: 250, direction: 1, step: 0.5, low: 0, high: 520 },
        { id: 'upperCone', zero: 250, direction: 1, step: 0.5, low: 150, high: 720 },
      ],
    },
  },
  paper: { size: 'Letter', thickness: 0.2 },
};

describe('the open format', () => {
  it.each(EVERY_SET)('what %s, %s makes reads back unchanged', (kind, set) => {
    const text = JSON.stringify(made(kind, set));
    expect(readDocumentText(text)).toEqual({ ok: true, document: made(kind, set) });
  });
  it('a bicycle of version 1 comes up to date, its fork measured as it was', () => {
    const now = without(made(), 'brief');
    const { frontTravel, frontSag, rearTravel, rearSag, ...held } = now.stance.held;
    expect([frontTravel, frontSag, rearTravel, rearSag]).toEqual([0, 0, 0, 0]);
    const old = (forkMeasured: string) =>
      readDocument({ ...now, version: 1, stance: { held: { ...held, axleToCrown: 383 }, forkMeasured } });
    const valuesOf = (forkMeasured: string) => {
      const read = old(forkMeasured);
      if (!read.ok) throw new Error(JSON.stringify(read.faults));
      return stanceMade(read.document).values;
    };
    expect(valuesOf('straight').axleToCrown).toBeCloseTo(383, 9);
    expect(valuesOf('alongAxis').crownAboveFoot).toBe(383);
    expect(readDocument({ ...now, version: 1, stance: 7 }).ok).toBe(false);
  });
  it.each(EVERY_SET)('%s, %s of version 2 comes up to date with its seat and masses', (id, set) => {
    const now = made(id, set);
    const kind = findKind(id)!;
    const stanceIds = new Set(kind.groups.flatMap(({ ids }) => ids));
    // What only the seat station knows was not there before.
    const added = kind.seat.groups
      .flatMap(({ ids }) => ids)
      .filter((each) => kind.state.includes(each) && !stanceIds.has(each));
    expect(added.length).toBeGreaterThan(3);
    const read = readDocument({
      ...without(now, 'seat', 'mass'),
      fixture: OLD_SHOP.fixture,
      version: 2,
      stance: { held: without(now.stance.held, ...added) },
    });
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    // As the set had them when version 3 came: the same entries, and a vehicle that can be built.
    expect(Object.keys(read.document.stance.held).sort()).toEqual(Object.keys(now.stance.held).sort());
    expect(read.document.mass.lumps.map(({ name }) => name)).toEqual(now.mass.lumps.map(({ name }) => name));
    expect(stanceMade(read.document).values.wheelbase).toBeGreaterThan(0);
  });
  it('a fixture of version 4 keeps its scales, its adapters and its readings', () => {
    const now = made('bicycle', 'road');
    const read = readDocument({ ...now, ...OLD_SHOP, version: 4 });
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.document.paper).toEqual({ ...now.paper, size: 'Letter', thickness: 0.2 });
    const { fixture } = planMade(read.document);
    const readings = (settings: typeof fixture.settings) => settings.map(({ id, reading }) => [id, reading]);
    expect(readings(fixture.settings.slice(2))).toEqual(readings(planMade(now).fixture.settings.slice(2)));
    // sqrt(435^2 - 70^2) = 429.33 behind; this scale counts down from 1000 in steps of 2. 70 above, from 100.
    expect(readings(fixture.settings.slice(0, 2))).toEqual([
      ['axleAbove', 170],
      ['axleBehind', 570],
    ]);
  });
  it('the demo workshop’s files are sound', () => {
    const folder = new URL('../../../../demo/', import.meta.url);
    const files = readdirSync(folder).filter((name) => name.endsWith('.larchwood.json'));
    expect(files.length).toBeGreaterThanOrEqual(2);
    for (const file of files) {
      const read = readDocumentText(readFileSync(new URL(file, folder), 'utf8'));
      expect(read.ok && planBuild(read.document).ok, file).toBe(true);
    }
  });
  it('the published schema is the one that is checked', () => {
    const published = JSON.parse(
      readFileSync(new URL('../../../../docs/larchwood-build-12.schema.json', import.meta.url), 'utf8'),
    ) as unknown;
    expect(published).toEqual(JSON.parse(JSON.stringify(BuildSchema)));
  });
});

describe('bad documents are refused with the path of each fault', () => {
  it.each([
    ['a wrong type', '/stance/held/reach', 'long'],
    ['a missing field', '/wheels/front', undefined],
    ['an unknown field', '/colour', 'red'],
    ['an unknown field deep down', '/frame/members/2/paint', 1],
    ['a form that is not one', '/wheels/rear/by', 'guess'],
    ['an absurd size', '/frame/sections/0/diameter', 1e7],
    ['a number that is not one', '/paper/thickness', null],
    ['a node that is not there', '/frame/members/3/nodes/0', 'nowhere'],
    ['a host that is not there', '/frame/members/3/ends/end/hosts/1/member', 'ghost'],
    ['an id used twice', '/frame/nodes/1/id', 'shellLeft'],
    ['a dimension of another kind', '/stance/held/swingArm', 500],
    ['a tube without a bore', '/frame/sections/0/wall', 29],
    ['another format', '/format', 'other'],
    ['paper of no known size', '/paper/size', 'A7'],
    ['a printer that stretches by half', '/paper/printer/x', 1.5],
    ['a lump at no point', '/mass/lumps/0/point', 'nowhere'],
    ['a lump that weighs less than nothing', '/mass/lumps/0/mass', -1],
    ['two lumps of one name', '/mass/lumps/1/id', 'lump1'],
    ['a rider of no size', '/seat/aboard/0', 9],
    ['a span upside down', '/seat/statures', [1900, 1500]],
    ['a gap below nothing', '/seat/gaps/tyre', -1],
  ])('%s', (_, path, value) => {
    expect(broken(path, value).map((fault) => fault.path)).toContain(path);
  });
  it.each(['line\nend', 'tab\there', 'bell\u0007', 'next\u0085', 'para\u2029'])(
    '%j is no name: it would break a list',
    (name) => {
      expect(broken('/name', name)).toEqual([
        { path: '/name', message: expect.stringContaining('control character') },
      ]);
      expect(broken('/frame/members/0/name', name).map(({ path }) => path)).toEqual([
        '/frame/members/0/name',
      ]);
    },
  );
  it('scales below wheels that the kind has not', () => {
    const scales = {
      aboard: true,
      level: { front: 40, middle: 3 },
      raised: { end: 'rear', by: 200, loads: { side: 1 } },
    };
    expect(broken('/mass/scales', scales).map((fault) => fault.path)).toEqual([
      '/mass/scales/level/middle',
      '/mass/scales/raised/loads/side',
    ]);
  });
  it('a field missing from a chosen form', () => {
    expect(broken('/wheels/rear', { by: 'diameter', width: 30, sag: 0 }).map((fault) => fault.path)).toEqual([
      '/wheels/rear/diameter',
    ]);
  });
  it('a newer version is refused in words', () => {
    expect(broken('/version', FORMAT_VERSION + 1)).toEqual([
      { path: '/version', message: expect.stringContaining('newer') },
    ]);
  });
  it.each([null, 4, 'x', [], [1, 2]])('%j is no build', (value) => expect(faultsOf(value).length).toBe(1));
  it('rubbish text, and 20 MB of it, is refused without a throw', () => {
    expect(readDocumentText('{"format": "larchwood-build", ').ok).toBe(false);
    expect(readDocumentText('x'.repeat(20 * 1024 * 1024))).toMatchObject({
      ok: false,
      faults: [{ path: '/', message: expect.stringContaining('20.0 MB') }],
    });
  });
  it('a million faults give a list that ends', () => {
    expect(
      broken(
        '/frame/nodes',
        Array.from({ length: 900 }, () => ({})),
      ).length,
    ).toBeLessThanOrEqual(50);
  });
});

describe('the catalogue', () => {
  it('has words for what each demo and each starting set is told, none of them undefined or not a number', () => {
    const folder = new URL('../../../../demo/', import.meta.url);
    const demos = readdirSync(folder).filter((name) => name.endsWith('.larchwood.json'));
    const builds = [
      ...EVERY_SET.map(([kind, set]) => made(kind, set)),
      ...demos.map((file) => {
        const read = readDocumentText(readFileSync(new URL(file, folder), 'utf8'));
        if (!read.ok) throw new Error(file);
        return read.document;
      }),
    ];
    let told = 0;
    for (const build of builds)
      for (const finding of planMade(build).findings) {
        const { title, text, remedies } = findingText(finding, build.units);
        told += 1;
        expect(`${title} ${text} ${remedies.join()}`).not.toMatch(/undefined|NaN|\[object/);
        expect(FINDING_CODES).toContain(finding.code);
      }
    expect(told).toBeGreaterThan(15);
  });
});
