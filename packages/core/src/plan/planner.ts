import type { BuildDocument } from '@larchwood/format';
import { sameContent, shared } from '../memo/content.js';
import type { Keep } from '../memo/keep.js';
import type { Stage } from './stage.js';

/** What a stage made last, and of what. */
interface Made {
  /** The document that it stands for; none where a stage before it rested. */
  document: BuildDocument | undefined;
  readonly inputs: Readonly<Record<string, unknown>>;
  readonly result: unknown;
  readonly kept: ReadonlyMap<string, { readonly inputs: readonly unknown[]; readonly part: unknown }>;
}

const NONE: ReadonlySet<Stage<unknown>> = new Set();

/**
 * Runs the stages of a plan and remembers what each made last: one whose inputs hold the same is not run again, and what a
 * run leaves unchanged is the same object as before. Whoever looks at one build for long keeps one planner.
 */
export class Planner {
  private readonly known = new Map<Stage<unknown>, Made>();
  private readonly settled = new WeakSet();
  private readonly counts = new Map<string, number>();
  private rests = 0;

  /**
   * What a stage makes of a document.
   *
   * @param resting stages that give what they gave last, whatever the document: they are made up for when they are next
   *   asked without
   */
  ask<T>(stage: Stage<T>, document: BuildDocument, resting: ReadonlySet<Stage<unknown>> = NONE): T {
    const before = this.known.get(stage);
    if (before?.document === document) return before.result as T;
    if (before && resting.has(stage)) {
      this.rests += 1;
      return before.result as T;
    }
    const rests = this.rests;
    const inputs = Object.fromEntries(
      Object.entries(stage.takes).map(([name, take]) => [
        name,
        typeof take === 'function' ? take(document) : this.ask(take, document, resting),
      ]),
    );
    const of = this.rests === rests ? document : undefined;
    if (before && sameContent(before.inputs, inputs)) {
      before.document = of;
      return before.result as T;
    }
    const kept = new Map<string, { inputs: readonly unknown[]; part: unknown }>();
    const keep: Keep = (key, madeOf, make) => {
      const old = before?.kept.get(key);
      const part: unknown = old && sameContent(old.inputs, madeOf) ? old.part : make();
      // Made anew of something else: within it there is little to take from before, and much to look through.
      if (typeof part === 'object' && part !== null) this.settled.add(part);
      kept.set(key, { inputs: madeOf, part });
      return part as ReturnType<typeof make>;
    };
    this.counts.set(stage.name, (this.counts.get(stage.name) ?? 0) + 1);
    const result = shared(before?.result, stage.make(inputs as never, keep), this.settled);
    this.known.set(stage, { document: of, inputs, result, kept });
    return result;
  }

  /** How often a stage has been run. */
  runs(stage: Stage<unknown>): number {
    return this.counts.get(stage.name) ?? 0;
  }
}
