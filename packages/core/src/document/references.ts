import { findKind } from '../stance/kinds/registry.js';
import { MATERIALS } from '../frame/materials.js';
import type { BuildDocument, Section } from './schema.js';
import { asSentence, withArticle } from '../words.js';
import type { Fault } from './faults.js';

/** Faults a schema cannot see: names that point nowhere, names used twice, dimensions that the kind does not have. */
export function referenceFaults(document: BuildDocument): Fault[] {
  const { nodes, members, sections, plates } = document.frame;
  const faults: Fault[] = [
    ...repeated('/frame/nodes', nodes),
    ...repeated('/frame/members', members),
    ...repeated('/frame/sections', sections),
    ...repeated('/frame/plates', plates),
    ...stanceFaults(document),
    ...massFaults(document),
    ...spanFaults(document),
    ...axisFaults(document),
    ...sectionFaults(sections),
  ];
  const ids = {
    node: new Set(nodes.map((node) => node.id)),
    member: new Set(members.map((member) => member.id)),
    section: new Set(sections.map((section) => section.id)),
    material: new Set(MATERIALS.map((material) => material.id)),
  };
  const need = (kind: keyof typeof ids, id: string, path: string) => {
    if (!ids[kind].has(id)) faults.push({ path, message: `There is no ${kind} “${id}”.` });
  };
  nodes.forEach((node, index) => {
    if (node.anchor.on === 'member')
      need('member', node.anchor.member, `/frame/nodes/${index}/anchor/member`);
  });
  members.forEach((member, index) => {
    const path = `/frame/members/${index}`;
    member.nodes.forEach((node, end) => need('node', node, `${path}/nodes/${end}`));
    need('section', member.section, `${path}/section`);
    need('material', member.material, `${path}/material`);
    for (const end of ['start', 'end'] as const) {
      const cut = member.ends[end];
      if (cut.cut === 'coped')
        cut.hosts.forEach((host, place) =>
          need('member', host.member, `${path}/ends/${end}/hosts/${place}/member`),
        );
    }
  });
  plates.forEach((plate, index) => {
    need('node', plate.node, `/frame/plates/${index}/node`);
    need('material', plate.material, `/frame/plates/${index}/material`);
  });
  return faults;
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

/** Lumps go with a point that the kind has, and only its own wheels stand on scales. */
function massFaults({ kind: id, mass: { lumps, scales } }: BuildDocument): Fault[] {
  const kind = findKind(id);
  if (!kind) return [];
  const points = new Set([
    'origin',
    ...Object.keys({ ...kind.points(kind.start), ...kind.seat.points(kind.start) }),
  ]);
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

/** A tube needs a bore, all along. */
function sectionFaults(sections: readonly Section[]): Fault[] {
  return sections.flatMap(({ diameter, wall, butts, taper }, index) => {
    const path = `/frame/sections/${index}`;
    const smallest = Math.min(diameter, taper?.diameter ?? diameter);
    const faults: Fault[] = [];
    if (taper && taper.diameter > diameter)
      faults.push({ path: `${path}/taper/diameter`, message: 'The small end is larger than the tube.' });
    if (2 * wall >= smallest)
      faults.push({ path: `${path}/wall`, message: 'Twice the wall leaves no bore.' });
    for (const end of ['start', 'end'] as const) {
      if (butts && 2 * butts[end].wall >= smallest)
        faults.push({ path: `${path}/butts/${end}/wall`, message: 'Twice the wall leaves no bore.' });
    }
    return faults;
  });
}

function axisFaults(document: BuildDocument): Fault[] {
  const axes = document.fixture.profile.axes;
  const crossed = axes.flatMap((axis, index) =>
    axis.low < axis.high
      ? []
      : [
          {
            path: `/fixture/profile/axes/${index}/low`,
            message: 'The scale’s low end must be below its high end.',
          },
        ],
  );
  return [...repeated('/fixture/profile/axes', axes), ...crossed];
}
