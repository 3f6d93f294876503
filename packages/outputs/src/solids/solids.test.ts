import { WebIO } from '@gltf-transform/core';
import { strFromU8, unzipSync } from 'fflate';
import { validateBytes } from 'gltf-validator';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { made, planMade } from '../../../../testing/made.js';
import { cutListCsv } from '../lists/cutList.js';
import { cutListXlsx } from '../lists/cutListXlsx.js';
import { frameGltf } from './gltf.js';
import { frameStl } from './stl.js';

const kart = planMade(made('kart', 'ladder'));
const steel = (kilograms: number) => kilograms / 7850e-9;

describe('the frame for other programs', () => {
  it('the cut list reads back with every piece, its length and its mass', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(cutListCsv(kart, { units: kart.units }), {
      header: true,
    });
    expect(errors).toEqual([]);
    expect(data.map((row) => row.Piece)).toEqual(
      [...kart.cuts, ...kart.frame.plates].map(({ mark }) => mark),
    );
    const rail = data.find((row) => row.Piece === '1L')!;
    const cut = kart.cuts.find(({ mark }) => mark === '1L')!;
    expect(Number(rail['Longest (mm)'])).toBeCloseTo(cut.overall, 1);
    expect(rail['Second end']).toBe('mitre with 2L');
    const total = data.reduce((sum, row) => sum + Number(row['Mass (kg)']), 0);
    expect(total).toBeCloseTo(
      kart.weights.reduce((sum, { mass }) => sum + mass, 0),
      1,
    );
  });
  it('has table and blade of a cut that leans both ways, in degrees whatever the build’s units', () => {
    // A square tube of the kart cut by a plane that leans both ways: 0.3 over its height, 0.2 across it.
    const cut = kart.cuts.find(({ ends }) => !ends[0].outline.round)!;
    const [miter, bevel] = [Math.atan(0.2), Math.asin(0.3 / Math.hypot(1, 0.3, 0.2))].map(
      (angle) => (angle * 180) / Math.PI,
    ) as [number, number];
    const saw = { ...cut.ends[0].saw!, offSquare: 19.8, miter, bevel };
    const leaning = { ...cut, ends: [{ ...cut.ends[0], cut: 'plate', saw }, cut.ends[1]] } as typeof cut;
    const plan = { ...kart, cuts: kart.cuts.map((each) => (each === cut ? leaning : each)) };
    for (const units of [kart.units, { length: 'fraction', denominator: 16 } as const]) {
      const { data } = Papa.parse<Record<string, string>>(cutListCsv(plan, { units }), { header: true });
      const row = data.find(({ Piece }) => Piece === cut.mark)!;
      const told = row['First end, saw: miter, bevel (deg)']!.split(', ').map(Number);
      expect(told).toEqual([expect.closeTo(miter, 2), expect.closeTo(bevel, 2)]);
      expect(row['Second end, saw: miter, bevel (deg)']).toBe('');
    }
  });
  it('says of each piece whether it is to be cut, is cut, or comes cut', () => {
    const [first, second, third] = kart.cuts.map(({ mark }) => mark) as [string, string, string];
    const terms = { service: 'Somebody', on: '2026-11-02', due: '2026-11-09', price: 1, tolerance: 0.3 };
    const order = (id: string, mark: string) => ({
      ...{ ...terms, id, edges: '' },
      pieces: [{ piece: 'rails', mark, length: 1, of: '', figures: [] }],
    });
    const bar = { id: 'b', section: 's', material: 'm', length: 1, left: 0 };
    const list = cutListCsv(kart, {
      units: kart.units,
      cuts: {
        bends: {},
        bars: [{ ...bar, pieces: [{ piece: 'rails', mark: first, length: 1 }] }],
        orders: [order('C-0001', second), order('C-0002', third)],
      },
      done: [{ step: 'order:C-0002', of: 'C-0002', done: true }],
    });
    const states = Papa.parse<Record<string, string>>(list, { header: true }).data.map(({ State }) => State);
    expect(states.slice(0, 4)).toEqual(['cut', 'ordered cut, C-0001', 'came with order C-0002', 'to cut']);
  });
  it('as a sheet it has the same cells, figures as figures, and is the same bytes each time', async () => {
    const bytes = await cutListXlsx(kart, { units: kart.units }, 'r3-2026-01-02');
    expect(await cutListXlsx(kart, { units: kart.units }, 'r3-2026-01-02')).toEqual(bytes);
    const parts = unzipSync(bytes);
    const sheet = strFromU8(parts['xl/worksheets/sheet1.xml']!);
    const words = strFromU8(parts['xl/sharedStrings.xml']!);
    for (const { mark, name, overall } of kart.cuts) {
      expect(words).toContain(`>${mark}<`);
      expect(words).toContain(name);
      expect(sheet).toContain(`<v>${Number(overall.toFixed(1))}</v>`);
    }
    expect(sheet.match(/<row /g)).toHaveLength(1 + kart.cuts.length + kart.frame.plates.length);
  });
  it('inches, and names that a table program could take for a formula, stay what they are', () => {
    const inches = cutListCsv(
      { ...kart, cuts: [{ ...kart.cuts[0]!, name: '=1+1' }] },
      { units: { length: 'fraction', denominator: 32 } },
    );
    const [row] = Papa.parse<Record<string, string>>(inches, { header: true }).data;
    expect(row!.Name).toBe("'=1+1");
    expect(Number(row!['Longest (in)']) * 25.4).toBeCloseTo(kart.cuts[0]!.overall, 2);
  });
  it('STL holds so many triangles in mm, and the volume of the metal', () => {
    const bytes = frameStl(kart, 'Ladder');
    const view = new DataView(bytes.buffer);
    const count = view.getUint32(80, true);
    expect(bytes.length).toBe(84 + 50 * count);
    let volume = 0;
    for (let index = 0; index < count; index += 1) {
      const at = (corner: number, axis: number) =>
        view.getFloat32(84 + 50 * index + 12 + 12 * corner + 4 * axis, true);
      const [a, b, c] = [0, 1, 2].map(
        (corner) => [at(corner, 0), at(corner, 1), at(corner, 2)] as const,
      ) as unknown as [readonly number[], readonly number[], readonly number[]];
      volume +=
        (a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) +
          a[1]! * (b[2]! * c[0]! - b[0]! * c[2]!) +
          a[2]! * (b[0]! * c[1]! - b[1]! * c[0]!)) /
        6;
    }
    // Chords between every fifth wall line, on rounds and on the corners of boxes, lie inside the metal.
    const share = volume / steel(kart.weights.reduce((sum, { mass }) => sum + mass, 0));
    expect(share).toBeGreaterThan(0.995);
    expect(share).toBeLessThan(1.0005);
  });
  it('glTF has nothing that its own validator finds fault with', async () => {
    const { issues } = await validateBytes(await frameGltf(kart, 'Ladder'));
    expect(issues.messages.filter(({ severity }) => severity < 2)).toEqual([]);
    expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
  });
  it('glTF reads back with a named node a piece, in metres, y up', async () => {
    const document = await new WebIO().readBinary(await frameGltf(kart, 'Ladder'));
    const nodes = document.getRoot().listNodes();
    expect(nodes.map((node) => node.getName())).toContain('1L Rail, left');
    expect(nodes.length).toBe(kart.frame.pieces.length + kart.frame.plates.length);
    const rail = nodes.find((node) => node.getName() === '1L Rail, left')!.getMesh()!;
    const { min, max } = { min: [0, 0, 0], max: [0, 0, 0] };
    const position = rail.listPrimitives()[0]!.getAttribute('POSITION')!;
    position.getMin(min);
    position.getMax(max);
    const piece = kart.frame.pieces.find(({ mark }) => mark === '1L')!;
    expect(max[0]! - min[0]!).toBeCloseTo(piece.length / 1000, 1);
    expect(max[1]! - min[1]!).toBeCloseTo(0.075, 3);
    // The vehicle's left is away from the viewer.
    expect((min[2]! + max[2]!) / 2).toBeCloseTo(-piece.start[1] / 1000, 3);
  });
});
