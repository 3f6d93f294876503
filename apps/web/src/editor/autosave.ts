import type { BuildNotice, StoredBuild } from '@larchwood/contract';
import type { BuildDocument } from '@larchwood/format';
import { ApiProblem } from '../api/client';
import type { Unsaved } from './unsaved';

export type SaveState =
  | { readonly is: 'saved'; readonly at: string }
  | { readonly is: 'saving' }
  /** The server does not answer; the edits are sent again, and kept in this browser where it keeps anything. */
  | { readonly is: 'waiting'; readonly message: string; readonly kept: boolean }
  /** Somebody else saved in between. */
  | {
      readonly is: 'conflict';
      readonly theirs: StoredBuild;
      /** What both began from, where it is known. */
      readonly base: BuildDocument | undefined;
    }
  /** It was deleted elsewhere, while it was edited here or only looked at. */
  | { readonly is: 'gone'; readonly edited: boolean };

/** A save on its way. */
interface Sent {
  readonly saveId: string;
  readonly document: BuildDocument;
}

/** What the server is known to have: a revision, and the document that it holds. */
interface Base {
  readonly revision: number;
  readonly document: BuildDocument;
  /** The document is that of the revision; not so for edits brought back that began at an earlier one. */
  readonly known: boolean;
}

/** What saving needs of the world; a test gives its own. */
export interface Wires {
  /** Sends a document over the revision last seen, named by an id of its own. @throws ApiProblem */
  readonly send: (revision: number, document: BuildDocument, saveId: string) => Promise<StoredBuild>;
  /** The build as the server has it now. @throws ApiProblem */
  readonly fetch: () => Promise<StoredBuild>;
  /**
   * Takes what somebody else changed since `base` into what is open here.
   * @returns the document as it is open then; undefined where both changed the same, and nothing was taken
   */
  readonly adopt: (theirs: StoredBuild, base: BuildDocument) => BuildDocument | undefined;
  readonly newId: () => string;
  /** Writes down in this browser what has not reached the server; false where it keeps nothing. */
  readonly keep: (unsaved: Unsaved) => boolean;
  readonly forget: () => void;
  /** Runs something after so many ms; what is returned calls it off. */
  readonly later: (ms: number, run: () => void) => () => void;
  readonly onState: (state: SaveState) => void;
  readonly onSaved: (build: StoredBuild) => void;
}

/** Writing an edit down in this browser takes a part of a frame: a drag writes when it rests; ms. */
export const KEEP = 120;
/** From the last edit to its save; and to the next attempt after one that failed; ms. */
export const PAUSE = 600;
export const RETRY = 4000;

/**
 * Saves a document by itself, one save at a time, a moment after the last edit. Whatever has not reached the server is kept
 * in this browser until it has. A conflict, or a build that is gone, stops saving until `goOn` says from which revision.
 */
export class Autosave {
  private base: Base;
  private present: BuildDocument;
  private sent: Sent | undefined;
  /** Ids of saves over the base that had no answer: any of them may have arrived all the same. */
  private unanswered: readonly string[];
  private state: SaveState;
  private left = false;
  private kept = true;
  /** Newest revision that was heard of. */
  private heardOf: number;
  private callOff: (() => void)[] = [];

  /**
   * @param opened what the server had when the build was opened
   * @param unsaved what goes on from there, where edits of an earlier visit were brought back
   */
  constructor(
    private readonly opened: StoredBuild,
    private readonly wires: Wires,
    unsaved?: Unsaved,
  ) {
    this.base = {
      revision: unsaved?.revision ?? opened.revision,
      document: unsaved?.base ?? opened.document,
      known: unsaved?.base !== undefined || (unsaved?.revision ?? opened.revision) === opened.revision,
    };
    this.heardOf = opened.revision;
    this.present = unsaved?.document ?? opened.document;
    this.unanswered = unsaved?.saveIds ?? [];
    this.state = { is: 'saved', at: opened.savedAt };
  }

  /** It is looked at, or looked at again: what is pending is saved. */
  start(): void {
    this.left = false;
    if (this.pending) this.plan(PAUSE);
  }

  /** The document as it stands after an edit. */
  edit(document: BuildDocument): void {
    if (document === this.present) return;
    this.present = document;
    if (this.stopped) this.keep();
    else this.plan(this.state.is === 'waiting' ? RETRY : PAUSE);
  }

  /** The page itself goes: there is time only to write down what is pending. */
  writeDown(): void {
    if (this.pending) this.keep();
  }

  /** The build is left, within the pause or not: what is pending is written down and sent at once. */
  leave(): void {
    this.left = true;
    this.rest();
    this.writeDown();
    if (!this.stopped) this.send();
  }

  /** Goes on from what the server has now: over it, where the document differs. */
  goOn(from: StoredBuild): void {
    this.base = { revision: from.revision, document: from.document, known: true };
    this.unanswered = [];
    this.say({ is: 'saved', at: from.savedAt });
    this.plan(PAUSE);
  }

  /** Goes on from what was known before a stop: what was saved since then, if anything, is met as ever. */
  resume(): void {
    this.say({ is: 'saved', at: this.opened.savedAt });
    this.plan(PAUSE);
    void this.lookAgain();
  }

  /** Somebody saved or deleted the build; it may have been this window. */
  heard(notice: BuildNotice): void {
    if (this.left || this.stopped) return;
    if ('deleted' in notice) this.stop({ is: 'gone', edited: this.pending });
    else if (!this.isOwn(notice.saveId)) {
      this.heardOf = Math.max(this.heardOf, notice.revision);
      void this.catchUp();
    }
  }

