import { describe, expect, it } from 'vitest';
import { EXIT, troubleOf } from './trouble.js';

const coded = (code: string, message = 'x') => Object.assign(new Error(message), { code });

describe('trouble with the workshop’s file, in words and with an exit code', () => {
  it.each([
    ['SQLITE_CORRUPT', EXIT.damaged],
    ['SQLITE_FULL', EXIT.full],
    ['ENOSPC', EXIT.full],
    ['SQLITE_READONLY_DIRECTORY', EXIT.readOnly],
    ['EACCES', EXIT.readOnly],
    ['EROFS', EXIT.readOnly],
    ['SQLITE_BUSY', EXIT.inUse],
  ])('%s: %i', (code, exit) => {
    expect(troubleOf(coded(code))?.exitCode).toBe(exit);
    expect(troubleOf(new Error('outer', { cause: coded(code) }))?.exitCode).toBe(exit);
  });
  it('a file that the driver cannot open at all, which it tells without a code', () => {
    const said = coded('', 'ConnectionFailed("Unable to open connection to local database /a/b.sqlite: 14")');
    expect(troubleOf(said)?.exitCode).toBe(EXIT.readOnly);
    expect(troubleOf(said)?.message).not.toContain('/a/b');
    expect(troubleOf(new Error('anything else'))).toBeUndefined();
  });
});
