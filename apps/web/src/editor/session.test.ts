import { describe, expect, it, vi } from 'vitest';
import { planBuild } from '@larchwood/core';
import { made } from '../../../../testing/made.js';
import { exchangeHeld, holdDimension } from '../edits/stance';
import { Session } from './session';

const head = (session: Session) => session.present().stance.held.headAngle;

describe('the open document', () => {
  it('plans each edit at once and tells who listens', () => {
    const session = new Session(made());
    const heard = vi.fn();
    session.subscribe(heard);
    const before = session.now().plan!.stance.values.trail!;
    expect(session.edit('head', holdDimension('headAngle', 71))).toEqual({ ok: true, value: true });
    expect(session.now().plan!.stance.values.trail!).toBeGreaterThan(before + 5);
    expect(heard).toHaveBeenCalledTimes(1);
  });

  it('what is dragged is planned at once, what stands in other stations when it is let go', () => {
    const session = new Session(made());
    const { fixture } = session.now().plan!;
    const heard = vi.fn();
    session.drag(true);
    session.edit('head', holdDimension('headAngle', 71));
    expect(session.now().plan!.stance.values.headAngle).toBe(71);
    expect(session.now().plan!.fixture).toBe(fixture);
    session.subscribe(heard);
    session.drag(false);
    expect(heard).toHaveBeenCalledTimes(1);
    const planned = planBuild(session.present());
    expect(planned.ok && planned.plan).toEqual(session.now().plan);
    expect(session.now().plan!.fixture.settings).not.toEqual(fixture.settings);
    // Nothing was dragged: nobody is told.
    session.drag(false);
    expect(heard).toHaveBeenCalledTimes(1);
  });

  it('refuses what no vehicle comes of, about the field that asked, and keeps document, plan and history', () => {
    const session = new Session(made());
    const before = session.now();
    const refused = session.edit('drop', holdDimension('chainstayLength', 12), 'chainstayLength');
    expect(refused).toMatchObject({ ok: false, message: expect.stringContaining('Chainstay length') });
    expect(session.now()).toBe(before);
  });

  it('undoes a run of edits with one key as one, and what came after it first', () => {
    const session = new Session(made());
    for (const angle of [72, 71.5, 71]) session.edit('head', holdDimension('headAngle', angle));
    session.settle();
    session.edit('head', holdDimension('headAngle', 70));
    session.edit('offset', holdDimension('forkOffset', 50));
    session.undo();
    expect(session.present().stance.held.forkOffset).toBe(47);
    session.undo();
    expect(head(session)).toBe(71);
    session.undo();
    expect(head(session)).toBe(72.5);
    session.undo();
    expect(head(session)).toBe(72.5);
    session.redo();
    session.redo();
    expect(head(session)).toBe(70);
    // A new edit ends what could be done again.
    session.edit('head', holdDimension('headAngle', 73));
    session.redo();
    expect(head(session)).toBe(73);
  });

  it('a document that has no plan may be mended step by step', () => {
    const broken = {
      ...made(),
      stance: { ...made().stance, held: { ...made().stance.held, headAngle: 5, reach: 5000 } },
    };
    const session = new Session(broken);
    expect(session.now().plan).toBeUndefined();
    expect(session.now().refusals.map((refusal) => refusal.where)).toEqual(['headAngle', 'reach']);
    expect(session.edit('head', holdDimension('headAngle', 72)).ok).toBe(true);
    expect(session.now().refusals.map((refusal) => refusal.where)).toEqual(['reach']);
    session.edit('reach', holdDimension('reach', 380));
    expect(session.now().refusals).toEqual([]);
    // Going back to a broken document keeps the last good plan for the drawing.
    session.undo();
    expect(session.now().plan).toBeDefined();
    expect(session.now().refusals).toHaveLength(1);
  });

  it('unsaved edits of an earlier visit come first, and can be undone', () => {
    const session = new Session(made(), { ...made(), name: 'Changed' });
    expect(session.present().name).toBe('Changed');
    session.undo();
    expect(session.present().name).toBe('Test');
  });

  it('exchanging what is held leaves the vehicle as it is', () => {
    const session = new Session(made());
    const before = session.now().plan!.stance.values;
    session.edit('exchange', exchangeHeld('frontCentre', before.frontCentre!, 'reach'));
    expect(session.present().stance.held).not.toHaveProperty('reach');
    for (const [id, value] of Object.entries(session.now().plan!.stance.values))
      expect(value, id).toBeCloseTo(before[id]!, 6);
  });

  it('takes in what somebody else changed, also into what can be undone; a step back takes back only one’s own', () => {
    const start = made();
    const session = new Session(start);
    session.edit('head', holdDimension('headAngle', 71));
    session.settle();
    session.edit('head', holdDimension('headAngle', 70));
    session.undo();
    const changes = session.adopt(start, { ...start, notes: 'Theirs' });
    expect([...changes!.parts.keys()]).toEqual(['notes']);
    expect([head(session), session.present().notes]).toEqual([71, 'Theirs']);
    session.redo();
    expect([head(session), session.present().notes]).toEqual([70, 'Theirs']);
    session.undo();
    session.undo();
    expect([head(session), session.present().notes]).toEqual([72.5, 'Theirs']);
  });

  it('takes theirs as it is where nothing was changed here: there is nothing to save then', () => {
    const start = made();
    const session = new Session(start);
    const theirs = { ...start, notes: 'Theirs' };
    session.adopt(start, theirs);
    expect(session.present()).toBe(theirs);
  });

  it('takes nothing where both changed the same part, or where no vehicle comes of the two together', () => {
    const start = made();
    const session = new Session(start);
    session.edit('head', holdDimension('headAngle', 71));
    const before = session.now();
    expect(session.adopt(start, holdDimension('forkOffset', 50)(start))).toBeUndefined();
    const impossible = {
      ...start,
      wheels: { ...start.wheels, rear: { by: 'marking', marking: 'no tyre', sag: 0 } },
    };
    expect(session.adopt(start, impossible as typeof start)).toBeUndefined();
    expect(session.now()).toBe(before);
  });
});
