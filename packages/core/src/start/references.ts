import type { Kind } from '../stance/dimension.js';
import { findKind } from '../stance/kinds/registry.js';
import { findLayout } from '../frame/layouts/registry.js';
import { MATERIALS } from '../frame/materials.js';
import type { BuildDocument, Section } from '@larchwood/format';
import { isBar } from '../frame/sections.js';
import { STEERING_POINTS } from '../steering/linkage.js';
import { asSentence, withArticle } from '../words.js';
import { profileFaults } from '../fixture/profile.js';
import type { Fault } from '@larchwood/format';

/** Faults a schema cannot see: names that point nowhere, names used twice, dimensions that the kind does not have. */
export function referenceFaults(document: BuildDocument): Fault[] {
  const { nodes, members, sections, plates, groups } = document.frame;
  const faults: Fault[] = [
    ...repeated('/frame/nodes', nodes),
    ...repeated('/frame/members', members),
    ...repeated('/frame/sections', sections),
    ...repeated('/frame/plates', plates),
    ...repeated('/frame/groups', groups),
    ...stanceFaults(document),
    ...massFaults(document),
    ...spanFaults(document),
    ...fixtureFaults(document),
    ...sectionFaults(sections),
    ...optionFaults(document),
  ];
  const ids = {
    node: new Set(nodes.map((node) => node.id)),
    member: new Set(members.map((member) => member.id)),
    section: new Set(sections.map((section) => section.id)),
    plate: new Set(plates.map((plate) => plate.id)),
    group: new Set(groups.map((group) => group.id)),
    material: new Set(MATERIALS.map((material) => material.id)),
  };
  const need = (kind: keyof typeof ids, id: string, path: string) => {
    if (!ids[kind].has(id)) faults.push({ path, message: `There is no ${kind} “${id}”.` });
  };
  nodes.forEach(({ anchor }, index) => {
    const path = `/frame/nodes/${index}/anchor`;
    if (anchor.on === 'stance') needPoint(document, anchor.point, `${path}/point`, faults);
    if ('node' in anchor) need('node', anchor.node, `${path}/node`);
    if ('nodes' in anchor) anchor.nodes.forEach((node, end) => need('node', node, `${path}/nodes/${end}`));
    if (anchor.on === 'parallel') need('member', anchor.to, `${path}/to`);
    // A node whose member is gone is a finding, not a fault: the rest of the frame is still drawn.
  });
  members.forEach((member, index) => {
    const path = `/frame/members/${index}`;
    member.nodes.forEach((node, end) => need('node', node, `${path}/nodes/${end}`));
    member.bends.forEach((bend, place) => need('node', bend.node, `${path}/bends/${place}/node`));
    need('section', member.section, `${path}/section`);
    need('material', member.material, `${path}/material`);
    if (member.group !== undefined) need('group', member.group, `${path}/group`);
    member.through?.forEach((other, place) => need('member', other, `${path}/through/${place}`));
    for (const end of ['start', 'end'] as const) {
      const cut = member.ends[end];
      if (cut.cut === 'coped')
        cut.hosts.forEach((host, place) =>
          need('member', host.member, `${path}/ends/${end}/hosts/${place}/member`),
        );
      if (cut.cut === 'mitred') need('member', cut.with.member, `${path}/ends/${end}/with/member`);
      if (cut.cut === 'plate') need('plate', cut.plate, `${path}/ends/${end}/plate`);
    }
  });
  plates.forEach((plate, index) => {
    need('node', plate.node, `/frame/plates/${index}/node`);
    need('material', plate.material, `/frame/plates/${index}/material`);
    if (plate.group !== undefined) need('group', plate.group, `/frame/plates/${index}/group`);
  });
  return faults;
}

/** Options of the layout beyond what it can be told. */
function optionFaults({ frame: { origin } }: BuildDocument): Fault[] {
  const told: Readonly<Record<string, unknown>> = origin?.options ?? {};
  return (findLayout(origin?.pattern ?? '')?.options ?? []).flatMap(({ id, limits: [least, most] }) => {
    const value = told[id];
    return typeof value === 'number' && (value < least || value > most)
      ? [{ path: `/frame/origin/options/${id}`, message: `Must lie between ${least} and ${most}.` }]
      : [];
  });
}

function repeated(path: string, items: readonly { readonly id: string }[]): Fault[] {
  const seen = new Set<string>();
  return items.flatMap(({ id }, index) => {
    if (!seen.has(id)) return seen.add(id) && [];
    return [{ path: `${path}/${index}/id`, message: `“${id}” is used twice.` }];
  });
}

