import { displayOf, findSchool, fixedPlan, sizeIn } from '@larchwood/core';
import type { Drawing } from '../drawing.js';
import { drawingToDxf } from '../dxf.js';
import { fixtureDrawing, fixtureOnRoll } from '../fixture/fixtureDrawing.js';
import { fixtureSheets } from '../fixture/fixtureSheets.js';
import { fullSizeDrawing, planOnRoll } from '../fixture/fullSize.js';
import { settingsCsv } from '../fixture/settingsCsv.js';
import { drawingToSvg } from '../svg.js';
import { tiled } from '../tiles.js';
import { noTubes, notHeld, paper, type Output, type Source } from './output.js';

/** A fixture's paper shows what it holds. */
const held = ({ document, plan }: Source) => fixedPlan(document, plan);
const onlyHeld = (source: Source): Source => ({ ...source, plan: held(source) });

/** Drawing to scale, settings to tick, checks and lists. */
export const settingSheets = paper({
  id: 'fixture-sheets',
  title: 'Settings, checks and lists',
  group: 'fixture',
  name: ({ document }) => `${document.brief.school}-sheets`,
  refuse: notHeld,
  pages: (source) => {
    const { document, details, revision } = source;
    return fixtureSheets(document, held(source), details(), { size: document.paper.size, revision });
  },
});

export const settingsTable: Output = {
  id: 'settings',
  title: 'Settings, CSV',
  group: 'fixture',
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'settings',
  refuse: notHeld,
  make: ({ document, plan }) => settingsCsv(document, plan.fixture),
};

/** A drawing at full size: on sheets or a roll as the document's paper says, and in one piece for other programs. */
interface FullSize {
  readonly id: string;
  readonly title: string;
  readonly name: Output['name'];
  readonly caution?: string;
  readonly refuse: Output['refuse'];
  readonly what: (source: Source) => string;
  readonly whole: (source: Source) => Drawing;
  readonly onRoll: (source: Source) => Drawing;
}

function fullSize({ what, whole: drawn, onRoll: rolled, ...given }: FullSize): readonly Output[] {
  const [whole, onRoll] = [drawn, rolled].map((make) => (source: Source) => make(onlyHeld(source))) as [
    FullSize['whole'],
    FullSize['onRoll'],
  ];
  const sheets = paper({
    ...given,
    group: 'fixture',
    pages: (source) => {
      const { document, plan, revision } = source;
      const { size, overlap, printer, planOn } = document.paper;
      if (planOn === 'roll') return [onRoll(source)];
      const units = document.units.length === 'mm' ? 'mm' : 'in';
      const block = { build: plan.name, what: what(source), revision, scale: '1:1', units };
      return tiled(whole(source), { size, overlap, printer, block });
    },
  });
  const form = (suffix: string, title: string, mediaType: string, make: Output['make']): Output => ({
    ...given,
    id: `${given.id}-${suffix}`,
    title,
    listed: `${given.title}, ${title}`,
    group: 'fixture',
    formOf: given.id,
    mediaType,
    suffix,
    make,
  });
  return [
    sheets,
    form('svg', 'SVG', 'image/svg+xml', (source) =>
      drawingToSvg(whole(source), `${source.document.name}: ${given.name(source, {})}`),
    ),
    form('dxf', 'DXF in mm', 'image/vnd.dxf', (source) => drawingToDxf(whole(source))),
  ];
}

const displayIn = ({ document, plan }: Source) => displayOf(plan.fixture.profile, document.units);

/** Board marks or stop blocks. */
export const fixtureFullSize = fullSize({
  id: 'fixture-full-size',
  title: 'Fixture at full size',
  name: ({ document }) => `${document.brief.school}-fixture`,
  refuse: notHeld,
  what: ({ plan }) => plan.fixture.name,
  whole: (source) => fixtureDrawing(source.plan, source.details(), displayIn(source)),
  onRoll: (source) => {
    const { document, plan, details, revision } = source;
    const { rollWidth, printer } = document.paper;
    return fixtureOnRoll(plan, details(), displayIn(source), rollWidth, printer, revision);
  },
});

const PLAN = findSchool('plan')!;
const marginOf = ({ document, plan }: Source): number => sizeIn({ document, ...plan }, PLAN, 'margin');

/** The frame itself in side, plan and front view. */
export const fullSizePlan = fullSize({
  id: 'plan',
  title: 'Full-size plan',
  name: () => 'plan',
  // A plan on paper is a fire load, whatever holds the frame.
  caution: PLAN.caution!,
  refuse: noTubes,
  what: () => 'plan',
  whole: (source) => fullSizeDrawing(source.plan, marginOf(source)),
  onRoll: (source) => {
    const { rollWidth, printer } = source.document.paper;
    return planOnRoll(source.plan, marginOf(source), rollWidth, printer, source.revision);
  },
});
