import { writeFileSync } from 'node:fs';
import {
  createBuild,
  documentText,
  planBuild,
  type BuildDocument,
  type CreateOptions,
} from '@larchwood/core';

/** Writes the demo workshop's documents. Alder Yard, its riders and its builds are made up. */
interface Demo {
  readonly file: string;
  readonly notes: string;
  readonly options: CreateOptions;
}

const DEMOS: readonly Demo[] = [
  {
    file: 'ferry-road-tourer',
    notes:
      'Loaded touring bicycle for Wilma Osterby, 1.91 m, who carries four bags and a tent. Fork and wheels are on the shelf; the head angle was chosen for 60 mm of trail. The down tube is sold with short thick ends: look at the finding before you cut.',
    options: {
      name: 'Ferry Road tourer',
      kind: 'bicycle',
      startingSet: 'touring',
      held: { headTubeLength: 205, seatTubeLength: 590, reach: 400, chainstayLength: 460, crankLength: 175 },
      pattern: {
        sections: {
          topTube: 'butted-28.6x0.8-0.5-650',
          seatTube: 'round-28.6x0.9',
          downTube: 'butted-34.9x0.8-0.5-720',
          headTube: 'round-38x1',
        },
      },
    },
  },
  {
    file: 'lock-keeper',
    notes:
      'Small-wheel low-step bicycle for the lock at the end of the yard: on and off twenty times a day in a long coat. All measured in inches, on an inch bench.',
    options: {
      name: 'Lock keeper',
      kind: 'bicycle',
      startingSet: 'small-wheel',
      units: { length: 'fraction', denominator: 32 },
      held: {},
      pattern: {
        topTubeBelowSeat: 245,
        sections: {
          topTube: 'round-31.8x1.2',
          downTube: 'round-34.9x1.2',
          seatTube: 'round-31.8x1.2',
          headTube: 'round-38x1',
        },
      },
    },
  },
];

for (const { file, notes, options } of DEMOS) {
  const made = createBuild(options);
  if (!made.ok) throw new Error(made.message);
  const document: BuildDocument = { ...made.value, notes };
  const planned = planBuild(document);
  if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
  console.log(
    options.name,
    planned.plan.findings.map((finding) => finding.code),
  );
  writeFileSync(new URL(`./${file}.larchwood.json`, import.meta.url), documentText(document));
}
