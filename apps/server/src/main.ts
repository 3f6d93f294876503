import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { databaseFileOf, failed } from './command.js';
import { ownCertificate } from './door/certificate.js';
import { seedDemo } from './seed.js';
import { createServer } from './server.js';
import { readSettings } from './settings.js';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

try {
  const databaseFile = databaseFileOf(process.env);
  const { port, host, open, names, tls, cuttingDay } = readSettings(process.env);
  const certificate = tls === 'self' ? await ownCertificate(databaseFile) : tls;
  const app = await createServer({
    ...{ databaseFile, webFolder: here('../../web/dist'), place: { host, open, names } },
    cuttingDay,
    ...(certificate === undefined ? {} : { certificate }),
  });
  try {
    if (process.argv.includes('--demo')) await seedDemo(app, resolve(here('../../../demo')));
    await app.listen(port, host);
  } catch (error) {
    await app.close();
    const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    if (!taken) throw error;
    console.error(`Port ${port} is taken: stop what runs there, or set LARCHWOOD_PORT to another.`);
    process.exit(1);
  }
  const scheme = certificate === undefined ? 'http' : 'https';
  console.log(`Larchwood is at ${scheme}://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`);
} catch (error) {
  failed(error);
}