function stanceFaults(document: BuildDocument): Fault[] {
  const kind = findKind(document.kind);
  if (!kind) return [{ path: '/kind', message: `“${document.kind}” is not a kind this version knows.` }];
  const has = (id: string) => kind.dimensions.some((dimension) => dimension.id === id);
  const unknown = (id: string, path: string): Fault[] =>
    has(id)
      ? []
      : [{ path, message: `${asSentence(withArticle(kind.name))} has no dimension called “${id}”.` }];
  return [
    ...Object.keys(document.stance.held).flatMap((id) => unknown(id, `/stance/held/${id}`)),
    ...document.brief.limits.flatMap(({ dimension }, index) =>
      unknown(dimension, `/brief/limits/${index}/dimension`),
    ),
    ...document.brief.shelf.flatMap(({ gives }, index) =>
      Object.keys(gives).flatMap((id) => unknown(id, `/brief/shelf/${index}/gives/${id}`)),
    ),
  ];
}

/** A stance point, or a point of the riders and their seats, that the kind has. */
function needPoint({ kind: id }: BuildDocument, point: string, path: string, faults: Fault[]): void {
  const kind = findKind(id);
  if (!kind) return;
  if (!(point in pointsOf(kind)) && !STEERING_POINTS.has(point))
    faults.push({ path, message: `There is no point “${point}” on ${withArticle(kind.name)}.` });
}

const pointsOf = (kind: Kind) => ({ ...kind.points(kind.start), ...kind.seat.points(kind.start) });

/** Lumps go with a point that the kind has, and only its own wheels stand on scales. */
function massFaults({ kind: id, mass: { lumps, scales } }: BuildDocument): Fault[] {
  const kind = findKind(id);
  if (!kind) return [];
  const points = new Set(['origin', ...Object.keys(pointsOf(kind))]);
  const wheels = new Set(kind.wheels(kind.start).map((wheel) => wheel.id));
  const readings = (loads: Readonly<Record<string, number>>, path: string): Fault[] =>
    Object.keys(loads).flatMap((wheel) =>
      wheels.has(wheel)
        ? []
        : [
            {
              path: `${path}/${wheel}`,
              message: `${asSentence(withArticle(kind.name))} has no wheel “${wheel}”.`,
            },
          ],
    );
  return [
    ...repeated('/mass/lumps', lumps),
    ...lumps.flatMap(({ point }, index) =>
      points.has(point)
        ? []
        : [
            {
              path: `/mass/lumps/${index}/point`,
              message: `There is no point “${point}” on ${withArticle(kind.name)}.`,
            },
          ],
    ),
    ...(scales ? readings(scales.level, '/mass/scales/level') : []),
    ...(scales?.raised ? readings(scales.raised.loads, '/mass/scales/raised/loads') : []),
  ];
}

/** A span begins at its lower end. */
function spanFaults({ seat }: BuildDocument): Fault[] {
  return (['statures', 'legSlide', 'armSlide'] as const).flatMap((span) =>
    seat[span][0] <= seat[span][1]
      ? []
      : [{ path: `/seat/${span}`, message: 'The first must not be more than the second.' }],
  );
}

/** A tube needs a bore, all along; a round bar that is solid has a wall of half of it, and is as thick all along. */
function sectionFaults(sections: readonly Section[]): Fault[] {
  return sections.flatMap((section, index) => {
    const path = `/frame/sections/${index}`;
    const faults: Fault[] = [];
    const bore = (wall: number, smallest: number, where: string) => {
      if (2 * wall >= smallest)
        faults.push({ path: `${path}/${where}`, message: 'Twice the wall leaves no bore.' });
    };
    if (section.shape !== 'round') {
      const smallest = Math.min(section.width, section.height);
      bore(section.wall, smallest, 'wall');
      if (section.shape === 'rectangular' && 2 * section.corner > smallest)
        faults.push({ path: `${path}/corner`, message: 'The corners are rounder than the tube is wide.' });
      return faults;
    }
    const { diameter, wall, butts, taper, ovalEnd } = section;
    const smallest = Math.min(
      diameter,
      taper?.diameter ?? diameter,
      ovalEnd?.width ?? diameter,
      ovalEnd?.height ?? diameter,
    );
    if (taper && taper.diameter > diameter)
      faults.push({ path: `${path}/taper/diameter`, message: 'The small end is larger than the tube.' });
    if (butts || taper || ovalEnd || !isBar(section) || 2 * wall > diameter + 1e-6)
      bore(wall, smallest, 'wall');
    if (butts)
      for (const end of ['start', 'end'] as const) bore(butts[end].wall, smallest, `butts/${end}/wall`);
    return faults;
  });
}

function fixtureFaults({ fixture: { profiles } }: BuildDocument): Fault[] {
  const schools = profiles.map(({ school }) => ({ id: school }));
  return [
    ...repeated('/fixture/profiles', schools),
    ...profiles.flatMap((profile, index) => profileFaults(profile, `/fixture/profiles/${index}`)),
  ];
}
