import { writeFileSync } from 'node:fs';
import { BuildSchema } from '@larchwood/core';

/** Publishes the format's JSON Schema beside its description. */
const target = new URL('../docs/larchwood-build-5.schema.json', import.meta.url);
writeFileSync(target, `${JSON.stringify(BuildSchema, null, 2)}\n`);
