import { describe, expect, it } from 'vitest';
import { made, planMade } from '../../../../testing/made.js';
import { createBuild, frameFromLayout } from '../start/create.js';
import type { Node, Section } from '@larchwood/format';
import { distance } from '../vector/vector.js';
import { findMaterial, MATERIALS } from './materials.js';
import { SECTION_LIBRARY } from './library.js';
import { gaugeOf, GAUGES, parseGauge } from './gauge.js';
import { acrossOf, diameterAt, propertiesOf, roundTube } from './sections.js';

describe('sections', () => {
  const all = SECTION_LIBRARY.flatMap(({ sections }) => sections);
  it('each has an id of its own and leaves a bore', () => {
    expect(new Set(all.map((section) => section.id)).size).toBe(all.length);
    for (const section of all) {
      const smallest = section.shape === 'round' ? section.diameter : Math.min(section.width, section.height);
      expect(section.wall * 2, section.name).toBeLessThan(smallest);
    }
    for (const section of all) {
      if (section.shape !== 'round' || !section.butts) continue;
      const { start, end, soldLength } = section.butts;
      expect(start.length + start.taper + end.length + end.taper).toBeLessThan(soldLength);
    }
  });
  it.each([
    // Mass of steel tube in kg/m; source: EN 10219-2 tables, from memory.
    [42.4, 2.6, 2.55],
    [48.3, 2.6, 2.93],
    [60.3, 2.6, 3.7],
  ])('%d x %d weighs %d kg/m in steel', (diameter, wall, mass) => {
    expect((roundTube(diameter, wall).area * 7850) / 1e6).toBeCloseTo(mass, 2);
  });
  it.each([
    // Mass of square and rectangular steel tube in kg/m; source: EN 10219-2 tables, from memory.
    [20, 20, 2, 1.05],
    [30, 30, 2, 1.68],
    [40, 40, 2, 2.31],
    [40, 40, 3, 3.3],
    [50, 50, 3, 4.25],
    [60, 40, 3, 4.25],
  ])('%d x %d x %d weighs %d kg/m in steel', (width, height, wall, mass) => {
    const { area } = propertiesOf({
      id: 'b',
      name: 'b',
      shape: 'rectangular',
      width,
      height,
      wall,
      corner: 2 * wall,
    });
    expect((area * 7850) / 1e6).toBeCloseTo(mass, 1.5);
  });
  it('second moments of a box are those of its two rectangles when its corners are sharp', () => {
    // Source: b h3 / 12, any strength-of-materials text.
    const box = propertiesOf({
      id: 'b',
      name: 'b',
      shape: 'rectangular',
      width: 30,
      height: 60,
      wall: 2,
      corner: 0,
    });
    expect(box.upright).toBeCloseTo((30 * 60 ** 3 - 26 * 56 ** 3) / 12, 6);
    expect(box.sideways).toBeCloseTo((60 * 30 ** 3 - 56 * 26 ** 3) / 12, 6);
  });
  it('rounded corners take from area and second moment what a fine sum over strips finds', () => {
    const section: Section = {
      id: 'b',
      name: 'b',
      shape: 'rectangular',
      width: 30,
      height: 60,
      wall: 3,
      corner: 6,
    };
    const strips = (width: number, height: number, r: number) => {
      let [area, upright] = [0, 0];
      const n = 20000;
      for (let index = 0; index < n; index += 1) {
        const z = -height / 2 + (height * (index + 0.5)) / n;
        const over = Math.max(0, Math.abs(z) - (height / 2 - r));
        const wide = width - 2 * (r - Math.sqrt(Math.max(0, r * r - over * over)));
        area += (wide * height) / n;
        upright += (wide * z * z * height) / n;
      }
      return { area, upright };
    };
    const [outside, inside] = [strips(30, 60, 6), strips(24, 54, 3)];
    const { area, upright } = propertiesOf(section);
    expect(area / (outside.area - inside.area)).toBeCloseTo(1, 6);
    expect(upright / (outside.upright - inside.upright)).toBeCloseTo(1, 6);
  });
  it('the two gauge tables differ, and each reads its own', () => {
    // Values from memory.
    expect(parseGauge('16 ga', 'Birmingham')).toEqual({ ok: true, value: 0.065 * 25.4 });
    expect(parseGauge('16 GA', 'sheet')).toEqual({ ok: true, value: 0.0598 * 25.4 });
    expect(parseGauge('16', 'sheet')).toBeUndefined();
    for (const table of ['sheet', 'Birmingham'] as const)
      for (const gauge of Object.keys(GAUGES[table])) {
        const read = parseGauge(`${gauge} gauge`, table)!;
        expect(read.ok && gaugeOf(read.value, table)).toBe(Number(gauge));
      }
    expect(parseGauge('99 ga', 'sheet')).toMatchObject({
      ok: false,
      message: /^No gauge 99 here: 7, 8, .* or 24/,
    });
    expect(gaugeOf(0.083 * 25.4, 'Birmingham')).toBe(14);
  });
  it('second moment of a thin tube is near pi r^3 t', () => {
    // Source: thin-wall approximation, any strength-of-materials text.
    expect(roundTube(50, 0.5).secondMoment / (Math.PI * 24.75 ** 3 * 0.5)).toBeCloseTo(1, 3);
  });
  it('a tapered stay is as thick as it should be where it is asked', () => {
    const stay: Section = {
      id: 's',
      name: 's',
      shape: 'round',
      diameter: 20,
      wall: 1,
      taper: { diameter: 12, length: 200 },
    };
    expect([0, 200, 300, 400].map((from) => diameterAt(stay, 400, from))).toEqual([20, 20, 16, 12]);
  });
  it('the library holds every size that the pattern list asks for a bicycle', () => {
    // Usual sections: common practice, from memory.
    const diameters = new Set(all.map((section) => Math.round(acrossOf(section) * 10) / 10));
    for (const size of [12, 14, 16, 19, 22.2, 25.4, 28.6, 31.8, 34.9, 36, 38.1, 44])
      expect(diameters).toContain(size);
  });
});

