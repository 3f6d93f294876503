import type { TSchema } from '@sinclair/typebox';

/** Random numbers from 0 to 1: the same seed gives the same. Source: Numerical Recipes' linear congruential generator, from memory. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

interface Leaf {
  readonly holder: Record<string | number, unknown>;
  readonly key: string | number;
  readonly schema: TSchema;
  readonly path: string;
}
type Random = () => number;

/** Names that every object inherits: a record looked up by them has none of its own. */
const INHERITED = ['constructor', 'toString', 'valueOf', 'hasOwnProperty', '__proto__'];

/**
 * A copy of a document with some of its values replaced by others that their schema accepts by themselves, extremes among
 * them; parts of lists are taken out, doubled or emptied. Most copies are read; some refer to what is not there.
 */
export function mutated<T>(
  document: T,
  schema: TSchema,
  random: Random,
  changes: number,
): { document: T; log: string } {
  const copy = structuredClone(document);
  const log: string[] = [];
  for (let change = 0; change < changes; change += 1) {
    const leaves: Leaf[] = [];
    collect(copy, schema, leaves, '');
    const ids = leaves.flatMap(({ holder, key }) => (typeof holder[key] === 'string' ? [holder[key]] : []));
    const leaf = leaves[Math.floor(random() * leaves.length)]!;
    const value = otherValue(leaf, ids as string[], random);
    leaf.holder[leaf.key] = value;
    log.push(`${leaf.path} = ${JSON.stringify(value)?.slice(0, 80)}`);
  }
  return { document: copy, log: log.join('; ') };
}

function collect(value: unknown, schema: TSchema, leaves: Leaf[], path: string): void {
  if (typeof value !== 'object' || value === null) return;
  const holder = value as Record<string | number, unknown>;
  for (const key of Array.isArray(value) ? value.keys() : Object.keys(value)) {
    // What a layout made is a copy for comparison only.
    if (key === 'origin') continue;
    for (const inner of childSchemas(schema, key)) {
      leaves.push({ holder, key, schema: inner, path: `${path}/${key}` });
      collect(holder[key], inner, leaves, `${path}/${key}`);
      break;
    }
  }
}

/** Schemas that a child may have: of unions, of every branch that has such a child. */
function childSchemas(schema: TSchema, key: string | number): TSchema[] {
  if (schema.anyOf) return (schema.anyOf as TSchema[]).flatMap((branch) => childSchemas(branch, key));
  if (schema.properties && key in schema.properties) return [schema.properties[key] as TSchema];
  if (schema.patternProperties) return Object.values(schema.patternProperties) as TSchema[];
  if (Array.isArray(schema.items)) return schema.items[key as number] ? [schema.items[key as number]] : [];
  return schema.items ? [schema.items as TSchema] : [];
}

function otherValue({ holder, key, schema }: Leaf, ids: readonly string[], random: Random): unknown {
  const value = holder[key];
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  if (typeof value === 'number') return otherNumber(value, schema, random);
  if (typeof value === 'boolean') return !value;
  if (typeof value === 'string') {
    const choices = ((schema.anyOf as TSchema[] | undefined) ?? []).flatMap(({ const: each }) =>
      each === undefined ? [] : [each as string],
    );
    if (choices.length > 0) return pick(choices);
    return random() < 0.15 ? pick(INHERITED) : pick(ids);
  }
  // A tuple keeps its length: nothing else is read.
  if (Array.isArray(value) && !Array.isArray(schema.items)) {
    if (value.length === 0 || random() < 0.15) return [];
    const at = Math.floor(random() * value.length);
    return random() < 0.5 ? value.filter((_, index) => index !== at) : [...value, structuredClone(value[at])];
  }
  return value;
}

function otherNumber(value: number, schema: TSchema, random: Random): number {
  const [low, high] = [(schema.minimum as number) ?? -1e6, (schema.maximum as number) ?? 1e6];
  const draw = random();
  const other =
    draw < 0.15
      ? low
      : draw < 0.3
        ? high
        : draw < 0.4
          ? 0
          : draw < 0.55
            ? -value
            : draw < 0.8
              ? value * (0.5 + random())
              : low + (high - low) * random();
  const within = Math.min(high, Math.max(low, other));
  return schema.type === 'integer' ? Math.round(within) : within;
}
