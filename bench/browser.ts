import { spawn } from 'node:child_process';
import { gzipSync } from 'node:zlib';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';

const PORT = 4198;

/** A build of each family, and a point of it that is dragged. */
const DRAGS = [
  ['Ferry Road tourer', 'Drag bottom bracket'],
  ['Heron Hill 125', 'Drag foot of the steering axis'],
  ['Canal tadpole', 'Drag seat'],
  ['Alder Wood buggy', 'Drag front axle'],
] as const;
const LARGEST = 'Alder Wood buggy';
const ASSETS = new URL('../apps/web/dist/assets/', import.meta.url);

/** First view, and the time from a key press to the redrawn sheet, in the built application. Run `npm run build` before. */
export async function applicationInChromium(): Promise<void> {
  const main = readdirSync(ASSETS).filter((file) => /^index-.*\.js$/.test(file));
  for (const file of main)
    console.log(
      `main bundle ${file}: ${(gzipSync(readFileSync(new URL(file, ASSETS))).length / 1024).toFixed(0)} kB gzipped`,
    );
  await inChromium(async (browser, builds) => {
    await firstView(browser, 'workshop', '/', 'ul[aria-label="Builds"]');
    const open = `/builds/${builds.find(({ name }) => name === DRAGS[0][0])!.id}/stance`;
    const page = await firstView(browser, 'open build', open, 'input[aria-label="Head angle, degrees"]');
    await keyToRedraw(page);
    await page.context().close();
    for (const [name, handle] of DRAGS) {
      const build = builds.find((each) => each.name === name);
      if (build) await dragFrames(browser, build, handle);
    }
    const largest = builds.find(({ name }) => name === LARGEST);
    for (let round = 0; largest && round < 3; round += 1) await turnFrames(browser, largest);
  });
}

/** Every handle of every demo, dragged in turn: what is slowest, and any task over 50 ms. Takes some minutes. */
export async function everyHandle(): Promise<void> {
  await inChromium(async (browser, builds) => {
    for (const { id, name } of builds) {
      const page = await stanceOf(browser, id);
      const handles = await page.getByRole('button', { name: /^Drag / }).all();
      const told: string[] = [];
      for (const handle of handles) {
        const label = (await handle.getAttribute('aria-label'))!;
        const { frames, long } = await dragged(page, label);
        told.push(
          `${label.slice('Drag '.length)} ${rateOf(frames).toFixed(1)}${long.length > 0 ? ` (${long.length} tasks over 50 ms)` : ''}`,
        );
      }
      console.log(`${name}, frames a second: ${told.join(', ')}`);
      await page.context().close();
    }
  });
}

interface Listed {
  readonly id: string;
  readonly name: string;
}

/** Starts the built application with the demo workshop, and a browser beside it. */
async function inChromium(
  use: (browser: Browser, builds: readonly Listed[]) => Promise<void>,
): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'larchwood-bench-'));
  const env = {
    ...process.env,
    LARCHWOOD_PORT: String(PORT),
    LARCHWOOD_DATABASE: join(folder, 'bench.sqlite'),
  };
  const server = spawn(process.execPath, ['apps/server/dist/main.js', '--demo'], { env, stdio: 'ignore' });
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    await use(browser, await answering());
  } finally {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A build's stance in a window of its own. */
async function stanceOf(browser: Browser, id: string): Promise<Page> {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`http://127.0.0.1:${PORT}/builds/${id}/stance`);
  await page
    .getByRole('button', { name: /^Drag / })
    .first()
    .waitFor();
  return page;
}

/** From navigation to the frame after the wanted element is there, with a cold cache each time; ms. */
async function firstView(browser: Browser, name: string, path: string, selector: string): Promise<Page> {
  const times: number[] = [];
  let page: Page | undefined;
  for (let round = 0; round < 7; round += 1) {
    await page?.context().close();
    page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
    await page.addInitScript((wanted) => {
      new MutationObserver((_, observer) => {
        if (!document.querySelector(wanted)) return;
        observer.disconnect();
        requestAnimationFrame(() => setTimeout(() => performance.mark('first view')));
      }).observe(document, { childList: true, subtree: true });
    }, selector);
    await page.goto(`http://127.0.0.1:${PORT}${path}`);
    await page.locator(selector).waitFor();
    await page.waitForTimeout(200);
    times.push(await page.evaluate(() => performance.getEntriesByName('first view')[0]!.startTime));
  }
  console.log(
    `first view, ${name}, cold cache: ${times.sort((a, b) => a - b)[3]!.toFixed(0)} ms median (${times.map((ms) => ms.toFixed(0)).join(', ')})`,
  );
  return page!;
}

/**
 * From a key press to the redrawn document and to its frame. The first is the key's own time stamp to the end of all the
 * work it caused; the second is the browser's Event Timing, key to next frame presented, which it rounds to 8 ms.
 */
