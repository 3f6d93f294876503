import { BAR, BRACE, cross, LIGHT, pair, ROOMY, type Cage } from './cage.js';
import { capped, coped } from './layout.js';
import { gusset, tab } from './shapes.js';
import type { Sketch } from './sketch.js';

export function nose(s: Sketch, c: Cage): void {
  const group = 'nose';
  const root = s.node('noseRoot', 'Nose rail at the front hoop', {
    on: 'square',
    member: 'frontHoop',
    node: s.beside('noseAim', 'Behind the nose rail', 'steeringWheel', [
      c.dashX,
      c.half - 20,
      c.dashTubeZ + 62,
    ]),
  });
  const bend = s.beside('noseBend', 'Nose rail, corner', 'frontAxle', [
    c.footX - 60,
    c.noseHalf,
    c.noseZ + 150,
  ]);
  const tip = s.beside('noseTip', 'Nose rail, front end', 'frontAxle', [
    c.noseX,
    c.noseHalf - 40,
    c.noseZ + 60,
  ]);
  s.tube('noseRails', 'Nose rail', [root, tip], BAR, {
    start: coped('frontHoop'),
    end: capped(2),
    bends: [[bend, 150]],
    mirrored: true,
    group,
  });
  const lowRoot = s.between(
    'noseLowRoot',
    'Lower nose rail at the toes’ cross tube',
    'toeCrossAt',
    'toeCrossAtRight',
    0.2,
  );
  const lowTip = s.beside('noseLowTip', 'Lower nose rail, front end', 'frontAxle', [
    c.noseX,
    c.noseHalf - 60,
    c.noseZ - 80,
  ]);
  pair(s, 'lowNoseRails', 'Lower nose rail', [lowRoot, lowTip], BAR, [['toeCross'], []], group);
  cross(
    s,
    'noseCross',
    'Nose cross tube, upper',
    s.onMember('noseCrossAt', 'Nose cross tube, upper', 'noseRails', 'end', 35),
    'noseRails',
    BRACE,
    group,
  );
  cross(
    s,
    'noseLowCross',
    'Nose cross tube, lower',
    s.onMember('noseLowCrossAt', 'Nose cross tube, lower', 'lowNoseRails', 'end', 35),
    'lowNoseRails',
    BRACE,
    group,
  );
  cross(
    s,
    'kneeCross',
    'Nose cross tube, knees',
    s.shareOf('kneeCrossAt', 'Nose cross tube, knees', 'noseRails', 0.62),
    'noseRails',
    BRACE,
    group,
  );
  const up = (id: string, name: string, low: number, high: number) =>
    pair(
      s,
      id,
      name,
      [
        s.shareOf(`${id}Foot`, `${name}, foot`, 'lowNoseRails', low),
        s.shareOf(`${id}Top`, `${name}, top`, 'noseRails', high),
      ],
      BRACE,
      [['lowNoseRails'], ['noseRails']],
      group,
    );
  up('nosePosts', 'Nose post', 0.76, 0.88);
  up('toePosts', 'Toe post', 0.28, 0.66);
  const braceTop = s.shareOf('noseBraceTop', 'Nose brace, top', 'noseRails', 0.74);
  const braceFoot = s.shareOf('noseBraceFoot', 'Nose brace, foot', 'lowNoseRails', 0.6);
  pair(s, 'noseBraces', 'Nose brace', [braceFoot, braceTop], LIGHT, [['lowNoseRails'], ['noseRails']], group);
  const kneeFoot = s.onMember('kneeBraceFoot', 'Knee brace, foot', 'sills', 'end', 330);
  const kneeTop = s.shareOf('kneeBraceTop', 'Knee brace, top', 'noseRails', 0.3);
  pair(s, 'kneeBraces', 'Knee brace', [kneeFoot, kneeTop], LIGHT, [['sills'], ['noseRails']], group);
}

