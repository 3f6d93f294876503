import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Problem, StoredBuild } from '@larchwood/contract';
import type { BuildDocument } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { ApiProblem } from '../api/client';
import type { Unsaved } from './unsaved';
import { Autosave, KEEP, PAUSE, RETRY, type SaveState } from './autosave';

const START = made();
const withNotes = (notes: string): BuildDocument => ({ ...START, notes });

/** What becomes of a save on its way: it arrives and is answered, its answer is lost, or it never arrives. */
type Way = 'answered' | 'answer lost' | 'never arrives';

/** A server, a browser's store and a clock of its own, and a window that edits. */
class World {
  revisions: BuildDocument[] = [START];
  deleted = false;
  way: Way = 'answered';
  kept: Unsaved | undefined;
  states: SaveState[] = [];
  sends = 0;
  private static saves = 0;
  private saveId = '';
  private now = 0;
  private timers = new Map<number, { at: number; run: () => void }>();
  private next = 0;
  private held: (() => void)[] = [];
  /** While it is true, saves stay on their way until `arrive`. */
  slow = false;
  /** The browser keeps nothing. */
  blocked = false;
  autosave = this.open();

  get state(): SaveState {
    return this.states.at(-1)!;
  }
  get newest(): BuildDocument {
    return this.revisions.at(-1)!;
  }
  stored(): StoredBuild {
    const { length: revision } = this.revisions;
    const { name, kind } = START;
    return {
      id: 'b',
      name,
      kind,
      revision,
      savedAt: `t${revision}`,
      saveId: this.saveId,
      document: this.newest,
    };
  }
  /** Opens the build as a visit does: with what an earlier one left in the browser. */
  open(): Autosave {
    const build = this.stored();
    const { kept } = this;
    this.states = [{ is: 'saved', at: build.savedAt }];
    this.autosave = new Autosave(
      build,
      {
        send: (...save) => this.send(...save),
        newId: () => `save ${++World.saves}`,
        keep: (unsaved) => {
          if (this.blocked) return false;
          this.kept = unsaved;
          return true;
        },
        forget: () => (this.kept = undefined),
        later: (ms, run) => {
          const id = this.next++;
          this.timers.set(id, { at: this.now + ms, run });
          return () => this.timers.delete(id);
        },
        onState: (state) => this.states.push(state),
        onSaved: () => undefined,
      },
      kept,
    );
    this.autosave.start();
    return this.autosave;
  }
  private async send(revision: number, document: BuildDocument, saveId: string): Promise<StoredBuild> {
    this.sends += 1;
    const { way } = this;
    if (this.slow) await new Promise<void>((go) => this.held.push(go));
    const refuse = (problem: Problem) => {
      throw new ApiProblem(problem);
    };
    if (way !== 'never arrives') {
      if (this.deleted) refuse({ status: 404, message: 'There is no build b.' });
      if (revision !== this.revisions.length)
        refuse({ status: 409, message: 'Saved in between.', current: this.stored() });
      // As it comes back over the wire: the same content, another object.
      this.revisions.push(structuredClone(document));
      this.saveId = saveId;
    }
    if (way !== 'answered') refuse({ status: 0, message: 'The server does not answer.' });
    return this.stored();
  }
  async arrive(): Promise<void> {
    for (const go of this.held.splice(0)) go();
    await settled();
  }
  async pass(ms: number): Promise<void> {
    for (const end = this.now + ms; ;) {
      const due = [...this.timers].filter(([, { at }]) => at <= end).sort(([, a], [, b]) => a.at - b.at)[0];
      if (!due) {
        this.now = end;
        return;
      }
      this.timers.delete(due[0]);
      this.now = due[1].at;
      due[1].run();
      await settled();
    }
  }
}
const settled = () => new Promise<void>((done) => setImmediate(done));

