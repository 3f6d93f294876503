import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { seedDemo } from './seed.js';
import { createServer } from './server.js';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
const port = Number(process.env.LARCHWOOD_PORT ?? 4173);
const databaseFile = resolve(process.env.LARCHWOOD_DATABASE ?? here('../../../data/larchwood.sqlite'));

const app = await createServer({ databaseFile, webFolder: here('../../web/dist') });
if (process.argv.includes('--demo')) await seedDemo(app, here('../../../demo'));
try {
  await app.listen(port, '127.0.0.1');
  console.log(`Larchwood is at http://127.0.0.1:${port}`);
} catch (error) {
  const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
  console.error(
    taken ? `Port ${port} is taken: stop what runs there, or set LARCHWOOD_PORT to another.` : error,
  );
  await app.close();
  process.exitCode = 1;
}
