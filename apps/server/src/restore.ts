/** `npm run restore -- FILE`: puts a backup in the workshop's place; what was there is kept. */
import { databaseFileOf, failed } from './command.js';
import { restore } from './database/backups.js';
import { DatabaseTrouble, EXIT } from './database/trouble.js';

try {
  const [from] = process.argv.slice(2);
  if (from === undefined) throw new DatabaseTrouble('Usage: npm run restore -- FILE', EXIT.usage);
  const { builds, revisions, keptAs } = restore(databaseFileOf(process.env), from);
  console.log(`Restored: ${builds} builds, ${revisions} revisions.`);
  if (keptAs !== undefined) console.log(`What was there before is kept as ${keptAs}`);
} catch (error) {
  failed(error);
}
