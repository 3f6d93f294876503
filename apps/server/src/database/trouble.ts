/** Something is wrong with the workshop's file: said in words, with the exit code of a start that it stops. */
export class DatabaseTrouble extends Error {
  constructor(
    message: string,
    readonly exitCode: number,
  ) {
    super(message);
  }
}

/** Exit codes of a start or a command that could not go on. */
export const EXIT = { usage: 2, damaged: 3, readOnly: 4, full: 5, newer: 6, inUse: 7, notOurs: 8 } as const;

const NOTHING_LOST = 'Nothing was overwritten; what was saved before is safe.';

/** What SQLite or the disk said, in words; undefined where it is something else. */
export function troubleOf(error: unknown): DatabaseTrouble | undefined {
  if (error instanceof DatabaseTrouble) return error;
  const code = codeOf(error) ?? openFailed(error);
  if (code === undefined) return undefined;
  if (/^SQLITE_(CORRUPT|NOTADB)/.test(code))
    return new DatabaseTrouble('The workshop’s file is damaged.', EXIT.damaged);
  if (/^(SQLITE_FULL|SQLITE_IOERR_(WRITE|FSYNC)|ENOSPC|EDQUOT)/.test(code))
    return new DatabaseTrouble(`The disk is full, or cannot be written to. ${NOTHING_LOST}`, EXIT.full);
  if (/^(SQLITE_READONLY|SQLITE_CANTOPEN|EACCES|EPERM|EROFS|ENOTDIR|EISDIR|ENOENT|EEXIST)/.test(code))
    return new DatabaseTrouble(
      `The workshop’s file cannot be written or opened where it lies. ${NOTHING_LOST}`,
      EXIT.readOnly,
    );
  if (/^SQLITE_(BUSY|LOCKED)/.test(code))
    return new DatabaseTrouble(`Another program holds the workshop’s file. ${NOTHING_LOST}`, EXIT.inUse);
  return undefined;
}

/** The code of an error, or of the one that it was made of. */
function codeOf(error: unknown): string | undefined {
  for (let each = error; each instanceof Error; each = each.cause ?? previousOf(each)) {
    const { code } = each as Error & { code?: unknown };
    if (typeof code === 'string' && code !== '') return code;
  }
  return undefined;
}

/** A file that cannot be opened at all: the driver then tells SQLite's number, in its text alone. */
function openFailed(error: unknown): string | undefined {
  const text = error instanceof Error ? error.message : '';
  return /^ConnectionFailed\(/.test(text) ? 'SQLITE_CANTOPEN' : undefined;
}

const previousOf = (error: Error): unknown => (error as Error & { previous?: unknown }).previous;