  /** Asks what the server has: something may have been missed. */
  async lookAgain(): Promise<void> {
    this.heardOf = Math.max(this.heardOf, this.base.revision + 1);
    await this.catchUp();
  }

  /** What is pending went elsewhere: it is neither saved nor kept any more. */
  abandon(): void {
    this.rest();
    this.base = { ...this.base, document: this.present };
    this.wires.forget();
  }

  private get pending(): boolean {
    return this.present !== this.base.document;
  }
  private get stopped(): boolean {
    return this.state.is === 'conflict' || this.state.is === 'gone';
  }

  private isOwn(saveId: string | undefined): boolean {
    return saveId !== undefined && (saveId === this.sent?.saveId || this.unanswered.includes(saveId));
  }

  /** Meets what somebody else saved, unless a save under way is about to. */
  private async catchUp(): Promise<void> {
    if (this.left || this.stopped || this.sent || this.heardOf <= this.base.revision) return;
    let theirs: StoredBuild;
    try {
      theirs = await this.wires.fetch();
    } catch (error) {
      if (error instanceof ApiProblem && error.problem.status === 404 && !this.stopped)
        this.stop({ is: 'gone', edited: this.pending });
      return;
    }
    if (this.left || this.stopped || this.sent) return;
    this.heardOf = theirs.revision;
    if (theirs.revision <= this.base.revision) return;
    if (this.isOwn(theirs.saveId)) this.send();
    else this.meet(theirs);
  }

  /** Somebody else saved: taken in where it was something else, asked about where both changed the same. */
  private meet(theirs: StoredBuild): void {
    const present = this.base.known ? this.wires.adopt(theirs, this.base.document) : undefined;
    if (present === undefined) {
      this.stop({ is: 'conflict', theirs, base: this.base.known ? this.base.document : undefined });
      return;
    }
    this.present = present;
    this.base = { revision: theirs.revision, document: theirs.document, known: true };
    this.unanswered = [];
    this.heardOf = Math.max(this.heardOf, theirs.revision);
    this.say({ is: 'saved', at: theirs.savedAt });
    if (this.left) this.leave();
    else this.plan(PAUSE);
  }

  private keep(): void {
    const saveIds = [...this.unanswered, ...(this.sent ? [this.sent.saveId] : [])];
    const base = this.base.known ? this.base.document : undefined;
    this.kept = this.wires.keep({ revision: this.base.revision, document: this.present, base, saveIds });
  }

  private plan(pause: number): void {
    this.rest();
    if (this.stopped || this.left) return;
    if (!this.pending && this.state.is === 'saved') {
      // Undone to what the server has, or gone on from there.
      if (this.present === this.opened.document && this.unanswered.length === 0)
        this.base = {
          ...this.base,
          revision: Math.max(this.base.revision, this.opened.revision),
          known: true,
        };
      this.wires.forget();
      this.wires.onState(this.state);
      return;
    }
    if (this.state.is === 'saved') this.wires.onState({ is: 'saving' });
    this.callOff = [
      this.wires.later(KEEP, () => this.writeDown()),
      this.wires.later(pause, () => this.send()),
    ];
  }

  private rest(): void {
    for (const callOff of this.callOff) callOff();
    this.callOff = [];
  }

  private send(): void {
    // One at a time: the answer to the one under way sends what came after it.
    if (this.sent || (!this.pending && this.state.is !== 'waiting')) return;
    const sent = { saveId: this.wires.newId(), document: this.present };
    this.sent = sent;
    // Before it goes: a visit to come must know that it may have arrived.
    this.keep();
    if (this.state.is !== 'waiting') this.say({ is: 'saving' });
    this.wires.send(this.base.revision, sent.document, sent.saveId).then(
      (saved) => this.answered(saved, sent.document),
      (error: unknown) => this.failed(error, sent),
    );
  }

  private answered(saved: StoredBuild, document: BuildDocument): void {
    this.sent = undefined;
    this.unanswered = [];
    this.base = { revision: saved.revision, document, known: true };
    this.say({ is: 'saved', at: saved.savedAt });
    this.wires.onSaved(saved);
    // Heard of in the meantime, and not told by this answer.
    if (this.heardOf > saved.revision) void this.catchUp();
    if (!this.pending) {
      this.rest();
      this.wires.forget();
    } else if (this.left) {
      this.keep();
      this.send();
    } else this.plan(PAUSE);
  }

  private failed(error: unknown, { saveId }: Sent): void {
    this.sent = undefined;
    const problem = error instanceof ApiProblem ? error.problem : undefined;
    const theirs = problem?.status === 409 ? problem.current : undefined;
    // One of this window's own had arrived, and only its answer was lost.
    if (theirs?.saveId !== undefined && this.unanswered.includes(theirs.saveId))
      this.answered(theirs, theirs.document);
    else if (theirs) this.meet(theirs);
    else if (problem?.status === 404) this.stop({ is: 'gone', edited: true });
    else {
      // Without an answer it may have arrived.
      if (problem === undefined || problem.status === 0 || problem.status >= 500)
        this.unanswered = [...this.unanswered, saveId];
      this.say({ is: 'waiting', message: problem?.message ?? 'Saving failed.', kept: this.kept });
      this.plan(RETRY);
    }
  }

  private stop(state: SaveState): void {
    this.rest();
    if (this.pending) this.keep();
    this.say(state);
  }

  private say(state: SaveState): void {
    this.state = state;
    this.wires.onState(state);
  }
}