describe('the frame on its stance', () => {
  it('follows the stance: nodes stay on what they are anchored to', () => {
    const document = made();
    const moved = {
      ...document,
      stance: {
        ...document.stance,
        held: { ...document.stance.held, headAngle: 70, reach: 420, bottomBracketDrop: 60 },
      },
    };
    for (const each of [document, moved]) {
      const { frame, stance } = planMade(each);
      expect(frame.nodes.headLower).toEqual(stance.points.headTubeLower);
      expect(frame.nodes.shellLeft![1]).toBe(34);
      const anchor = document.frame.nodes.find((node) => node.id === 'topAtHead')!.anchor;
      expect(distance(frame.nodes.topAtHead!, stance.points.headTubeUpper!)).toBeCloseTo(
        anchor.on === 'member' ? anchor.distance : -1,
        9,
      );
    }
  });
  it('a node hangs on a member, on a node that hangs on a member', () => {
    const document = made();
    const extra: Node = {
      id: 'bottle',
      name: 'Bottle boss',
      anchor: { on: 'member', member: 'downTube', from: 'start', distance: 200, offset: [0, 0, 10] },
    };
    const { frame } = planMade({
      ...document,
      frame: { ...document.frame, nodes: [extra, ...document.frame.nodes] },
    });
    const down = frame.pieces.find((piece) => piece.id === 'downTube')!;
    expect(frame.nodes.bottle![0]).toBeCloseTo(down.start[0] + 200 * down.direction[0], 9);
    expect(frame.nodes.bottle![2]).toBeCloseTo(down.start[2] + 200 * down.direction[2] + 10, 9);
  });
  it('twins are mirrored across the middle plane and carry L and R', () => {
    const { pieces, plates } = planMade(made()).frame;
    const [left, right] = ['seatstays:left', 'seatstays:right'].map((id) =>
      pieces.find((piece) => piece.id === id)!,
    );
    expect([left!.mark, right!.mark]).toEqual(['7L', '7R']);
    expect(right!.end).toEqual([left!.end[0], -left!.end[1], left!.end[2]]);
    expect(plates.map((plate) => plate.mark)).toEqual(['8L', '8R']);
  });
  it('weighs a butted tube by its zones', () => {
    // Worked by hand: volume of the thin tube, and of the two thick ends with half their tapers.
    const { frame } = planMade(made());
    const top = frame.pieces.find((piece) => piece.id === 'topTube')!;
    const ring = (wall: number) => Math.PI * (28.6 - wall) * wall;
    const thick = 105 + 45 / 2 + (95 + 45 / 2);
    const volume = ring(0.5) * top.length + (ring(0.8) - ring(0.5)) * thick;
    expect(top.mass).toBeCloseTo((volume * findMaterial('chromoly-4130')!.density) / 1e9, 6);
  });
  it('materials: aluminium and titanium say that their joints need a procedure of their own', () => {
    for (const material of MATERIALS)
      expect(material.note !== undefined, material.name).toBe(/alum|titan/i.test(material.name));
  });
});

describe('the diamond pattern', () => {
  it('made again from another stance, it suits that stance', () => {
    const document = made();
    const longer = {
      ...document,
      stance: { ...document.stance, held: { ...document.stance.held, headTubeLength: 260, headAngle: 69 } },
    };
    const again = frameFromLayout(longer);
    if (!again.ok) throw new Error(again.message);
    expect(
      planMade(again.value).findings.filter(
        (finding) => finding.where.station === 'joints' && finding.severity === 'stop',
      ),
    ).toEqual([]);
    expect(again.value.frame.members.map((member) => member.piece)).toEqual([1, 2, 3, 4, 5, 6, 7, 9, 10]);
  });
  it('keeps head-tube joints clear of both faces, also on a short head tube', () => {
    const made = createBuild({
      name: 'Short',
      kind: 'bicycle',
      startingSet: 'road',
      held: { headTubeLength: 90 },
    });
    if (!made.ok) throw new Error(made.message);
    expect(planMade(made.value).findings.map((finding) => finding.code)).not.toContain('past-host-end');
  });
  it('says why a build cannot be begun', () => {
    expect(createBuild({ name: 'x', kind: 'bicycle', startingSet: 'nothing' })).toMatchObject({
      ok: false,
      message: expect.stringContaining('nothing'),
    });
    expect(createBuild({ name: 'x', kind: 'boat', startingSet: 'road' })).toMatchObject({
      ok: false,
      message: expect.stringContaining('boat'),
    });
    expect(
      createBuild({ name: 'x', kind: 'bicycle', startingSet: 'road', held: { headAngle: 4 } }),
    ).toMatchObject({ ok: false, message: expect.stringContaining('Head angle') });
  });
});
