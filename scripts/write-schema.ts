import { writeFileSync } from 'node:fs';
import { PlanFileSchema } from '@larchwood/core';
import { BuildSchema } from '@larchwood/format';

/** Publishes the JSON Schemas of a build and of a plan beside their descriptions. */
for (const schema of [BuildSchema, PlanFileSchema])
  writeFileSync(
    new URL(`../docs/${schema.$id}.schema.json`, import.meta.url),
    `${JSON.stringify(schema, null, 2)}\n`,
  );
