/** `npm run backup`: a checked copy of the workshop, also while a server has it open. */
import { databaseFileOf, failed } from './command.js';
import { backUp } from './database/backups.js';

try {
  const { file, size } = backUp(databaseFileOf(process.env), 'by-hand');
  console.log(`Backed up and read back: ${file} (${(size / 1e6).toFixed(1)} MB)`);
} catch (error) {
  failed(error);
}
