import {
  failure,
  planBuild,
  Planner,
  success,
  WHILE_DRAGGED,
  type Plan,
  type PlanResult,
  type Refusal,
  type Result,
} from '@larchwood/core';
import {
  changesBetween,
  clashes,
  isUnchanged,
  withChanges,
  type BuildDocument,
  type Changes,
} from '@larchwood/format';
import { begin, edited, redone, settled, undone, type History, type Step } from './history';

/** The open document with its plan, at one moment. */
export interface Moment {
  readonly history: History;
  /** The last plan that could be made: the drawing keeps it while a document has none. */
  readonly plan: Plan | undefined;
  /** Why the present document has no plan; empty when it has one. */
  readonly refusals: readonly Refusal[];
}

/**
 * Holds the open document and its plan outside the components, so that an edit is computed once, at once, and can say
 * whether it was taken. The plan of a whole bicycle takes well under a frame.
 */
export class Session {
  private moment: Moment;
  private readonly listeners = new Set<() => void>();
  /** Knows what was made last: an edit makes anew only what it touches. */
  private readonly planner = new Planner();
  private dragging = false;

  constructor(document: BuildDocument, unsaved?: BuildDocument) {
    const history = unsaved ? edited(begin(document), unsaved, 'brought back') : begin(document);
    this.moment = after(
      { history, plan: undefined, refusals: NONE },
      history,
      planBuild(history.present, this.planner),
    );
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly now = (): Moment => this.moment;
  readonly present = (): BuildDocument => this.moment.history.present;

  /**
   * Takes a change if a vehicle comes of it; else says why not, about the place `at` when that is among the reasons.
   * Edits in a row with one key undo as one. A document that has no plan yet may be changed freely, to mend it.
   */
  readonly edit = (
    key: string,
    change: (document: BuildDocument) => BuildDocument,
    at?: string,
  ): Result<true> => {
    const { history, refusals } = this.moment;
    const next = change(history.present);
    const planned = planBuild(next, this.planner, this.dragging ? WHILE_DRAGGED : undefined);
    if (!planned.ok && refusals.length === 0) {
      const refusal = planned.refusals.find((candidate) => candidate.where === at) ?? planned.refusals[0]!;
      return failure(refusal.message);
    }
    this.go(edited(history, next, key), planned);
    return success(true);
  };
  readonly settle = (): void => {
    this.moment = { ...this.moment, history: settled(this.moment.history) };
  };
  /** While something is dragged, what stands in other stations may lag behind; it is made up for when it is let go. */
  readonly drag = (dragging: boolean): void => {
    this.dragging = dragging;
    if (dragging) return;
    const { history, plan } = this.moment;
    const planned = planBuild(history.present, this.planner);
    if (planned.ok && planned.plan !== plan) this.go(history, planned);
  };
  readonly undo = (): void => this.turn(undone);
  readonly redo = (): void => this.turn(redone);
  readonly replace = (document: BuildDocument): void => this.turn(() => begin(document));

  /**
   * Takes in what somebody else changed since `base`, into what can be undone, too: a step back takes back only what was
   * done here.
   * @returns what they changed; undefined where both changed the same, or no vehicle comes of the two together
   */
  readonly adopt = (base: BuildDocument, theirs: BuildDocument): Changes | undefined => {
    const { history, refusals } = this.moment;
    const changes = changesBetween(base, theirs);
    const mine = changesBetween(base, history.present);
    if (clashes(mine, changes).length > 0) return undefined;
    const take = (document: BuildDocument) => withChanges(document, changes);
    const present = isUnchanged(mine) ? theirs : take(history.present);
    const planned = planBuild(present, this.planner);
    if (!planned.ok && refusals.length === 0) return undefined;
    const taken = (step: Step): Step => ({ ...step, document: take(step.document) });
    const next = { ...history, past: history.past.map(taken), present, future: history.future.map(taken) };
    this.go(next, planned);
    return changes;
  };

  private turn(step: (history: History) => History): void {
    const history = step(this.moment.history);
    if (history !== this.moment.history) this.go(history, planBuild(history.present, this.planner));
  }

  private go(history: History, planned: PlanResult): void {
    this.moment = after(this.moment, history, planned);
    this.listeners.forEach((listener) => listener());
  }
}

const NONE: readonly Refusal[] = [];

function after(before: Moment, history: History, planned: PlanResult): Moment {
  return planned.ok
    ? { history, plan: planned.plan, refusals: NONE }
    : { history, plan: before.plan, refusals: planned.refusals };
}
