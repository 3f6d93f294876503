import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { builds } from '../api/builds';
import { lastGood } from './lastGood';

vi.mock('../api/builds', () => ({ builds: { revisions: vi.fn(), revision: vi.fn() } }));

const good = made('bicycle', 'road');
/** Its chainstays are too short for how low its bracket lies: no vehicle comes of it. */
const shapeless: BuildDocument = {
  ...good,
  stance: { held: { ...good.stance.held, chainstayLength: 160, bottomBracketDrop: 200 } },
};

describe('the newest revision that has a shape', () => {
  const asked: number[] = [];
  /** Revisions from the newest on: a document, or one that does not read. */
  const kept = (...of: readonly (BuildDocument | 'unreadable')[]) => {
    vi.mocked(builds.revisions).mockResolvedValue(
      of.map((_, index) => ({ revision: of.length - index })) as never,
    );
    vi.mocked(builds.revision).mockImplementation((_, revision) => {
      asked.push(revision);
      const document = of[of.length - revision]!;
      return document === 'unreadable'
        ? Promise.reject(new Error('It does not read.'))
        : Promise.resolve({ revision, document } as never);
    });
  };
  beforeEach(() => void asked.splice(0));

  it('is found past those that do not read, and past those without a shape', async () => {
    kept('unreadable', shapeless, good, good);
    expect(await lastGood('b')).toEqual({ revision: 2, document: good });
    expect(asked).toEqual([4, 3, 2]);
  });
  it('is none where none is whole, and is not looked for for ever', async () => {
    kept();
    expect(await lastGood('b')).toBeUndefined();
    kept(...Array.from({ length: 40 }, () => shapeless), good);
    expect(await lastGood('b')).toBeUndefined();
    expect(asked).toHaveLength(40);
    kept(...Array.from({ length: 39 }, () => 'unreadable' as const), good);
    expect(await lastGood('b')).toEqual({ revision: 1, document: good });
  });
  it('a list that cannot be fetched is a fault of its own', async () => {
    vi.mocked(builds.revisions).mockRejectedValue(new Error('The server does not answer.'));
    await expect(lastGood('b')).rejects.toThrow('does not answer');
  });
});
