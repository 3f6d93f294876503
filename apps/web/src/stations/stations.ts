import { brief } from './brief/station';
import { cuts } from './cuts/station';
import { fixture } from './fixture/station';
import { history } from './history/station';
import { joints } from './joints/station';
import { patterns } from './patterns/station';
import { seat } from './seat/station';
import { stance } from './stance/station';
import { steering } from './steering/station';
import type { StationEntry } from './station';
import { tubes } from './tubes/station';

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
  history,
];
