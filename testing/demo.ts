import { readdirSync, readFileSync } from 'node:fs';
import { readDocumentText } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

const folder = new URL('../demo/', import.meta.url);

/** The builds of the demo workshop. */
export const DEMO: readonly BuildDocument[] = readdirSync(folder)
  .filter((file) => file.endsWith('.larchwood.json'))
  .map((file) => {
    const read = readDocumentText(readFileSync(new URL(file, folder), 'utf8'));
    if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.faults)}`);
    return read.document;
  });