export function tail(s: Sketch, c: Cage): void {
  const group = 'tail';
  const topAim = s.beside('uprightAim', 'Behind the upright', 'helmet', [
    c.hoopX,
    c.half - 120,
    c.hoopHigh - 30,
  ]);
  const top = s.node('uprightTop', 'Rear upright at the main hoop', {
    on: 'square',
    member: 'mainHoop',
    node: topAim,
  });
  const long = c.hoopX - c.tailX;
  const tall = c.hoopHigh - c.tailZ;
  const corner = (id: string, name: string, back: number, y: number, up: number) =>
    s.beside(id, name, 'rearAxle', [c.hoopX - back * long, y, c.tailZ + up * tall]);
  const high = corner('uprightHigh', 'Rear upright, upper corner', 0.45, c.rearHalf + 45, 0.58);
  const mid = corner('uprightMid', 'Rear upright, middle corner', 0.86, c.rearHalf, 0.3);
  const low = corner('uprightLow', 'Rear upright, lower corner', 0.99, c.rearHalf - 30, 0.08);
  const root = s.beside('tailRoot', 'Tail rail at the hoop’s cross tube', 'seat', [
    c.hoopX + 60,
    c.rearHalf - 40,
    c.z,
  ]);
  const railEnd = s.beside('tailEnd', 'Tail rail, end', 'rearAxle', [
    c.tailX - 20,
    c.rearHalf - 40,
    c.z + 20,
  ]);
  pair(s, 'tailRails', 'Tail rail', [root, railEnd], BAR, [['hoopCross'], []], group);
  const end = s.onMember('uprightEnd', 'Rear upright at the tail rail', 'tailRails', 'end', 40);
  s.tube('rearUprights', 'Rear upright', [top, end], BAR, {
    start: coped('mainHoop'),
    end: coped('tailRails'),
    bends: [
      [high, 130],
      [mid, 110],
      [low, 80],
    ],
    mirrored: true,
    group,
  });
  cross(
    s,
    'tailCross',
    'Tail cross tube, lower',
    s.onMember('tailCrossAt', 'Tail cross tube, lower', 'tailRails', 'end', 105),
    'tailRails',
    BRACE,
    group,
  );
  cross(
    s,
    'engineCross',
    'Engine cross tube',
    s.shareOf('engineCrossAt', 'Engine cross tube', 'tailRails', 0.45),
    'tailRails',
    BRACE,
    group,
  );
  cross(
    s,
    'tailHighCross',
    'Tail cross tube, upper',
    s.onMember('tailHighCrossAt', 'Tail cross tube, upper', 'rearUprights', 'end', 110),
    'rearUprights',
    BRACE,
    group,
  );
  cross(
    s,
    'uprightCross',
    'Upright cross tube',
    s.shareOf('uprightCrossAt', 'Upright cross tube', 'rearUprights', 0.42),
    'rearUprights',
    BRACE,
    group,
  );
  const post = (id: string, name: string, low: number, above: number) =>
    pair(
      s,
      id,
      name,
      [
        s.shareOf(`${id}Foot`, `${name}, foot`, 'tailRails', low),
        s.shareOf(`${id}Top`, `${name}, top`, 'rearUprights', above),
      ],
      BRACE,
      [['tailRails'], ['rearUprights']],
      group,
    );
  if (long < ROOMY) post('shockPosts', 'Shock post', 0.22, 0.42);
  else post('shockPosts', 'Shock post', 0.5, 0.78);
  if (long < ROOMY) return;
  const braceTop = s.shareOf('tailBraceTop', 'Tail brace, top', 'rearUprights', 0.5);
  const braceFoot = s.shareOf('tailBraceFoot', 'Tail brace, foot', 'tailRails', 0.25);
  pair(s, 'tailBraces', 'Tail brace', [braceFoot, braceTop], LIGHT, [['tailRails'], ['rearUprights']], group);
  const waist = s.node('stayTop', 'Hoop stay at the main hoop', {
    on: 'square',
    member: 'mainHoop',
    node: s.beside('stayAim', 'Behind the hoop stay', 'seat', [c.hoopX, c.half, c.elbowZ + 60]),
  });
  const stayFoot = s.shareOf('stayFoot', 'Hoop stay at the tail rail', 'tailRails', 0.4);
  pair(s, 'hoopStays', 'Hoop stay', [waist, stayFoot], BRACE, [['mainHoop'], ['tailRails']], group);
}

export function tabs(s: Sketch, c: Cage): void {
  const plate = (
    id: string,
    name: string,
    member: string,
    share: number,
    offset: [number, number, number],
    turn: number,
  ) => {
    const at = s.shareOf(`${id}At`, name, member, share, offset);
    s.plate(id, name, at, 5, tab(45, 34), {
      plane: 'front',
      mirrored: true,
      turn,
      holes: [{ at: [0, 0], diameter: 12.2 }],
      group: 'plates',
    });
  };
  plate('lowerArmTabsFront', 'Suspension tab, lower front', 'lowNoseRails', 0.92, [0, 60, 0], 180);
  plate('lowerArmTabsRear', 'Suspension tab, lower rear', 'lowNoseRails', 0.45, [0, 60, 0], 180);
  plate('shockTabs', 'Shock tab', 'noseRails', 0.8, [0, 55, 0], 180);
  const corner = s.beside('hoopGussetAt', 'Gusset at the main hoop’s foot', 'seat', [
    c.hoopX + 20,
    c.half,
    c.z + 18,
  ]);
  s.plate('hoopGussets', 'Hoop gusset', corner, 3, gusset(80, 80), { mirrored: true, group: 'plates' });
}
