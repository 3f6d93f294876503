import { describe, expect, it } from 'vitest';
import { outlineFrom, planBuild, USUAL_BENDING, usualHole, type Corner } from '@larchwood/core';
import { readFormat, type BuildDocument, type Plate } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { addPlate, changeBending, changeHole, changeHoles, changePlate, letDieGo, removePlate } from './cuts';

const kart = made('kart', 'ladder');
const [rail] = kart.frame.members;
const memberIn = (document: BuildDocument) => document.frame.members.find(({ id }) => id === rail!.id)!;
/** Every change leaves a build that the format takes. */
const sound = (document: BuildDocument): BuildDocument => {
  const read = readFormat(JSON.parse(JSON.stringify(document)));
  expect(read.ok ? [] : read.faults).toEqual([]);
  return document;
};

describe('how a piece is bent', () => {
  it('begins as usual, keeps what is not changed, and lets a chosen die go without the rest', () => {
    const first = sound(changeBending('hoop', { from: 'end' })(kart));
    expect(first.cuts!.bends.hoop).toEqual({ ...USUAL_BENDING, from: 'end' });
    const second = sound(changeBending('hoop', { die: 'd1' })(first));
    expect(second.cuts!.bends.hoop).toEqual({ ...USUAL_BENDING, from: 'end', die: 'd1' });
    expect(sound(letDieGo('hoop')(second))).toEqual(first);
    expect(second.cuts!.bars).toEqual([]);
  });
});

describe('holes', () => {
  const one = changeHoles(rail!.id, () => [usualHole('bearing', 'a', 1400)]);
  it('are the member’s; the last one taken out leaves no trace', () => {
    const drilled = sound(one(kart));
    expect(memberIn(drilled).holes).toHaveLength(1);
    expect(drilled.frame.members.filter(({ holes }) => holes)).toHaveLength(1);
    expect(changeHoles(rail!.id, () => [])(drilled)).toEqual(kart);
  });
  it('what is set to nothing is left out, and only of that hole', () => {
    const two = changeHoles(rail!.id, (before) => [...before, usualHole('bolt', 'b', 1400)])(one(kart));
    const plain = sound(changeHole(rail!.id, 'a', { far: undefined, circle: undefined, distance: 300 })(two));
    const [a, b] = memberIn(plain).holes!;
    expect(a).not.toHaveProperty('far');
    expect(a).not.toHaveProperty('circle');
    expect([a!.distance, a!.diameter]).toEqual([300, 60.3]);
    expect(b).toEqual(memberIn(two).holes![1]);
  });
});

describe('flat parts', () => {
  const [node] = kart.frame.nodes;
  const corners: Corner[] = [
    [0, 0],
    [80, 0],
    [80, 50],
    [0, 50],
  ].map(([x, y]) => ({ at: [x!, y!], cut: 'sharp', size: 0 }));
  const plate: Plate = {
    ...{ id: 'tab', piece: 99, name: 'Tab', node: node!.id, thickness: 4, material: 'mild-steel' },
    ...{
      mirrored: false,
      plane: 'side',
      tilt: 0,
      turn: 0,
      outline: outlineFrom(corners),
      corners,
      holes: [],
    },
    bendLines: [],
  };
  const withTab = addPlate(plate)(kart);
  const tabIn = (document: BuildDocument) => document.frame.plates.find(({ id }) => id === 'tab');
  it('the outline follows the corners, and nothing else does', () => {
    const round = corners.map((each): Corner => ({ ...each, cut: 'round', size: 10 }));
    const rounded = tabIn(sound(changePlate('tab', { corners: round })(withTab)))!;
    expect(rounded.outline.length).toBeGreaterThan(4);
    expect(rounded.outline).toEqual(outlineFrom(round));
    const thick = tabIn(sound(changePlate('tab', { thickness: 6 })(withTab)))!;
    expect(thick).toEqual({ ...plate, thickness: 6 });
    const tried = changePlate('tab', { trial: { state: 'card', found: '' } })(withTab);
    expect(tabIn(changePlate('tab', { trial: undefined })(tried))).toEqual(plate);
  });
  it('one that is taken out leaves what ended on it with a square end', () => {
    const on = {
      ...withTab,
      frame: {
        ...withTab.frame,
        members: withTab.frame.members.map((member) =>
          member.id === rail!.id
            ? {
                ...member,
                ends: { ...member.ends, end: { cut: 'plate' as const, plate: 'tab', allowance: 3 } },
              }
            : member,
        ),
      },
    };
    const without = sound(removePlate('tab')(on));
    expect(tabIn(without)).toBeUndefined();
    expect(memberIn(without).ends.end).toEqual({ cut: 'plain', setback: 0, allowance: 3 });
    expect(memberIn(without).ends.start).toEqual(rail!.ends.start);
    expect(planBuild(without).ok).toBe(true);
  });
});
