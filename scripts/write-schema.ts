import { writeFileSync } from 'node:fs';
import { BuildSchema, PlanFileSchema } from '@larchwood/core';

/** Publishes the JSON Schemas of a build and of a plan beside their descriptions. */
for (const schema of [BuildSchema, PlanFileSchema])
  writeFileSync(
    new URL(`../docs/${schema.$id}.schema.json`, import.meta.url),
    `${JSON.stringify(schema, null, 2)}\n`,
  );
