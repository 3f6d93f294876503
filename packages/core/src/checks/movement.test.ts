import { describe, expect, it } from 'vitest';
import { kart, listOf, measurable, tourer } from '../../../../testing/measured.js';
import { measuringList } from './measures.js';
import { jointKindOf, usualMovement } from './movement.js';

const bicycle = listOf(tourer).points;
const ladder = listOf(kart).points;
const logged = (kind: string, point: string, by: [number, number, number], joint?: string) => ({
  kind,
  point,
  by,
  ...(joint === undefined ? {} : { joint }),
});

describe('the workshop’s log of movements', () => {
  it('has a usual one: the middle along each axis, of a point and a kind alone', () => {
    const log = [
      logged('kart', 'axleLeft', [1, 0, 0]),
      logged('kart', 'axleLeft', [2, -5, 9]),
      logged('kart', 'axleLeft', [2, 8, 2]),
      logged('buggy', 'axleLeft', [99, 99, 99]),
    ];
    expect(usualMovement(log, 'kart', 'axleLeft', ladder)).toEqual({
      ...{ by: [2, 0, 2], count: 3, from: 'vehicle' },
    });
    expect(usualMovement(log, 'kart', 'axleRight', ladder)).toBeUndefined();
  });
  it('else of the same kind of joint on any vehicle, the right side as the left one’s mirror twin', () => {
    const log = [
      logged('buggy', 'axleLeft', [1, -2, 0], 'axle'),
      logged('buggy', 'axleRight', [3, 4, 2], 'axle'),
      logged('motorcycle', 'axleLeft', [50, 50, 50], 'pivot'),
      logged('buggy', 'kingpinTopLeft', [50, 50, 50], 'kingpin'),
    ];
    expect(usualMovement(log, 'kart', 'axleLeft', ladder)).toEqual({
      ...{ by: [2, -3, 1], count: 2, from: 'joint' },
    });
    expect(usualMovement(log, 'kart', 'axleRight', ladder)!.by).toEqual([2, 3, 1]);
    // The foot of a kingpin is not told by its top, nor a dropout by an axle's carrier.
    expect(usualMovement(log, 'kart', 'kingpinLowLeft', ladder)).toBeUndefined();
    expect(usualMovement(log, 'bicycle', 'axleLeft', bicycle)).toBeUndefined();
  });
  it('knows what holds each key point', () => {
    const { points } = measuringList(measurable('motorcycle', 'cruiser'));
    expect(jointKindOf('axleLeft', points)).toBe('pivot');
    expect(
      (['axleLeft', 'bottomBracket', 'rearBracket', 'seatTop', 'headLower', 'headUpper'] as const).map((id) =>
        jointKindOf(id, bicycle),
      ),
    ).toEqual(['dropout', 'shell', 'shell', 'seat', 'head', 'head']);
    expect([jointKindOf('axleRight', ladder), jointKindOf('kingpinTopRight', ladder)]).toEqual([
      'axle',
      'kingpin',
    ]);
  });
});
