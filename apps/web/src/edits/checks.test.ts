import { describe, expect, it } from 'vitest';
import { DEMO } from '../../../../testing/demo';
import { addOwnMeasure, removeOwnMeasures, setMeasured, setPreset, setTolerance, takeOut } from './checks';

const blank = DEMO.find(({ name }) => name === 'Orchard ladder')!;
const at = (minute: number) => new Date(Date.UTC(2026, 9, 5, 9, minute));
const read = (minute: number, part: Parameters<typeof setMeasured>[2]) =>
  setMeasured('cap', 'spacing', part, at(minute));

describe('readings', () => {
  it('are kept with their time; what is put right at once was a slip, what is read again later is kept as read before', () => {
    const first = read(0, { value: 130 })(blank);
    expect(first.measured).toEqual([
      { stage: 'cap', measure: 'spacing', value: 130, on: at(0).toISOString() },
    ]);
    const slip = read(1, { value: 131 })(first);
    expect(slip.measured![0]).not.toHaveProperty('before');
    const again = read(30, { value: 129 })(slip);
    expect(again.measured![0]).toMatchObject({
      value: 129,
      before: [{ value: 131, on: at(1).toISOString() }],
    });
    // The same again is no other reading.
    expect(read(60, { value: 129 })(again).measured![0]!.before).toHaveLength(1);
  });
  it('a spread goes with its reading and not with the next; a note stays and changes no time', () => {
    const held = read(0, { value: 72, spread: 0.1 })(blank);
    const noted = read(5, { note: 'cold' })(held);
    expect(noted.measured![0]).toMatchObject({
      value: 72,
      spread: 0.1,
      note: 'cold',
      on: at(0).toISOString(),
    });
    const typed = read(9, { value: 73 })(noted);
    expect(typed.measured![0]).not.toHaveProperty('spread');
    expect(typed.measured![0]!.note).toBe('cold');
    expect(read(9, { note: '' })(noted).measured![0]).not.toHaveProperty('note');
    expect(read(9, { note: 'of nothing' })(blank)).toBe(blank);
  });
  it('the last one taken out leaves no list, and at most twenty earlier ones are kept', () => {
    const first = read(0, { value: 1 })(blank);
    expect('measured' in takeOut('cap', 'spacing')(first)).toBe(false);
    expect(takeOut('dry', 'spacing')(first).measured).toHaveLength(1);
    let many = first;
    for (let turn = 1; turn < 30; turn += 1) many = read(turn * 10, { value: turn })(many);
    expect(many.measured![0]!.before).toHaveLength(20);
    expect(many.measured![0]!.before!.at(-1)!.value).toBe(28);
  });
});

describe('the list', () => {
  it('takes tolerances and own measures, and gives them up again', () => {
    const tight = setTolerance('spacing', 0.5)(blank);
    expect(tight.checks!.tolerances).toEqual({ spacing: 0.5 });
    expect(setTolerance('spacing', undefined)(tight).checks!.tolerances).toEqual({});
    const own = { id: 'own:a', name: 'A', as: 'height', from: 'axleLeft', tolerance: 2 } as const;
    const added = addOwnMeasure(own)(tight);
    expect(added.checks!.own).toEqual([own]);
    expect(removeOwnMeasures(['own:a'])(added).checks!.own).toEqual([]);
  });
  it('sets the fixture off from a moment on, and back', () => {
    const off = setPreset({ headUpper: [0, 1, 0] }, at(5))(blank);
    expect(off.checks).toMatchObject({ preset: { headUpper: [0, 1, 0] }, presetOn: at(5).toISOString() });
    expect(setPreset({}, at(9))(off).checks).toEqual({ own: [], tolerances: {}, preset: {} });
  });
});
