import { readFileSync } from 'node:fs';
import Ajv from 'ajv';
import { describe, expect, it } from 'vitest';
import { DEMO } from '../../../../testing/demo.js';
import { planMade } from '../../../../testing/made.js';
import { planText } from './planFile.js';

const published = JSON.parse(
  readFileSync(new URL('../../../../docs/larchwood-plan-1.schema.json', import.meta.url), 'utf8'),
) as object;

describe('a plan as a file', () => {
  it('keeps to the published schema, by an independent validator, and holds what its plates are cut by', () => {
    const validate = new Ajv({ strict: false }).compile(published);
    for (const document of DEMO) {
      const plan = planMade(document);
      const file = JSON.parse(planText(document, plan)) as {
        frame: { plates: { mark: string; outline?: unknown[]; plate: { outline: unknown[] } }[] };
      };
      expect(validate(file), `${document.name}: ${JSON.stringify(validate.errors)}`).toBe(true);
      for (const { mark, plate } of file.frame.plates)
        expect(plate.outline.length, `${document.name} ${mark}`).toBeGreaterThan(2);
    }
  });
  it('never writes a number that is none as nothing: it says where it is', () => {
    const [document] = DEMO;
    const plan = planMade(document!);
    const broken = { ...plan, mass: { ...plan.mass, laden: { ...plan.mass.laden, mass: NaN } } };
    expect(() => planText(document!, broken)).toThrow(/NaN at “mass”/);
  });
});
