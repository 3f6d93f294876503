import {
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  Units,
} from '@tarikjabiri/dxf';
import { STROKES, type Drawing, type Mark, type Stroke } from './drawing.js';

/** Colour number by stroke, as the DXF reference counts them: 7 is the drawing’s own ink. From memory. */
const INK: Readonly<Record<Stroke, number>> = {
  cut: 7,
  edge: 7,
  inner: 8,
  axis: 5,
  match: 1,
  fold: 8,
  thin: 8,
  bar: 3,
};
const ALIGNED = {
  start: undefined,
  middle: TextHorizontalAlignment.Center,
  end: TextHorizontalAlignment.Right,
};

/**
 * A drawing as a DXF file in millimetres, y up from its lower left corner, each kind of line and all text on a layer of its
 * own. Dashes are in the layers' line types.
 */
export function drawingToDxf(drawing: Drawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const up = (y: number): number => drawing.height - y;
  const used = new Set(drawing.marks.flatMap((mark) => (mark.as === 'text' ? [] : [mark.stroke])));
  for (const stroke of used) {
    const { dashes } = STROKES[stroke];
    const type = dashes.length > 0 ? `LW_${stroke.toUpperCase()}` : 'Continuous';
    // Positive is ink, negative is gap.
    if (dashes.length > 0)
      dxf.addLType(
        type,
        stroke,
        dashes.map((dash, index) => (index % 2 === 0 ? dash : -dash)),
      );
    dxf.addLayer(layerOf(stroke), INK[stroke], type);
  }
  dxf.addLayer('TEXT', 7, 'Continuous');
  const drawn = new Set<string>();
  for (const mark of drawing.marks) {
    // What lies on what is there already would be cut twice.
    const same = entityKey(mark);
    if (drawn.has(same)) continue;
    drawn.add(same);
    if (mark.as === 'circle') {
      dxf.addCircle(point3d(mark.at[0], up(mark.at[1])), mark.radius, { layerName: layerOf(mark.stroke) });
    } else if (mark.as === 'path') {
      if (mark.points.length < 2) continue;
      dxf.addLWPolyline(
        mark.points.map(([x, y]) => ({ point: point2d(x, up(y)) })),
        {
          layerName: layerOf(mark.stroke),
          flags: mark.closed ? LWPolylineFlags.Closed : LWPolylineFlags.None,
        },
      );
    } else {
      const at = point3d(mark.at[0], up(mark.at[1]));
      const aligned = ALIGNED[mark.anchor];
      dxf.addText(at, mark.size, plainInDxf(mark.text), {
        layerName: 'TEXT',
        rotation: mark.turned ? -90 : 0,
        ...(aligned === undefined ? {} : { horizontalAlignment: aligned, secondAlignmentPoint: at }),
      });
    }
  }
  return dxf.stringify();
}

/** Alike for two entities that lie on each other, whichever way they run. */
function entityKey(mark: Mark): string {
  if (mark.as === 'circle') return `${mark.stroke} ${mark.at.map(fine).join()} ${fine(mark.radius)}`;
  if (mark.as === 'text') return `${mark.text} ${mark.at.map(fine).join()} ${mark.turned}`;
  const points = mark.points.map(([x, y]) => `${fine(x)},${fine(y)}`);
  const [there, back] = [points.join(' '), [...points].reverse().join(' ')];
  return `${mark.stroke} ${mark.closed} ${there < back ? there : back}`;
}
const fine = (value: number): string => value.toFixed(3);

export const layerOf = (stroke: Stroke): string => stroke.toUpperCase();

/** Letters outside ASCII are written by their code, as the format has it; a line end would break a group. */
export const plainInDxf = (text: string): string =>
  [...text.replace(/[\r\n]+/g, ' ')]
    .map((letter) => {
      const code = letter.codePointAt(0)!;
      return code < 128
        ? letter
        : code < 0x10000
          ? `\\U+${code.toString(16).toUpperCase().padStart(4, '0')}`
          : '?';
    })
    .join('');