async function keyToRedraw(page: Page): Promise<void> {
  await page.getByLabel('Head angle, degrees').focus();
  await page.evaluate(() => {
    const work: number[] = [];
    const shown: number[] = [];
    Object.assign(window, { work, shown });
    // The edit is drawn in a microtask behind the event; one queued later sees it done.
    addEventListener('keydown', (event) =>
      queueMicrotask(() => work.push(performance.now() - event.timeStamp)),
    );
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.name === 'keydown') shown.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
  const readings = new Set<string>();
  const presses = 60;
  for (let press = 0; press < presses; press += 1) {
    await page.keyboard.press(press % 2 === 0 ? 'ArrowUp' : 'ArrowDown');
    await page.waitForTimeout(50);
    readings.add(await page.getByLabel('Readings').innerText());
  }
  await page.waitForTimeout(300);
  const { work, shown } = await page.evaluate(() => {
    const { work, shown } = window as unknown as { work: number[]; shown: number[] };
    return { work, shown };
  });
  const median = (times: number[]) => [...times].sort((a, b) => a - b)[times.length >> 1] ?? 0;
  // Presses shown in less than 16 ms are not reported by the browser: they count as 8.
  const frames = [...shown, ...Array.from({ length: Math.max(0, presses - shown.length) }, () => 8)];
  console.log(
    `key to redrawn document: ${median(work).toFixed(1)} ms median, ${Math.max(...work).toFixed(1)} ms at most, of ${work.length} presses`,
  );
  console.log(
    `key to frame shown, Event Timing: ${median(frames)} ms median; over 16 ms: ${frames.filter((ms) => ms > 16).length} of ${presses} (readings changed: ${readings.size > 1})`,
  );
}

/** Frames shown while a handle is dragged to and fro, the plan worked out anew for each. */
async function dragFrames(browser: Browser, build: Listed, label: string): Promise<void> {
  const page = await stanceOf(browser, build.id);
  const before = await page.getByLabel('Readings').innerText();
  const { frames, long, readings } = await dragged(page, label);
  console.log(
    `${build.name}, ${label.toLowerCase()}: ${pace(frames)}; ${long.length} tasks over 50 ms; one move a frame (readings changed: ${readings !== before})`,
  );
  await page.context().close();
}

/** Drags a handle to and fro, one move a frame, as a fast mouse gives; tells when frames were shown, and tasks over 50 ms. */
async function dragged(
  page: Page,
  label: string,
): Promise<{
  readonly frames: readonly number[];
  readonly long: readonly number[];
  readonly readings: string;
}> {
  const grip = page.getByRole('button', { name: label, exact: true });
  await grip.scrollIntoViewIfNeeded();
  const box = (await grip.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  // As text: the compiler's helper for named functions is not there in the page.
  const seen = await page.evaluate<{ frames: number[]; long: number[] }>(`new Promise((done) => {
    const long = [];
    const tasks = new PerformanceObserver((list) => long.push(...list.getEntries().map((task) => task.duration)));
    tasks.observe({ type: 'longtask' });
    const grip = document.querySelector('[aria-label="${label}"]');
    const frames = [];
    const next = (time) => {
      frames.push(time);
      if (frames.length > 150) return done({ frames, long });
      const clientX = ${x} + 30 * Math.sin(frames.length / 12);
      const clientY = ${y} + 8 * Math.sin(frames.length / 7);
      grip.dispatchEvent(new PointerEvent('pointermove', { bubbles: true, pointerId: 1, clientX, clientY }));
      requestAnimationFrame(next);
    };
    requestAnimationFrame(next);
  })`);
  const readings = await page.getByLabel('Readings').innerText();
  await page.mouse.up();
  return { ...seen, readings };
}

/** Frames shown while the frame is turned in space, a little further at each. */
async function turnFrames(browser: Browser, build: { readonly id: string; readonly name: string }) {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`http://127.0.0.1:${PORT}/builds/${build.id}/tubes?show=space`);
  const canvas = page.locator('canvas').first();
  await canvas.waitFor();
  await page.waitForTimeout(1000);
  const { width, height } = (await canvas.boundingBox())!;
  const before = await canvas.screenshot();
  const frames = await page.evaluate<number[]>(`new Promise((done) => {
    const canvas = document.querySelector('canvas');
    canvas.setPointerCapture = canvas.releasePointerCapture = () => {};
    const box = canvas.getBoundingClientRect();
    const at = { clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 };
    const send = (type) => canvas.dispatchEvent(
      new PointerEvent(type, { bubbles: true, pointerId: 1, pointerType: 'mouse', buttons: 1, ...at }));
    send('pointerdown');
    const frames = [];
    const next = (time) => {
      frames.push(time);
      if (frames.length > 110) return done(frames.slice(10));
      at.clientX += 4;
      send('pointermove');
      requestAnimationFrame(next);
    };
    requestAnimationFrame(next);
  })`);
  const turned = !before.equals(await canvas.screenshot());
  console.log(
    `${build.name}, turned in space, ${width} x ${Math.round(height)} pixels: ${pace(frames)} (turned: ${turned})`,
  );
  await page.context().close();
}

/** How often frames were shown, and the gaps between them. */
function pace(frames: readonly number[]): string {
  const gaps = frames
    .slice(1)
    .map((time, index) => time - frames[index]!)
    .sort((a, b) => a - b);
  return `${rateOf(frames).toFixed(1)} frames a second, gap ${gaps[gaps.length >> 1]!.toFixed(1)} ms median, ${gaps[Math.floor(gaps.length * 0.95)]!.toFixed(1)} ms at 95 %`;
}

async function answering(): Promise<{ id: string; name: string }[]> {
  for (let attempt = 0; attempt < 60; attempt += 1) {
    try {
      return (await (await fetch(`http://127.0.0.1:${PORT}/api/builds`)).json()) as {
        id: string;
        name: string;
      }[];
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }
  throw new Error('The server did not answer.');
}

/** Frames a second. */
const rateOf = (frames: readonly number[]): number =>
  (1000 * (frames.length - 1)) / (frames.at(-1)! - frames[0]!);
