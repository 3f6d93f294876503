import { bench } from './bench/station';
import { brief } from './brief/station';
import { checks } from './checks/station';
import { cuts } from './cuts/station';
import { fixture } from './fixture/station';
import { joints } from './joints/station';
import { log } from './log/station';
import { pack } from './pack/station';
import { patterns } from './patterns/station';
import { seat } from './seat/station';
import { stance } from './stance/station';
import { steering } from './steering/station';
import type { StationEntry } from './station';
import { tubes } from './tubes/station';
import { work } from './work/station';

/** The stations, in the order of work. A new one is a folder with its `station.ts`, and a line here. */
export const STATIONS: readonly StationEntry[] = [
  brief,
  stance,
  seat,
  steering,
  tubes,
  joints,
  cuts,
  patterns,
  fixture,
  work,
  bench,
  checks,
  log,
  pack,
];
