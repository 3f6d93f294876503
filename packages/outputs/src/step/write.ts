import { getOC, type Shape3D } from 'replicad';
import type { TDF_Label, TDocStd_Document, TopoDS_Shape } from 'replicad-opencascadejs';
import { mirror, scale, type Vector } from '@larchwood/core';
import { triple } from './shapes.js';

/** A right-handed place: where its origin lies, and its first and third axis. */
export interface Place {
  readonly at: Vector;
  readonly x: Vector;
  readonly z: Vector;
}

/** One body, and each place in which it stands; in its own place alone where none are named. */
export interface Part {
  readonly name: string;
  readonly shape: Shape3D;
  /** Red, green and blue, 0 to 1. */
  readonly colour: readonly [number, number, number];
  readonly stands: readonly { readonly name: string; readonly from?: Place; readonly to?: Place }[];
}

/** What the head of the file says. */
export interface Head {
  readonly name: string;
  readonly description: string;
  /** Date as ISO 8601 says it: never that of the writing, so that the same build gives the same file. */
  readonly date: string;
}

/** An assembly of parts as STEP, AP242, in mm; a part that stands twice is written once. Source of the form: ISO 10303-21. */
export function assemblyStep(head: Head, parts: readonly Part[]): string {
  const { document, shapes, named, add } = emptyDocument();
  const root = named(shapes.NewShape(), head.name);
  for (const { name, shape, colour, stands } of parts) {
    const part = add(shape.wrapped, name, colour);
    for (const { name: stand, from, to } of stands)
      named(shapes.AddComponent(root, part, locationOf(from, to)), stand);
  }
  shapes.UpdateAssemblies();
  return written(document, head);
}

/** One body alone as STEP, in a place of its own. */
export function bodyStep(head: Head, shape: Shape3D, from: Place, colour: Part['colour']): string {
  const { document, add } = emptyDocument();
  const moved = new (getOC().BRepBuilderAPI_Transform)(
    shape.wrapped,
    displacement(from, ORIGIN),
    true,
    false,
  );
  add(moved.Shape(), head.name, colour);
  return written(document, head);
}

function emptyDocument() {
  const oc = getOC();
  const text = (words: string) => new oc.TCollection_ExtendedString(words, true);
  const document = new oc.TDocStd_Document(text('XmlOcaf'));
  oc.XCAFDoc_ShapeTool.SetAutoNaming(false);
  const shapes = oc.XCAFDoc_DocumentTool.ShapeTool(document.Main());
  const colours = oc.XCAFDoc_DocumentTool.ColorTool(document.Main());
  const named = (label: TDF_Label, name: string): TDF_Label => {
    oc.TDataStd_Name.Set(label, text(name));
    return label;
  };
  const add = (shape: TopoDS_Shape, name: string, colour: Part['colour']): TDF_Label => {
    const part = named(shapes.AddShape(shape, false, false), name);
    const paint = new oc.Quantity_ColorRGBA(...colour, 1);
    colours.SetColor(part, paint, oc.XCAFDoc_ColorType.XCAFDoc_ColorSurf);
    return part;
  };
  return { document, shapes, named, add };
}

export const ORIGIN: Place = { at: [0, 0, 0], x: [1, 0, 0], z: [0, 0, 1] };

function displacement(from: Place, to: Place) {
  const oc = getOC();
  const axes = ({ at, x, z }: Place) =>
    new oc.gp_Ax3(new oc.gp_Pnt(...triple(at)), new oc.gp_Dir(...triple(z)), new oc.gp_Dir(...triple(x)));
  const move = new oc.gp_Trsf();
  move.SetDisplacement(axes(from), axes(to));
  return move;
}

function locationOf(from: Place | undefined, to: Place | undefined) {
  const oc = getOC();
  return from && to ? new oc.TopLoc_Location(displacement(from, to)) : new oc.TopLoc_Location();
}

const FILE = 'out.step';

function written(document: TDocStd_Document, head: Head): string {
  const oc = getOC();
  // Made once before anything is set: its settings are there only then.
  new oc.STEPCAFControl_Writer().delete();
  for (const [name, value] of [
    ['xstep.cascade.unit', 'MM'],
    ['write.step.unit', 'MM'],
  ] as const)
    oc.Interface_Static.SetCVal(name, value);
  for (const [name, value] of [
    ['write.surfacecurve.mode', 1],
    ['write.precision.mode', 0],
    ['write.step.assembly', 2],
    ['write.step.schema', 5],
  ] as const)
    oc.Interface_Static.SetIVal(name, value);
  const session = new oc.XSControl_WorkSession();
  const writer = new oc.STEPCAFControl_Writer(session, false);
  writer.SetColorMode(true);
  writer.SetNameMode(true);
  if (!writer.Perform(document, FILE, new oc.Message_ProgressRange()))
    throw new Error('The solids could not be written.');
  const content = new TextDecoder().decode(oc.FS.readFile(`/${FILE}`) as Uint8Array);
  oc.FS.unlink(`/${FILE}`);
  writer.delete();
  session.delete();
  return numbered(withHead(content, head));
}

/** Its own head in place of the modeller's, which has the time of the writing in it. */
const withHead = (content: string, { name, description, date }: Head): string =>
  content.replace(
    /FILE_DESCRIPTION[\s\S]*?FILE_NAME[\s\S]*?;/,
    () =>
      `FILE_DESCRIPTION((${quoted(description)}),'2;1');\nFILE_NAME(${quoted(name)},'${date}',(''),(''),'Larchwood','Larchwood','');`,
  );

/** Occurrences counted from one in each file: the modeller counts on from file to file. */
function numbered(content: string): string {
  let count = 0;
  return content.replace(
    /(NEXT_ASSEMBLY_USAGE_OCCURRENCE\()'\d+'([\s\S]*?\);)/g,
    (_, name: string, rest: string) => {
      count += 1;
      // Where it breaks its lines goes by how long the number was: outside of quotes they are joined.
      const joined = rest
        .split("'")
        .map((part, place) => (place % 2 === 0 ? part.replace(/\s*\n\s*/g, '') : part));
      return `${name}'${count}'${joined.join("'")}`;
    },
  );
}

/** Text as ISO 10303-21 has it: apostrophes and backslashes doubled, what is not ASCII by its number. */
export const quoted = (text: string): string =>
  `'${[...text]
    .map((letter) => {
      if (letter === "'" || letter === '\\') return letter + letter;
      const code = letter.codePointAt(0)!;
      if (code >= 32 && code < 127) return letter;
      return code > 0xffff
        ? `\\X4\\${code.toString(16).toUpperCase().padStart(8, '0')}\\X0\\`
        : `\\X2\\${code.toString(16).toUpperCase().padStart(4, '0')}\\X0\\`;
    })
    .join('')}'`;

/** Where a place on a left piece is on its right twin, if that is the same piece turned over: `z` is square to the plane that halves it. */
export const turnedOver = ({ at, x, z }: Place): Place => ({
  at: mirror(at),
  x: mirror(x),
  z: scale(mirror(z), -1),
});
