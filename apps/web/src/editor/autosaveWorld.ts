import type { BuildNotice, Problem, StoredBuild } from '@larchwood/contract';
import { changesBetween, clashes, isUnchanged, withChanges, type BuildDocument } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { ApiProblem } from '../api/client';
import { Clock, settled } from '../testing/clock';
import { Autosave, type SaveState } from './autosave';
import type { Unsaved } from './unsaved';

export const START = made();
export const withNotes = (notes: string): BuildDocument => ({ ...START, notes });

/** What becomes of a save on its way: it arrives and is answered, its answer is lost, or it never arrives. */
export type Way = 'answered' | 'answer lost' | 'never arrives';

/** A server, a browser's store and a clock of its own, and a window that edits. */
export class World {
  revisions: BuildDocument[] = [START];
  deleted = false;
  way: Way = 'answered';
  kept: Unsaved | undefined;
  states: SaveState[] = [];
  sends = 0;
  static saves = 0;
  saveId = '';
  private readonly clock = new Clock();
  private held: (() => void)[] = [];
  /** While it is true, saves stay on their way until `arrive`. */
  slow = false;
  /** A save arrived whose answer never came: what others save over it cannot be told from it. */
  lost = false;
  /** The browser keeps nothing. */
  blocked = false;
  /** The document as it is open. */
  present: BuildDocument = START;
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
  edit(document: BuildDocument): void {
    this.present = document;
    this.autosave.edit(document);
  }
  /** Somebody else saves what they changed of the newest. */
  othersSave(change: Partial<BuildDocument>): void {
    this.revisions.push({ ...this.newest, ...change });
    this.saveId = `theirs ${this.revisions.length}`;
  }
  notice(): BuildNotice {
    return this.deleted
      ? { id: 'b', deleted: true }
      : { id: 'b', revision: this.revisions.length, saveId: this.saveId };
  }
  /** Opens the build as a visit does: with what an earlier one left in the browser. */
  open(): Autosave {
    const build = this.stored();
    const { kept } = this;
    this.states = [{ is: 'saved', at: build.savedAt }];
    this.present = kept?.document ?? build.document;
    this.autosave = new Autosave(
      build,
      {
        send: (...save) => this.send(...save),
        fetch: async () => {
          if (this.deleted) throw new ApiProblem({ status: 404, message: 'There is no build b.' });
          return this.stored();
        },
        adopt: (theirs, base) => {
          const mine = changesBetween(base, this.present);
          const changes = changesBetween(base, theirs.document);
          if (clashes(mine, changes).length > 0) return undefined;
          this.present = isUnchanged(mine) ? theirs.document : withChanges(this.present, changes);
          return this.present;
        },
        newId: () => `save ${++World.saves}`,
        keep: (unsaved) => {
          if (this.blocked) return false;
          this.kept = unsaved;
          return true;
        },
        forget: () => (this.kept = undefined),
        later: this.clock.later,
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
      this.lost = way === 'answer lost';
    }
    if (way !== 'answered') refuse({ status: 0, message: 'The server does not answer.' });
    return this.stored();
  }
  async arrive(): Promise<void> {
    for (const go of this.held.splice(0)) go();
    await settled();
  }
  readonly pass = (ms: number): Promise<void> => this.clock.pass(ms);
}