describe('saving', () => {
  it('waits for a pause after the last edit, and writes it down before', async () => {
    const world = new World();
    world.autosave.edit(withNotes('a'));
    await world.pass(KEEP - 1);
    expect(world.kept).toBeUndefined();
    await world.pass(1);
    expect(world.kept?.document.notes).toBe('a');
    world.autosave.edit(withNotes('b'));
    await world.pass(PAUSE - 1);
    expect([world.sends, world.state.is]).toEqual([0, 'saving']);
    await world.pass(1);
    expect([world.newest.notes, world.kept, world.state]).toEqual([
      'b',
      undefined,
      { is: 'saved', at: 't2' },
    ]);
  });
  it('an edit while a save is under way, and then leaving: both arrive', async () => {
    const world = new World();
    world.slow = true;
    world.autosave.edit(withNotes('a'));
    await world.pass(PAUSE);
    world.autosave.edit(withNotes('b'));
    world.autosave.leave();
    expect(world.kept?.document.notes).toBe('b');
    await world.arrive();
    // Kept until it has arrived, too.
    expect([world.newest.notes, world.kept?.document.notes]).toEqual(['a', 'b']);
    await world.arrive();
    expect([world.newest.notes, world.kept]).toEqual(['b', undefined]);
  });
  it('a save that arrives but whose answer is lost is its own, whatever was edited since', async () => {
    const world = new World();
    world.way = 'answer lost';
    world.autosave.edit(withNotes('a'));
    await world.pass(PAUSE);
    expect(world.state.is).toBe('waiting');
    // The next attempt does not even arrive.
    world.way = 'never arrives';
    world.autosave.edit(withNotes('b'));
    await world.pass(RETRY);
    world.way = 'answered';
    world.autosave.edit(withNotes('c'));
    await world.pass(RETRY + PAUSE);
    expect(world.revisions.map(({ notes }) => notes)).toEqual([START.notes, 'a', 'c']);
    expect(world.states.map(({ is }) => is)).not.toContain('conflict');
    expect([world.state.is, world.kept]).toEqual(['saved', undefined]);
  });
  it('an edit undone while the server is away is undone on the server, too', async () => {
    const world = new World();
    world.way = 'answer lost';
    world.autosave.edit(withNotes('a'));
    await world.pass(PAUSE);
    world.way = 'answered';
    world.autosave.edit(START);
    await world.pass(RETRY + PAUSE);
    expect([world.newest.notes, world.state.is]).toEqual([START.notes, 'saved']);
  });
  it('tries again and again, never all at once', async () => {
    const world = new World();
    world.way = 'never arrives';
    world.autosave.edit(withNotes('a'));
    await world.pass(PAUSE + 10 * RETRY);
    expect(world.sends).toBe(11);
    expect(world.kept?.document.notes).toBe('a');
    world.autosave.edit(START);
    await world.pass(3 * RETRY);
    expect(world.sends).toBe(14);
  });
  it('what somebody else saved is told with both sides, and waits for a word', async () => {
    const world = new World();
    world.revisions.push(withNotes('theirs'));
    world.autosave.edit(withNotes('mine'));
    await world.pass(PAUSE);
    expect(world.state).toMatchObject({ is: 'conflict', theirs: { revision: 2 } });
    world.autosave.edit(withNotes('mine, and more'));
    await world.pass(10 * RETRY);
    expect([world.sends, world.kept?.document.notes]).toEqual([1, 'mine, and more']);
    world.autosave.goOn(world.stored());
    await world.pass(PAUSE);
    expect([world.newest.notes, world.state.is]).toEqual(['mine, and more', 'saved']);
  });
  it('theirs is taken: nothing of mine is brought back at the next visit', async () => {
    const world = new World();
    world.revisions.push(withNotes('theirs'));
    world.autosave.edit(withNotes('mine'));
    await world.pass(PAUSE);
    const theirs = world.stored();
    world.autosave.goOn(theirs);
    world.autosave.edit(theirs.document);
    await world.pass(PAUSE);
    expect([world.newest.notes, world.kept, world.state.is]).toEqual(['theirs', undefined, 'saved']);
  });
  it('of a build that is gone stops, and keeps what was edited', async () => {
    const world = new World();
    world.deleted = true;
    world.autosave.edit(withNotes('a'));
    await world.pass(PAUSE + 5 * RETRY);
    expect([world.sends, world.state.is, world.kept?.document.notes]).toEqual([1, 'gone', 'a']);
    world.autosave.leave();
    expect(world.sends).toBe(1);
  });
  it('where the browser keeps nothing it says so, and goes on', async () => {
    const world = new World();
    world.blocked = true;
    world.way = 'never arrives';
    world.autosave.edit(withNotes('a'));
    await world.pass(PAUSE);
    expect(world.state).toMatchObject({ is: 'waiting', kept: false });
    world.way = 'answered';
    await world.pass(RETRY);
    expect([world.newest.notes, world.state.is]).toEqual(['a', 'saved']);
  });
  it('what went elsewhere is neither saved nor kept', async () => {
    const world = new World();
    world.deleted = true;
    world.autosave.edit(withNotes('a'));
    await world.pass(PAUSE);
    world.autosave.abandon();
    world.autosave.leave();
    expect([world.sends, world.kept]).toEqual([1, undefined]);
  });
  it('what was brought back and undone goes on from the newest revision', async () => {
    const world = new World();
    world.kept = { revision: 1, document: withNotes('brought back'), saveIds: [] };
    world.revisions.push(withNotes('newest'));
    const server = world.newest;
    world.open().edit(server);
    world.autosave.edit(withNotes('newer'));
    await world.pass(PAUSE);
    expect([world.newest.notes, world.state.is]).toEqual(['newer', 'saved']);
  });
  it('opening and leaving without an edit sends and forgets nothing', async () => {
    const other = { revision: 1, document: withNotes('of another window'), saveIds: [] };
    const looking = new World();
    looking.kept = other;
    looking.autosave.leave();
    await looking.pass(RETRY);
    expect([looking.sends, looking.kept]).toEqual([0, other]);
  });

  it('in whatever order things happen, the last edit is on the server or in the browser, and nobody is blamed', async () => {
    const step = fc.oneof(
      { weight: 4, arbitrary: fc.constant('edit') },
      { weight: 1, arbitrary: fc.constant('undo') },
      { weight: 4, arbitrary: fc.constantFrom(50, KEEP, PAUSE, RETRY) },
      { weight: 2, arbitrary: fc.constantFrom<Way>('answered', 'answer lost', 'never arrives') },
      { weight: 2, arbitrary: fc.constantFrom('slow', 'arrive') },
      { weight: 1, arbitrary: fc.constant('reopen') },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const world = new World();
        const edits = [START];
        let count = 0;
        for (const each of steps) {
          if (typeof each === 'number') await world.pass(each);
          else if (each === 'edit') {
            edits.push(withNotes(`edit ${++count}`));
            world.autosave.edit(edits.at(-1)!);
          } else if (each === 'undo') {
            if (edits.length > 1) edits.pop();
            world.autosave.edit(edits.at(-1)!);
          } else if (each === 'slow') world.slow = true;
          else if (each === 'arrive') {
            await world.arrive();
            world.slow = false;
          } else if (each === 'reopen') {
            world.autosave.leave();
            await settled();
            // Nothing that was edited is only in memory any more.
            const last = edits.at(-1)!.notes;
            expect([world.newest.notes, world.kept?.document.notes]).toContain(last);
            await world.arrive();
            await world.arrive();
            world.slow = false;
            world.open();
          } else world.way = each as Way;
          expect(world.states.map(({ is }) => is)).not.toContain('conflict');
        }
        world.way = 'answered';
        world.slow = false;
        await world.arrive();
        await world.pass(3 * (RETRY + PAUSE));
        expect(world.newest.notes).toBe(edits.at(-1)!.notes);
        expect([world.state.is, world.kept]).toEqual(['saved', undefined]);
      }),
      { numRuns: 300 },
    );
  });
});
