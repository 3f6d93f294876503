import { copeAgainstMesh, largestFrame } from './frame.js';
import { fixtures } from './fixture.js';
import { planInNode } from './plan.js';
import { applicationInChromium, everyHandle } from './browser.js';
import { windowsAtOnce } from './load.js';
import { linkages } from './steering.js';
import { checks } from './checks.js';
import { orders } from './work.js';
import { packs } from './pack.js';

/**
 * Speed, measured on the compiled packages, as the application runs them. A benchmark only: nothing passes or fails here.
 */
const only = process.argv[2];
if (only === undefined || only === 'plan') planInNode();
if (only === undefined || only === 'steering') linkages();
if (only === undefined || only === 'fixture') fixtures();
if (only === undefined || only === 'work') orders();
if (only === undefined || only === 'checks') checks();
if (only === undefined || only === 'frame') {
  largestFrame();
  await copeAgainstMesh();
}
if (only === undefined || only === 'pack') await packs();
if (only === undefined || only === 'browser') await applicationInChromium();
// Only when it is asked for: some minutes.
if (only === 'handles') await everyHandle();
if (only === undefined || only === 'load') await windowsAtOnce();
