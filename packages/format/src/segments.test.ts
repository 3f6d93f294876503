import { afterEach, describe, expect, it, vi } from 'vitest';

/** The format as it is with one more line in the list of segments. */
async function withToe() {
  vi.resetModules();
  vi.doMock('./segments.js', async (original) => {
    const { SEGMENTS } = await original<typeof import('./segments.js')>();
    const more = { ...SEGMENTS, toe: { name: 'Toe', span: 'ball of the foot to its tip' } };
    return { SEGMENTS: more, SEGMENT_IDS: Object.keys(more) };
  });
  return (await import('./buildSchema.js')).RiderSchema;
}
const faultsOf = async (schema: unknown, rider: object) => {
  const { schemaFaults } = await import('./faults.js');
  return schemaFaults(schema as never, rider).map(({ path }) => path);
};
const rider = { name: 'Ada', stature: 1700, mass: 66 };

describe('a segment of the rider that is one line', () => {
  afterEach(() => {
    vi.doUnmock('./segments.js');
    vi.resetModules();
  });
  it('is taken within the limits of all, and told beyond them', async () => {
    const schema = await withToe();
    for (const toe of [20, 64, 1000]) expect(await faultsOf(schema, { ...rider, toe })).toEqual([]);
    for (const toe of [19.9, 1000.1, 'long'])
      expect(await faultsOf(schema, { ...rider, toe })).toEqual(['/toe']);
    expect(await faultsOf(schema, { ...rider, thigh: 430 })).toEqual([]);
  });
  it('is none without that line', async () => {
    vi.resetModules();
    const { RiderSchema } = await import('./buildSchema.js');
    expect(await faultsOf(RiderSchema, { ...rider, toe: 64 })).toEqual(['/toe']);
  });
});
