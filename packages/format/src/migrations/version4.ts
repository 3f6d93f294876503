import { isRecord, omitted } from './fields.js';

/** Version 4 knew one school only, with eight axes in its profile, and two sizes of paper. */
export function fromVersion4(value: Record<string, unknown>): Record<string, unknown> {
  const { fixture, paper } = value;
  const old = isRecord(fixture) && isRecord(fixture.profile) ? fixture.profile : {};
  const axes = Array.isArray(old.axes) ? old.axes.filter(isRecord) : [];
  const sizes = Object.entries(old).filter(([, size]) => typeof size === 'number');
  return {
    ...value,
    version: 5,
    fixture: {
      profiles: [
        {
          school: 'slide-and-post',
          name: old.name ?? 'Slide-and-post fixture',
          units: 'build',
          sizes: Object.fromEntries(sizes),
          choices: {},
          scales: Object.fromEntries(axes.map((axis) => [String(axis.id), omitted(axis, 'id')])),
          stock: {},
        },
      ],
      readings: [],
    },
    paper: isRecord(paper) ? { ...USUAL_PAPER, ...paper } : paper,
  };
}

/** Plan on tiles, a roll of 36 in, a printer that prints true. */
const USUAL_PAPER = {
  size: 'A4',
  thickness: 0.1,
  planOn: 'tiles',
  rollWidth: 914,
  overlap: 15,
  printer: { x: 1, y: 1 },
};
