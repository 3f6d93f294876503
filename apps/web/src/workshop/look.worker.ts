import { expose } from 'comlink';
import { lookAt } from './look';

/** Looks builds over off the main thread, for the shelf. */
const looker = { lookAt };
export type Looker = typeof looker;
expose(looker);
