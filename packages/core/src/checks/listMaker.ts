import type { ViewName } from '../stance/dimension.js';
import { nameInText } from '../words.js';
import { comparedOf, readingOf, type Comparison, type How, type Measurand } from './measure.js';
import type { MeasuringPoints } from './points.js';
import { READS, TOLERANCES, type Tolerance, type Tool } from './tolerances.js';

interface Told {
  readonly name: string;
  readonly about: string;
  readonly as: How;
  readonly points: readonly string[];
  readonly tolerance: Tolerance;
  readonly tool: Tool;
  readonly view: ViewName;
}

/** Puts measures together; what touches a point that a build has not, is left out. */
export class ListMaker {
  readonly measures: Measurand[] = [];
  readonly comparisons: Comparison[] = [];
  constructor(
    readonly points: MeasuringPoints,
    private readonly tolerances: Readonly<Record<string, number>>,
  ) {}

  tolerance(id: string, usual: Tolerance): Tolerance {
    const own = this.tolerances[id];
    return own === undefined ? usual : { value: own, source: 'the builder’s own' };
  }
  has = (...ids: string[]): boolean => ids.every((id) => Object.hasOwn(this.points, id));

  add(id: string, told: Told, more: Partial<Measurand> = {}): void {
    if (!this.has(...told.points)) return;
    this.measures.push({
      ...told,
      id,
      tolerance: this.tolerance(id, told.tolerance),
      quantity: told.as === 'level' || told.as === 'lean' ? 'angle' : 'length',
      nominal: more.nominal ?? readingOf({ ...told, ...more }, (point) => this.points[point]!.at),
      reads: READS[told.tool],
      whole: false,
      ...more,
    });
  }
  compare(
    id: string,
    name: string,
    of: readonly string[],
    usual: Tolerance,
    as: Comparison['as'] = 'difference',
  ) {
    const measures = of.map((each) => this.measures.find((measure) => measure.id === each));
    if (measures.some((measure) => measure === undefined)) return;
    this.comparisons.push({
      ...{ id, name, of, as },
      quantity: measures[0]!.quantity,
      nominal: comparedOf(
        { as },
        measures.map((measure) => measure!.nominal),
      ),
      tolerance: this.tolerance(id, usual),
    });
  }

  /** From point to point with a tape. */
  distance(
    id: string,
    from: string,
    to: string,
    tolerance: Tolerance,
    view: ViewName = 'side',
    tool: Tool = 'tape',
  ) {
    if (!this.has(from, to)) return;
    const [a, b] = [this.points[from]!, this.points[to]!];
    this.add(id, {
      name: `${a.name} to ${nameInText(b.name)}`,
      about: a.touch === b.touch ? `From and to: ${a.touch}.` : `From: ${a.touch}. To: ${b.touch}.`,
      ...{ as: 'distance', points: [from, to], tolerance, tool, view },
    });
  }
  /** Left and right of the same, and one against the other. */
  pair(
    id: string,
    name: string,
    [a, b]: readonly [readonly [string, string], readonly [string, string]],
    tolerance: Tolerance,
    view: ViewName = 'plan',
  ) {
    this.distance(`${id}.left`, a[0], a[1], TOLERANCES.length, view);
    this.distance(`${id}.right`, b[0], b[1], TOLERANCES.length, view);
    this.compare(id, name, [`${id}.left`, `${id}.right`], tolerance);
  }
  height(point: string, tolerance = TOLERANCES.height) {
    if (!this.has(point)) return;
    this.add(`height.${point}`, {
      name: `${this.points[point]!.name}: height`,
      about: 'Above the table, or a level line; the frame stands as it will on its wheels.',
      ...{ as: 'height', points: [point], tolerance, tool: 'height', view: 'side' },
    });
  }
  beside(point: string) {
    if (!this.has(point)) return;
    this.add(`beside.${point}`, {
      name: `${this.points[point]!.name}: beside the middle`,
      about: 'From the middle plane: positive to the left, negative to the right.',
      ...{ as: 'beside', points: [point], tolerance: TOLERANCES.beside, tool: 'string', view: 'plan' },
    });
  }
  /** A tube by the angle gauge, from the side and from the front. */
  tube(id: string, name: string, from: string, to: string) {
    this.add(`level.${id}`, {
      name: `${name}: against level`,
      about: 'Gauge on the side of the tube, zeroed on the table.',
      ...{ as: 'level', points: [from, to], tolerance: TOLERANCES.angle, tool: 'gauge', view: 'side' },
    });
    this.add(`lean.${id}`, {
      name: `${name}: out of plumb, to the left`,
      about: 'Gauge on the front of the tube, zeroed on a plumb face.',
      ...{ as: 'lean', points: [from, to], tolerance: TOLERANCES.twist, tool: 'gauge', view: 'front' },
    });
  }
}
