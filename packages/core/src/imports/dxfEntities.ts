import * as parsing from 'dxf-parser';
import type { IArcEntity, IEntity, ILineEntity, ILwpolylineEntity, IPolylineEntity } from 'dxf-parser';
import { failure, success, type Result } from '../result.js';
import { INCH } from '../units/length.js';
import { withoutDoubles } from './overlaps.js';
import type { Flat, Stroke } from './stroke.js';
import { LARGEST_IMPORT, type NotUnderstood } from './brought.js';

export interface DrawnFile {
  readonly strokes: readonly Stroke[];
  readonly layers: readonly string[];
  readonly not: readonly NotUnderstood[];
  /** What a unit of the drawing is, mm; undefined where the file does not say. */
  readonly unit: number | undefined;
}

/** The package is its class itself to Node, and has it under its name to a bundler. */
const Parser = (
  [parsing.DxfParser, parsing.default] as unknown as readonly (typeof parsing.DxfParser)[]
).find((each) => typeof each === 'function')!;

/** Units by their code. Source: the DXF reference's header variable $INSUNITS. */
const UNITS: Readonly<Record<number, number>> = { 1: INCH, 2: 304.8, 4: 1, 5: 10, 6: 1000, 14: 100 };
/** More than a frame has, and as many as are put together while an option is changed: no more. */
const MOST = 1000;
/** Shorter than this, mm, it is nothing. */
const LEAST = 0.5;
/** An arc of a larger radius is a straight that a program has made, mm. */
const FLATTEST = 100_000;

/**
 * Lines, arcs and polylines of a drawing, by its layers. What else there is is named by sort and layer.
 * @param unit what a unit of the drawing is, mm; else as the file says, or 1
 */
export function readDrawing(text: string, unit?: number): Result<DrawnFile> {
  if (text.length > LARGEST_IMPORT)
    return failure('This drawing is larger than 5 MB: export the centre lines alone.');
  if (text.includes('\0')) return failure('This is a binary file: save the drawing as text (ASCII) DXF.');
  const torn = tornAt(text);
  if (torn !== undefined) return failure(torn);
  let parsed;
  try {
    parsed = new Parser().parseSync(text);
  } catch {
    parsed = null;
  }
  if (!parsed) return failure('This is no DXF that can be read.');
  const { entities } = parsed;
  if (!Array.isArray(entities) || entities.length === 0)
    return failure('There is nothing drawn in this file.');
  if (entities.length > MOST) return failure(TOO_MUCH);
  const said = UNITS[Number(parsed.header?.$INSUNITS)];
  const scale = unit ?? said ?? 1;
  const not = new Map<string, { count: number; why: string }>();
  const strokes: Stroke[] = [];
  const refuseOn =
    (layer: string): Refuse =>
    (what, why, count = 1) => {
      const key = `${what} on layer “${layer}”`;
      not.set(key, { count: (not.get(key)?.count ?? 0) + count, why });
    };
  for (const entity of entities) {
    const layer = entity.layer || '0';
    const refuse = refuseOn(layer);
    if (entity.inPaperSpace)
      refuse(entity.type.toLowerCase(), 'It belongs to a printed sheet, not to the model.');
    else for (const stroke of strokesOf(entity, layer, scale, refuse)) strokes.push(stroke);
  }
  // What the parser has no word for it leaves out without one.
  for (const [layer, sort, count] of passedOver(text, entities)) refuseOn(layer)(sort, OTHER_SORT, count);
  if (strokes.length > MOST) return failure(TOO_MUCH);
  const single = withoutDoubles(strokes);
  for (const [layer, count] of single.doubles)
    refuseOn(layer)('line or arc', 'It is drawn twice, or over another: it became one.', count);
  return success({
    strokes: single.strokes,
    layers: [...new Set(single.strokes.map(({ layer }) => layer))],
    not: [...not].map(([where, { count, why }]) => ({
      where: count > 1 ? `${count} × ${where}` : where,
      why,
    })),
    unit: said,
  });
}

/**
 * What is wrong with a drawing's build of codes and values: the parser would look for an end that never comes.
 * Source: the DXF reference, pairs of lines; sections within SECTION and ENDSEC, and EOF.
 */
