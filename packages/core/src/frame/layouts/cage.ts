import type { Stance } from '../../stance/stance.js';
import { capped, coped } from './layout.js';
import type { Sketch } from './sketch.js';

/** Sections of the cage [common practice, from memory]. */
export const FLOOR = 'round-38x2';
export const HOOP = 'round-44.5x2.4';
export const FOOT = { thickness: 5, long: 110, wide: 70 };
export const BAR = 'round-38x2';
export const BRACE = 'round-32x1.6';
export const LIGHT = 'round-25x2';
/** A tail longer than this, mm, takes a brace and a stay besides its posts. */
export const ROOMY = 420;

/** Where the cage stands: worked out from wheels, seats and feet; mm. */
export function cageOf(s: Sketch, stance: Stance) {
  const seat = s.point('seat');
  const pedals = s.point('pedals');
  const several = stance.places.length > 1;
  const front = s.point('frontAxle');
  const rear = s.point('rearAxle');
  const clearFront = s.point('kingpin')[1] - 130;
  return {
    several,
    seatY: Math.abs(s.point('driverSeat')[1]),
    z: s.point('floorMiddle')[2] + 19,
    half: several ? 570 : 300,
    toeHalf: Math.min(Math.abs(s.point('driverSeat')[1]) + (several ? 150 : 215), clearFront - 40),
    noseHalf: Math.min(several ? 260 : 200, clearFront - 60),
    rearHalf: Math.min(several ? 330 : 230, s.point('rearLeftAxle')[1] - stance.wheels.rear.width / 2 - 90),
    hoopX: s.point('seatTop')[0] - 120,
    hoopHigh: s.point('helmet')[2] + 95,
    roofX: Math.max(seat[0] + 330, s.point('helmet')[0] + 240),
    dashX: s.point('steeringWheel')[0] + (several ? 210 : 130),
    dashZ: s.point('steeringWheel')[2] - 40,
    // The dash tube passes over the knees, and the nose rails meet the hoop above it.
    dashTubeZ: Math.max(s.point('steeringWheel')[2] - 145, s.point('knee')[2] + 95),
    shoulderZ: s.point('shoulder')[2] - 30,
    elbowZ: seat[2] + 250,
    footX: pedals[0] + 70,
    noseX: front[0] + 110,
    noseZ: s.point('nose')[2] + 20,
    tailX: rear[0] - 120,
    tailZ: rear[2] + 60,
    seat,
  };
}

export type Cage = ReturnType<typeof cageOf>;

/** A cross tube between the two twins of a mirrored member. */
export const cross = (
  s: Sketch,
  id: string,
  name: string,
  node: string,
  host: string,
  section: string,
  group: string,
) =>
  s.tube(id, name, [node, s.other(node)], section, {
    start: coped(`${host}:left`),
    end: coped(`${host}:right`),
    group,
  });

export const pair = (
  s: Sketch,
  id: string,
  name: string,
  nodes: readonly [string, string],
  section: string,
  hosts: readonly [readonly string[], readonly string[]],
  group: string,
) =>
  s.tube(id, name, nodes, section, {
    start: hosts[0].length > 0 ? coped(...hosts[0]) : capped(2),
    end: hosts[1].length > 0 ? coped(...hosts[1]) : capped(2),
    mirrored: true,
    group,
  });
