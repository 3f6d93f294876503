import { bySetting, formatAngle, formatLength, jobsOf, toolJobs } from '@larchwood/core';
import { NO_SHOP } from '@larchwood/format';
import type { Drawing } from '../drawing.js';
import { SHEETS } from '../paper.js';
import type { Source } from '../registry/output.js';
import { tablePages, type Table } from '../tables.js';

/** Every end and hole, setting by setting, to tick off. */
export function toolSheets({ document, plan, revision, shop = NO_SHOP }: Source): Drawing[] {
  const { units, paper } = document;
  const mm = (value: number, digits = 1) => formatLength(value, units, digits, true);
  const all = toolJobs(jobsOf(plan.frame, plan.cuts, plan.holes, document), shop);
  const table: Table = {
    title: 'Settings, one after the other: all that share one are together',
    columns: [
      { name: 'Tool', right: false },
      { name: 'Set to', right: true, bold: true },
      { name: 'Bevel', right: true, bold: true },
      { name: 'Set over', right: true, bold: true },
      { name: 'Cutter', right: true, bold: true },
      { name: 'Turns', right: true },
      { name: 'Piece', right: false, bold: true },
      { name: 'What', right: false },
      { name: 'Gap', right: true },
      { name: 'Done', right: false },
    ],
    rows: bySetting(all).flatMap((group) =>
      group.map(({ job, best }, index) => [
        index > 0 ? '' : (best?.name ?? (job.kind === 'copy' ? 'from its twin' : 'no tool for it')),
        index > 0 || best?.reads === undefined ? '' : formatAngle(best.reads),
        index > 0 || best?.bevel === undefined ? '' : formatAngle(best.bevel),
        index > 0 || best?.over === undefined ? '' : mm(best.over),
        index > 0 || best?.cutter === undefined ? '' : mm(best.cutter),
        index > 0 || best?.speed === undefined ? '' : String(Math.round(best.speed / 10) * 10),
        job.mark,
        job.what,
        best?.gap === undefined ? '' : mm(best.gap, 2),
        '____',
      ]),
    ),
  };
  return tablePages([table], {
    ...SHEETS[paper.size],
    block: {
      build: document.name,
      what: 'Tool settings',
      revision,
      units: units.length === 'mm' ? 'mm' : 'in',
    },
    before: 0,
    size: paper.size,
  });
}