function tornAt(text: string): string | undefined {
  const lines = text.trimEnd().split(/\r\n|\r|\n/);
  let inside = false;
  let polyline = false;
  for (let line = 0; line < lines.length; line += 2) {
    const code = lines[line]!.trim();
    if (!/^-?\d+$/.test(code)) return `This is no DXF that can be read: line ${line + 1} is no code.`;
    if (code !== '0') continue;
    const value = lines[line + 1]?.trim();
    if (value === 'EOF') return inside ? ENDS_EARLY : undefined;
    if (value === 'SECTION') {
      if (inside) return ENDS_EARLY;
      inside = true;
    } else if (value === 'ENDSEC') {
      if (!inside || polyline) return ENDS_EARLY;
      inside = false;
    } else if (value === 'POLYLINE') polyline = true;
    else if (value === 'SEQEND') polyline = false;
  }
  return ENDS_EARLY;
}
const ENDS_EARLY = 'This drawing ends in the middle: fetch or export it again.';

const TOO_MUCH = `More than ${MOST} lines and arcs are drawn in this file: export the centre lines alone.`;

type Refuse = (what: string, why: string, count?: number) => void;
const OTHER_SORT = 'Only lines, arcs and polylines become tubes.';

/** Entities of the drawing that the parser did not hand on, by layer and sort. */
function passedOver(
  text: string,
  parsed: readonly IEntity[],
): readonly (readonly [layer: string, sort: string, count: number])[] {
  const counts = new Map<string, [layer: string, sort: string, count: number]>();
  const count = (layer: string, sort: string, by: number) => {
    const key = `${sort} ${layer}`;
    const before = counts.get(key)?.[2] ?? 0;
    counts.set(key, [layer, sort.toLowerCase(), before + by]);
  };
  const lines = text.trimEnd().split(/\r\n|\r|\n/);
  let [inside, sort, layer] = [false, '', '0'];
  const close = () => {
    if (inside && sort !== '' && !PARTS_OF_OTHERS.has(sort)) count(layer, sort, 1);
    [sort, layer] = ['', '0'];
  };
  for (let line = 0; line + 1 < lines.length; line += 2) {
    const [code, value] = [lines[line]!.trim(), lines[line + 1]!.trim()];
    if (code === '2' && sort === 'SECTION') inside = value === 'ENTITIES';
    else if (code === '8' && sort !== '') layer = value === '' ? '0' : value;
    else if (code === '0') {
      close();
      if (value === 'ENDSEC') inside = false;
      sort = value;
    }
  }
  for (const { type, layer: on } of parsed) count(on || '0', type, -1);
  return [...counts.values()].filter(([, , left]) => left > 0);
}
const PARTS_OF_OTHERS: ReadonlySet<string> = new Set([
  'SECTION',
  'ENDSEC',
  'EOF',
  'VERTEX',
  'SEQEND',
  'ATTRIB',
]);

/**
 * A drawing's own axes as an object has them: upright, or turned over about the drawing's y. An object in any other plane has
 * none. Source: the DXF reference, arbitrary axis algorithm.
 */
function axesOf(entity: IEntity): { readonly turned: boolean } | undefined {
  const {
    extrusionDirection: way,
    extrusionDirectionX,
    extrusionDirectionY,
    extrusionDirectionZ,
  } = entity as IEntity & {
    extrusionDirection?: { x: number; y: number; z: number };
    extrusionDirectionX?: number;
    extrusionDirectionY?: number;
    extrusionDirectionZ?: number;
  };
  const [x, y, z] = way
    ? [way.x, way.y, way.z]
    : [extrusionDirectionX ?? 0, extrusionDirectionY ?? 0, extrusionDirectionZ ?? 1];
  return Math.hypot(x, y) > 1e-6 * Math.abs(z) ? undefined : { turned: z < 0 };
}

/** The one height of some points; undefined where they lie at several. */
function levelOf(heights: readonly (number | undefined)[], scale: number): number | undefined {
  const all = heights.map((height) => (height ?? 0) * scale);
  return Math.max(...all) - Math.min(...all) > FLAT_TO ? undefined : (all[0] ?? 0);
}
/** A stroke whose ends lie this near to one height is flat, mm. */
const FLAT_TO = 0.5;
const RUNS_UP = 'It runs out of the plane of the drawing: draw it flat, in a layer of its own.';
const TILTED = 'It lies in a tilted plane: draw it flat, in a layer of its own.';

