import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEEP, PAUSE, RETRY } from './autosave';
import { settled } from '../testing/clock';
import { START, withNotes, World, type Way } from './autosaveWorld';

describe('saving', () => {
  it('waits for a pause after the last edit, and writes it down before', async () => {
    const world = new World();
    world.edit(withNotes('a'));
    await world.pass(KEEP - 1);
    expect(world.kept).toBeUndefined();
    await world.pass(1);
    expect(world.kept?.document.notes).toBe('a');
    world.edit(withNotes('b'));
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
    world.edit(withNotes('a'));
    await world.pass(PAUSE);
    world.edit(withNotes('b'));
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
    world.edit(withNotes('a'));
    await world.pass(PAUSE);
    expect(world.state.is).toBe('waiting');
    // The next attempt does not even arrive.
    world.way = 'never arrives';
    world.edit(withNotes('b'));
    await world.pass(RETRY);
    world.way = 'answered';
    world.edit(withNotes('c'));
    await world.pass(RETRY + PAUSE);
    expect(world.revisions.map(({ notes }) => notes)).toEqual([START.notes, 'a', 'c']);
    expect(world.states.map(({ is }) => is)).not.toContain('conflict');
    expect([world.state.is, world.kept]).toEqual(['saved', undefined]);
  });
  it('an edit undone while the server is away is undone on the server, too', async () => {
    const world = new World();
    world.way = 'answer lost';
    world.edit(withNotes('a'));
    await world.pass(PAUSE);
    world.way = 'answered';
    world.edit(START);
    await world.pass(RETRY + PAUSE);
    expect([world.newest.notes, world.state.is]).toEqual([START.notes, 'saved']);
  });
  it('tries again and again, never all at once', async () => {
    const world = new World();
    world.way = 'never arrives';
    world.edit(withNotes('a'));
    await world.pass(PAUSE + 10 * RETRY);
    expect(world.sends).toBe(11);
    expect(world.kept?.document.notes).toBe('a');
    world.edit(START);
    await world.pass(3 * RETRY);
    expect(world.sends).toBe(14);
  });
  it('what somebody else saved is told with both sides, and waits for a word', async () => {
    const world = new World();
    world.revisions.push(withNotes('theirs'));
    world.edit(withNotes('mine'));
    await world.pass(PAUSE);
    expect(world.state).toMatchObject({ is: 'conflict', theirs: { revision: 2 } });
    world.edit(withNotes('mine, and more'));
    await world.pass(10 * RETRY);
    expect([world.sends, world.kept?.document.notes]).toEqual([1, 'mine, and more']);
    world.autosave.goOn(world.stored());
    await world.pass(PAUSE);
    expect([world.newest.notes, world.state.is]).toEqual(['mine, and more', 'saved']);
  });
  it('who only looks sees at once what somebody else saved, and sends nothing', async () => {
    const world = new World();
    world.othersSave({ notes: 'theirs' });
    world.autosave.heard(world.notice());
    await settled();
    expect([world.present.notes, world.state]).toEqual(['theirs', { is: 'saved', at: 't2' }]);
    await world.pass(10 * RETRY);
    expect([world.sends, world.kept]).toEqual([0, undefined]);
  });
  it.each(['heard of', 'met at the save', 'met while a save is under way'])(
    'what somebody else saved of another part goes together with what is edited here: %s',
    async (how) => {
      const world = new World();
      world.slow = how === 'met while a save is under way';
      world.edit(withNotes('mine'));
      if (world.slow) await world.pass(PAUSE);
      world.othersSave({ name: 'Theirs' });
      if (how !== 'met at the save') world.autosave.heard(world.notice());
      await world.pass(PAUSE);
      world.slow = false;
      await world.arrive();
      await world.pass(2 * PAUSE);
      expect([world.newest.notes, world.newest.name]).toEqual(['mine', 'Theirs']);
      expect([world.present.name, world.state.is, world.kept]).toEqual(['Theirs', 'saved', undefined]);
      expect(world.states.map(({ is }) => is)).not.toContain('conflict');
    },
  );
  it('edits brought back over an older revision are asked about: what they began from is not known', async () => {
    const world = new World();
    world.othersSave({ name: 'Theirs' });
    world.kept = { revision: 1, document: withNotes('mine'), saveIds: [] };
    world.open();
    await world.pass(PAUSE);
    expect(world.state.is).toBe('conflict');
  });
  it('its own save that is heard of is no news', async () => {
    const world = new World();
    world.slow = true;
    world.edit(withNotes('mine'));
    await world.pass(PAUSE);
    world.saveId = `save ${World.saves}`;
    world.autosave.heard({ id: 'b', revision: 2, saveId: world.saveId });
    world.slow = false;
    await world.arrive();
    await world.pass(RETRY);
    expect([world.sends, world.state.is]).toEqual([1, 'saved']);
  });
  it('deleted while it is looked at: told at once, kept only where there is something to keep; brought back it goes on', async () => {
    const world = new World();
    world.deleted = true;
    world.autosave.heard(world.notice());
    expect([world.state, world.kept]).toEqual([{ is: 'gone', edited: false }, undefined]);
    world.edit(withNotes('a'));
    expect(world.kept?.document.notes).toBe('a');
    world.deleted = false;
    world.othersSave({ name: 'Theirs' });
    world.autosave.resume();
    await world.pass(2 * PAUSE);
    expect([world.newest.notes, world.newest.name, world.state.is]).toEqual(['a', 'Theirs', 'saved']);
  });
  it('deleted and changed before: brought back, both sides are asked about, nothing is overwritten', async () => {
    const world = new World();
    world.othersSave({ notes: 'theirs' });
    world.deleted = true;
    world.edit(withNotes('mine'));
    await world.pass(PAUSE);
    expect(world.state.is).toBe('gone');
    world.deleted = false;
    world.autosave.resume();
    await world.pass(2 * PAUSE);
    expect([world.state.is, world.newest.notes]).toEqual(['conflict', 'theirs']);
  });
  it('theirs is taken: nothing of mine is brought back at the next visit', async () => {
    const world = new World();
    world.revisions.push(withNotes('theirs'));
    world.edit(withNotes('mine'));
    await world.pass(PAUSE);
    const theirs = world.stored();
    world.autosave.goOn(theirs);
    world.edit(theirs.document);
    await world.pass(PAUSE);
    expect([world.newest.notes, world.kept, world.state.is]).toEqual(['theirs', undefined, 'saved']);
  });
  it('of a build that is gone stops, and keeps what was edited', async () => {
    const world = new World();
    world.deleted = true;
    world.edit(withNotes('a'));
    await world.pass(PAUSE + 5 * RETRY);
    expect([world.sends, world.state.is, world.kept?.document.notes]).toEqual([1, 'gone', 'a']);
    world.autosave.leave();
    expect(world.sends).toBe(1);
  });
  it('where the browser keeps nothing it says so, and goes on', async () => {
    const world = new World();
    world.blocked = true;
    world.way = 'never arrives';
    world.edit(withNotes('a'));
    await world.pass(PAUSE);
    expect(world.state).toMatchObject({ is: 'waiting', kept: false });
    world.way = 'answered';
    await world.pass(RETRY);
    expect([world.newest.notes, world.state.is]).toEqual(['a', 'saved']);
  });
  it('what went elsewhere is neither saved nor kept', async () => {
    const world = new World();
    world.deleted = true;
    world.edit(withNotes('a'));
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
    world.open();
    world.edit(server);
    world.edit(withNotes('newer'));
    await world.pass(PAUSE);
    expect([world.newest.notes, world.state.is]).toEqual(['newer', 'saved']);
  });
  it('ticks made without a network, kept over a reload, are put together with what others ticked meanwhile', async () => {
    const tick = (step: string, hours: number) => ({ step, of: 'as drawn', done: true, on: 't', hours });
    const world = new World();
    world.way = 'never arrives';
    world.edit({ ...START, done: [tick('cut', 1), tick('cope', 2)] });
    await world.pass(PAUSE);
    world.autosave.leave();
    await settled();
    world.othersSave({ done: [tick('cut', 1.5), tick('weld', 3)] });
    world.way = 'answered';
    world.open();
    await world.pass(RETRY);
    expect([world.state.is, world.kept]).toEqual(['saved', undefined]);
    expect(world.newest.done?.map(({ step, hours }) => [step, hours])).toEqual([
      ['cut', 1.5],
      ['cope', 2],
      ['weld', 3],
    ]);
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
      { weight: 2, arbitrary: fc.constantFrom('others save', 'hear') },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const world = new World();
        const edits = [START];
        let count = 0;
        let others = START.name;
        for (const each of steps) {
          if (typeof each === 'number') await world.pass(each);
          else if (each === 'edit') {
            edits.push({ ...world.present, notes: `edit ${++count}` });
            world.edit(edits.at(-1)!);
          } else if (each === 'undo') {
            if (edits.length > 1) edits.pop();
            world.edit({ ...world.present, notes: edits.at(-1)!.notes });
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
          } else if (each === 'others save') {
            // Not over a save of this window that arrived unanswered: that one must ask.
            if (!world.lost) world.othersSave({ name: (others = `Others ${++count}`) });
          } else if (each === 'hear') {
            world.autosave.heard(world.notice());
            await settled();
          } else world.way = each as Way;
          expect(world.states.map(({ is }) => is)).not.toContain('conflict');
        }
        world.way = 'answered';
        world.slow = false;
        await world.arrive();
        await world.pass(3 * (RETRY + PAUSE));
        await world.pass(3 * (RETRY + PAUSE));
        expect([world.newest.notes, world.newest.name]).toEqual([edits.at(-1)!.notes, others]);
        expect([world.state.is, world.kept]).toEqual(['saved', undefined]);
      }),
      { numRuns: 300 },
    );
  });
});
