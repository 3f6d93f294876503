import { planFile, Refused } from './planFile.js';

planFile(process.argv.slice(2)).then(
  (text) => process.stdout.write(text),
  (error: unknown) => {
    process.stderr.write(
      `${error instanceof Refused ? error.message : String(error instanceof Error ? error.stack : error)}\n`,
    );
    process.exitCode = error instanceof Refused ? 2 : 1;
  },
);
