import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { DEMO } from '../../../testing/demo.js';
import { NO_KIT, sourceOf } from '../../../testing/source.js';
import { OUTPUTS } from './registry/registry.js';

const folder = mkdtempSync(join(tmpdir(), 'larchwood-dxf-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** Debian's python3-ezdxf: what is wrong with each file, its unit, and how much is drawn in it. */
const AUDIT = `
import ezdxf, json, sys
found = []
for name in sys.argv[1:]:
    drawing = ezdxf.readfile(name)
    audit = drawing.audit()
    found.append([name, [str(error.message) for error in audit.errors + audit.fixes], drawing.header.get('$INSUNITS', 0), len(drawing.modelspace())])
print(json.dumps(found))
`;

describe('drawings for other programs', () => {
  it.each(['Ferry Road tourer', 'Heron Hill 125', 'Canal tadpole', 'Orchard ladder', 'Alder Wood buggy'])(
    '%s: an independent reader finds nothing wrong in any of them, and reads millimetres',
    async (name) => {
      const source = sourceOf(DEMO.find((each) => each.name === name)!);
      const files: string[] = [];
      for (const output of OUTPUTS.filter(
        ({ suffix, refuse }) => suffix === 'dxf' && refuse(source) === undefined,
      ))
        for (const options of output.packed?.(source) ?? [{}]) {
          const file = join(folder, `${output.id}-${output.name(source, options)}.dxf`);
          writeFileSync(file, await output.make(source, options, NO_KIT));
          files.push(file);
        }
      expect(files.length).toBeGreaterThan(source.plan.cuts.length);
      const found = JSON.parse(
        execFileSync('/usr/bin/python3', ['-c', AUDIT, ...files], { encoding: 'utf8', maxBuffer: 1e8 }),
      ) as readonly (readonly [string, readonly string[], number, number])[];
      expect(found).toHaveLength(files.length);
      for (const [file, faults, unit, drawn] of found) {
        expect(faults, file).toEqual([]);
        expect(unit, file).toBe(4);
        expect(drawn, file).toBeGreaterThan(0);
      }
    },
  );
});
