import type { BuildDocument } from '@larchwood/format';
import { sameContent, shared } from '../memo/content.js';
import type { Keep } from '../memo/keep.js';
import type { Stage } from './stage.js';

/** What a stage made last, and of what. */
interface Made {
  document: BuildDocument;
  readonly inputs: Readonly<Record<string, unknown>>;
  readonly result: unknown;
  readonly kept: ReadonlyMap<string, { readonly inputs: readonly unknown[]; readonly part: unknown }>;
}

/**
 * Runs the stages of a plan and remembers what each made last: one whose inputs hold the same is not run again, and what a
 * run leaves unchanged is the same object as before. Whoever looks at one build for long keeps one planner.
 */
export class Planner {
  private readonly known = new Map<Stage<unknown>, Made>();
  private readonly counts = new Map<string, number>();

  /** What a stage makes of a document. */
  ask<T>(stage: Stage<T>, document: BuildDocument): T {
    const before = this.known.get(stage);
    if (before?.document === document) return before.result as T;
    const inputs = Object.fromEntries(
      Object.entries(stage.takes).map(([name, take]) => [
        name,
        typeof take === 'function' ? take(document) : this.ask(take, document),
      ]),
    );
    if (before && sameContent(before.inputs, inputs)) {
      before.document = document;
      return before.result as T;
    }
    const kept = new Map<string, { inputs: readonly unknown[]; part: unknown }>();
    const keep: Keep = (key, of, make) => {
      const old = before?.kept.get(key);
      const part = old && sameContent(old.inputs, of) ? old.part : make();
      kept.set(key, { inputs: of, part });
      return part as ReturnType<typeof make>;
    };
    this.counts.set(stage.name, (this.counts.get(stage.name) ?? 0) + 1);
    const result = shared(before?.result, stage.make(inputs as never, keep));
    this.known.set(stage, { document, inputs, result, kept });
    return result;
  }

  /** How often a stage has been run. */
  runs(stage: Stage<unknown>): number {
    return this.counts.get(stage.name) ?? 0;
  }
}
