import { describe, expect, it } from 'vitest';
import type { Member } from '@larchwood/format';
import { planMade } from '../../../../testing/made.js';
import { framed, round, type Rod } from '../../../../testing/rods.js';

const plain = { cut: 'plain' as const, setback: 0, allowance: 0 };
const coped = (member: string, besideAxis = false) => ({
  cut: 'coped' as const,
  hosts: [{ member, side: 'same' as const }],
  besideAxis,
  allowance: 0,
});
const rod = (
  id: string,
  from: Rod['corners'][0],
  to: Rod['corners'][0],
  diameter: number,
  ends: Member['ends'] = { start: plain, end: plain },
): Rod => ({ id, corners: [from!, to!], section: round(diameter), more: { ends } });
/** What is told of joints, with the figures. */
const told = (...rods: Rod[]) =>
  planMade(framed(rods)).findings.filter(({ where }) => where.station === 'joints');
const codes = (...rods: Rod[]) => told(...rods).map(({ code }) => code);

const bar = rod('bar', [0, -300, 500], [0, 300, 500], 40);
/** A leg cut to the bar, at an angle to it and beside its axis by so much. */
function leg(angle: number, beside = 0, diameter = 24, besideAxis = false): Rod {
  const turn = (angle * Math.PI) / 180;
  const end = [300 * Math.sin(turn), 300 * Math.cos(turn), 500 + beside] as const;
  return rod('leg', [0, 0, 500 + beside], end, diameter, {
    start: coped('bar', besideAxis),
    end: plain,
  });
}

describe('what is told of a joint', () => {
  it('that is sharp: just under 30 degrees, and not just over', () => {
    expect(codes(bar, leg(30.1))).toEqual([]);
    expect(told(bar, leg(29.9))).toMatchObject([
      { code: 'joint-sharp', severity: 'look', values: { angle: expect.closeTo(29.9, 6) as number } },
    ]);
  });
  it('that is off its host’s axis: by more than a quarter of its radius, unless it is meant so', () => {
    expect(codes(bar, leg(90, 2.99))).toEqual([]);
    expect(codes(bar, leg(90, 3.01))).toEqual(['joint-off-axis']);
    expect(codes(bar, leg(90, 3.01, 24, true))).toEqual([]);
  });
  it('that leaves a knife edge: its side comes to its host’s within a hundredth of that, off the axis', () => {
    // Radius 16 and 20: 4 beside would be flush; 3.8 is at 0.99 of the host's.
    expect(codes(bar, leg(90, 3.75, 32))).toEqual([]);
    expect(codes(bar, leg(90, 3.85, 32))).toEqual(['knife-edge']);
  });
  it('that runs past its host’s side: by more than what still lies flush', () => {
    expect(codes(bar, leg(90, 8.05, 24, true))).not.toContain('tube-runs-past-side');
    expect(told(bar, leg(90, 8.5, 24, true))).toMatchObject([
      { code: 'tube-runs-past-side', severity: 'stop', values: { past: expect.closeTo(0.5, 6) as number } },
    ]);
  });
  it('whose tube is wider than its host', () => {
    expect(told(bar, leg(90, 0, 50))).toMatchObject([
      { code: 'tube-wider-than-host', severity: 'stop', values: { tube: 50, hostDiameter: 40 } },
    ]);
  });
  it('that misses its host, or runs along it', () => {
    expect(codes(bar, leg(90, 60, 24, true))).toEqual(['joint-misses']);
    expect(codes(bar, leg(0, 60))).toContain('joint-parallel');
  });
  it('past its host’s end', () => {
    const short = rod('bar', [0, -300, 500], [0, 5, 500], 40);
    expect(codes(short, leg(90))).toEqual(['past-host-end']);
  });
});

describe('what is told of a piece', () => {
  const between = (apart: number) => [
    bar,
    rod('other', [apart, -300, 500], [apart, 300, 500], 40),
    rod('link', [0, 0, 500], [apart, 0, 500], 20, { start: coped('bar'), end: coped('other') }),
  ];
  it('whose copes meet: its shortest wall line is under 5 mm; by hand, what is left between the two hosts', () => {
    expect(codes(...between(45.1))).toEqual([]);
    expect(told(...between(44.9))).toMatchObject([
      { code: 'copes-meet', severity: 'stop', values: { left: expect.closeTo(4.9, 6) as number } },
    ]);
  });
  it('of which its setbacks leave nothing', () => {
    const stub = (setback: number) =>
      rod('stub', [0, 0, 500], [100, 0, 500], 20, {
        start: { ...plain, setback },
        end: { ...plain, setback: 50 },
      });
    expect(codes(stub(49.9))).not.toContain('member-too-short');
    for (const all of [50, 60]) expect(codes(stub(all))).toContain('member-too-short');
  });
  it('that lost its host: at which end, and which that was', () => {
    const lost = { ...plain, lost: 'head tube' };
    const stub = (ends: Member['ends']) => told(rod('stub', [0, 0, 500], [100, 0, 500], 20, ends));
    expect(stub({ start: lost, end: plain })).toMatchObject([
      { code: 'end-lost-host', severity: 'look', values: { lost: 'head tube', end: 'first' } },
    ]);
    expect(stub({ start: plain, end: lost })).toMatchObject([{ values: { end: 'second' } }]);
    expect(stub({ start: plain, end: plain })).toEqual([]);
  });
  it('that waits for another which waits for it: each ring once', () => {
    const ring = [
      rod('one', [0, 0, 500], [300, 0, 500], 20, { start: coped('two'), end: plain }),
      rod('two', [0, 0, 500], [0, 300, 500], 20, { start: coped('one'), end: plain }),
    ];
    expect(told(...ring).filter(({ code }) => code === 'hosts-in-circle')).toMatchObject([
      { severity: 'stop', values: { pieces: '1, 2' } },
    ]);
  });
});