function strokesOf(entity: IEntity, layer: string, scale: number, refuse: Refuse): readonly Stroke[] {
  const at = (point: { x: number; y: number } | undefined): Flat => [
    (point?.x ?? NaN) * scale,
    (point?.y ?? NaN) * scale,
  ];
  const sort = entity.type.toLowerCase();
  const none = (why: string): readonly Stroke[] => {
    refuse(sort, why);
    return [];
  };
  switch (entity.type) {
    case 'LINE': {
      // Its ends are in the drawing's own axes, however it is extruded.
      const [a, b] = (entity as ILineEntity).vertices;
      const level = levelOf([a?.z, b?.z], scale);
      if (level === undefined) return none(RUNS_UP);
      return kept([{ layer, level, from: at(a), to: at(b) }], sort, refuse);
    }
    case 'ARC': {
      const axes = axesOf(entity);
      if (!axes) return none(TILTED);
      const { center, radius, startAngle, endAngle } = entity as IArcEntity;
      const centre = at(center);
      const size = radius * scale;
      const sweep = (((endAngle - startAngle) % TURN) + TURN) % TURN;
      const on = (angle: number): Flat => [
        centre[0] + size * Math.cos(angle),
        centre[1] + size * Math.sin(angle),
      ];
      const level = (center?.z ?? 0) * scale;
      const stroke = {
        layer,
        level,
        from: on(startAngle),
        to: on(endAngle),
        arc: { centre, radius: size, sweep },
      };
      return kept([axes.turned ? turnedOver(stroke) : stroke], sort, refuse);
    }
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const poly = entity as (ILwpolylineEntity | IPolylineEntity) & {
        elevation?: number;
        is3dPolyline?: boolean;
        is3dPolygonMesh?: boolean;
        isPolyfaceMesh?: boolean;
      };
      if (poly.is3dPolygonMesh || poly.isPolyfaceMesh) return none('It is a mesh, not a line.');
      const axes = poly.is3dPolyline ? { turned: false } : axesOf(entity);
      if (!axes) return none(TILTED);
      // The frame that a spline hangs on is no part of what is drawn.
      const vertices = (poly.vertices ?? []).filter(
        (vertex) => !(vertex as { splineControlPoint?: boolean }).splineControlPoint,
      );
      const level = levelOf(
        vertices.map(({ z }) => z),
        scale,
      );
      if (level === undefined) return none(RUNS_UP);
      const off = level + (poly.elevation ?? 0) * scale;
      const corners = vertices.map((vertex) => ({
        at: at(vertex),
        bulge: (vertex as { bulge?: number }).bulge ?? 0,
      }));
      const ring = poly.shape && corners.length > 2 ? [...corners, corners[0]!] : corners;
      const strokes = ring.slice(1).map(({ at: to }, index): Stroke => {
        const { at: from, bulge } = ring[index]!;
        const straight = { layer, level: off, from, to };
        return bulge === 0 ? straight : { ...straight, arc: bulged(from, to, bulge) };
      });
      if (strokes.length === 0) refuse(sort, 'It has fewer than two corners.');
      return kept(axes.turned ? strokes.map(turnedOver) : strokes, sort, refuse);
    }
    default:
      return none(OTHER_SORT);
  }
}

/** A stroke of an object that is turned over: seen in the drawing's own axes. */
function turnedOver({ from, to, level, arc, ...rest }: Stroke): Stroke {
  const over = ([x, y]: Flat): Flat => [-x + 0, y];
  return {
    ...rest,
    ...{ from: over(from), to: over(to), level: -level + 0 },
    ...(arc ? { arc: { ...arc, centre: over(arc.centre), sweep: -arc.sweep } } : {}),
  };
}

const TURN = 2 * Math.PI;

/** The arc that a polyline's bulge means: the tangent of a quarter of its angle. Source: the DXF reference. */
function bulged(from: Flat, to: Flat, bulge: number): NonNullable<Stroke['arc']> {
  const sweep = 4 * Math.atan(bulge);
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const chord = Math.hypot(dx, dy);
  const radius = chord / 2 / Math.abs(Math.sin(sweep / 2));
  const off = (chord / 2) * ((1 - bulge ** 2) / (2 * bulge));
  return {
    centre: [(from[0] + to[0]) / 2 - (dy / chord) * off, (from[1] + to[1]) / 2 + (dx / chord) * off],
    radius,
    sweep,
  };
}

/** Strokes that are something; the others are told. */
const kept = (strokes: readonly Stroke[], sort: string, refuse: Refuse): readonly Stroke[] =>
  strokes.filter(({ from, to, arc }) => {
    const finite = [...from, ...to, ...(arc ? [...arc.centre, arc.radius, arc.sweep] : [])].every(
      Number.isFinite,
    );
    const why = !finite
      ? 'It has numbers that are none.'
      : arc && !(arc.radius > LEAST)
        ? 'It is an arc of no radius.'
        : arc && arc.radius > FLATTEST
          ? 'Its radius is over 100 m: draw it as a line.'
          : arc && Math.abs(arc.radius * arc.sweep) < LEAST
            ? 'It is an arc of no length.'
            : !arc && Math.hypot(to[0] - from[0], to[1] - from[1]) < LEAST
              ? 'It is a line of no length.'
              : undefined;
    if (why !== undefined) refuse(sort, why);
    return why === undefined;
  });
