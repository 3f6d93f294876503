import { frameOf } from '../frame/frame.js';
import { SECTION_LIBRARY } from '../frame/library.js';
import type { FrameData, LayoutOptions } from '../frame/layouts/layout.js';
import type { ButtTrim } from '../joints/cut.js';
import { THICK_LEFT } from '../joints/findings.js';
import { cutPieces } from '../joints/pieceCut.js';
import type { Stance } from '../stance/stance.js';
import type { BuildDocument, RoundSection, Section } from '@larchwood/format';

const MOST_ROUNDS = 4;

const LIBRARY: readonly Section[] = SECTION_LIBRARY.flatMap(({ sections }) => sections);

/**
 * A first frame whose butted tubes are long enough as sold: where the usual one of a layout is too short for this stance,
 * or too little of its thick end is left, a longer one of the same diameter takes its place, or else plain-gauge tube. What
 * the builder chose stays.
 * @param make the frame with the sections chosen by member; undefined where none can be made
 */
export function buttedFitted(
  document: BuildDocument,
  stance: Stance,
  options: LayoutOptions,
  make: (options: LayoutOptions) => FrameData | undefined,
): { readonly frame: FrameData } | undefined {
  let sections: Readonly<Record<string, string>> = {};
  let frame = make(options);
  for (let round = 0; frame && round < MOST_ROUNDS; round += 1) {
    const placed = frameOf({ ...document, frame }, stance);
    const changes: Record<string, string> = {};
    for (const cut of cutPieces(placed)) {
      const { member, section } = placed.pieces.find(({ id }) => id === cut.piece)!;
      if (!cut.butts || fits(cut.butts) || options.sections?.[member.id] !== undefined) continue;
      if (section.shape === 'round') changes[member.id] = nextTube(section);
    }
    if (Object.keys(changes).length === 0) break;
    sections = { ...sections, ...changes };
    frame = make({ ...options, sections: { ...sections, ...options.sections } });
  }
  return frame && { frame };
}

const fits = ({ spare, thickLeft }: ButtTrim): boolean =>
  spare >= 0 && Math.min(thickLeft.start, thickLeft.end) >= THICK_LEFT;

/** The next longer butted tube of a diameter; the plain one with a wall like its thick ends where there is none. */
function nextTube({ diameter, butts }: RoundSection): string {
  const round = LIBRARY.filter(
    (each): each is RoundSection => each.shape === 'round' && each.diameter === diameter && !each.taper,
  );
  const longer = round
    .filter((each) => each.butts && each.butts.soldLength > butts!.soldLength)
    .sort((a, b) => a.butts!.soldLength - b.butts!.soldLength)[0];
  if (longer) return longer.id;
  const wall = butts!.start.wall;
  const plain = round
    .filter((each) => !each.butts)
    .sort((a, b) => Math.abs(a.wall - wall) - Math.abs(b.wall - wall))[0];
  return plain?.id ?? round[0]!.id;
}
