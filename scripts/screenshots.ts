import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';

/** One current picture of each main view, from the demo data, for the README. Run `npm run build` before. */
const PORT = 4197;
const target = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));

interface View {
  readonly file: string;
  readonly build?: string;
  readonly path: string;
  readonly theme?: 'night';
  /** A row or button to press first. */
  readonly press?: RegExp;
  /** What is typed then. */
  readonly type?: string;
  /** How long it takes to be drawn, ms. */
  readonly wait?: number;
}
const VIEWS: readonly View[] = [
  { file: 'workshop', path: '/' },
  { file: 'stance', build: 'Ferry Road tourer', path: '/stance' },
  { file: 'brief', build: 'Heron Hill 125', path: '/brief' },
  { file: 'steering', build: 'Paddock kart', path: '/steering', press: /^Look for a better one/, wait: 2500 },
  { file: 'clearances', build: 'Ferry Road tourer', path: '/seat?show=gaps', press: /^Heel to chainstay/ },
  { file: 'tipping', build: 'Market delta', path: '/seat?show=tipping' },
  { file: 'tubes', build: 'Ferry Road tourer', path: '/tubes', press: /Top tube/ },
  { file: 'frame-buggy', build: 'Alder Wood buggy', path: '/tubes?show=space', press: /Main hoop/ },
  { file: 'joints', build: 'Ferry Road tourer', path: '/joints', press: /Down tube/ },
  { file: 'bends-night', build: 'Paddock kart', path: '/cuts', theme: 'night' },
  {
    file: 'stock',
    build: 'Alder Wood buggy',
    path: '/cuts?show=stock',
    press: /^Look for the best/,
    wait: 9000,
  },
  { file: 'patterns', build: 'Ferry Road tourer', path: '/patterns' },
  { file: 'fixture', build: 'Ferry Road tourer', path: '/fixture', press: /^Head post, tilt/ },
  { file: 'work', build: 'Lock keeper', path: '/work', wait: 2500 },
  { file: 'bench', build: 'Orchard ladder', path: '/bench', wait: 2500 },
  { file: 'checks', build: 'Ferry Road tourer', path: '/checks?show=built&at=cap', wait: 2500 },
  { file: 'log', build: 'Ferry Road tourer', path: '/log', wait: 2500 },
  { file: 'pack', build: 'Alder Wood buggy', path: '/pack' },
  { file: 'fixture-study', build: 'Market delta', path: '/fixture?show=study', wait: 2500 },
];

const folder = mkdtempSync(join(tmpdir(), 'larchwood-pictures-'));
const env = { ...process.env, LARCHWOOD_PORT: String(PORT), LARCHWOOD_DATABASE: join(folder, 'demo.sqlite') };
const server = spawn(process.execPath, ['apps/server/dist/main.js', '--demo'], { env, stdio: 'ignore' });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    '--ignore-gpu-blocklist',
    '--disable-background-networking',
  ],
});
try {
  const base = `http://127.0.0.1:${PORT}`;
  const list = await answering(`${base}/api/builds`);
  for (const view of VIEWS) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript((theme) => localStorage.setItem('larchwood:theme', theme), view.theme ?? 'day');
    const build = list.find((each) => each.name === view.build);
    await page.goto(build ? `${base}/builds/${build.id}${view.path}` : base + view.path);
    // An open build listens for ever: it is never without a request.
    await page.getByRole('main').first().waitFor();
    await page.waitForTimeout(1200);
    if (view.press) await page.getByRole('button', { name: view.press }).first().click();
    if (view.type) await page.keyboard.type(view.type);
    await page.mouse.move(2, 790);
    await page.waitForTimeout(view.wait ?? 300);
    await page.screenshot({ path: join(target, `${view.file}.png`) });
    await page.close();
  }
} finally {
  await browser.close();
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}

async function answering(url: string): Promise<{ id: string; name: string }[]> {
  for (let attempt = 0; attempt < 60; attempt += 1) {
    try {
      return (await (await fetch(url)).json()) as { id: string; name: string }[];
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }
  throw new Error('The server did not answer.');
}
