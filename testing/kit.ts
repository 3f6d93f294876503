/** What outputs fetch when they need it, from this machine. */
export { KIT } from '../apps/headless/src/kit.js';
