import { KindGuard, type TObject, type TSchema, type TUnion } from '@sinclair/typebox';
import { Value, ValueErrorType, type ValueError } from '@sinclair/typebox/value';

import { PRINTABLE } from './parts.js';

/** What is wrong with a document and where: a JSON Pointer and a sentence. */
export interface Fault {
  readonly path: string;
  readonly message: string;
}

const MOST = 50;

/** Every fault of `value` against `schema`, at most fifty, in document order. */
export function schemaFaults(schema: TSchema, value: unknown, at = ''): Fault[] {
  // What is sound, as most is, is known sooner so.
  if (Value.Check(schema, value)) return [];
  const faults: Fault[] = [];
  for (const error of Value.Errors(schema, value)) {
    if (faults.length >= MOST) break;
    const path = at + error.path;
    if (error.type === ValueErrorType.Union)
      faults.push(...unionFaults(error.schema as TUnion, error.value, path));
    else if (!faults.some((fault) => fault.path === path))
      faults.push({ path: path || '/', message: inWords(error) });
  }
  return faults.slice(0, MOST);
}

/** For a choice between objects, the faults of the one that the value's own tag names; else the allowed values. */
function unionFaults(schema: TUnion, value: unknown, path: string): Fault[] {
  const literals = schema.anyOf.filter((option) => KindGuard.IsLiteral(option));
  if (literals.length === schema.anyOf.length) {
    return [
      {
        path,
        message: `Must be one of ${literals.map((option) => JSON.stringify(option.const)).join(', ')}.`,
      },
    ];
  }
  const options = schema.anyOf.filter((option): option is TObject => KindGuard.IsObject(option));
  const tag =
    options[0] &&
    Object.keys(options[0].properties).find((key) => KindGuard.IsLiteral(options[0]!.properties[key]!));
  if (!tag || typeof value !== 'object' || value === null)
    return [{ path, message: 'Is not one of the forms allowed here.' }];
  const chosen = options.find((option) =>
    Value.Check(option.properties[tag]!, (value as Record<string, unknown>)[tag]),
  );
  if (chosen) return schemaFaults(chosen, value, path);
  const tags = options.map((option) => JSON.stringify(option.properties[tag]!.const)).join(', ');
  return [{ path: `${path}/${tag}`, message: `Must be one of ${tags}.` }];
}

function inWords(error: ValueError): string {
  const { schema, value } = error;
  switch (error.type) {
    case ValueErrorType.ObjectRequiredProperty:
      return 'Is missing.';
    case ValueErrorType.ObjectAdditionalProperties:
      return 'Is not a field of this format.';
    case ValueErrorType.NumberMinimum:
    case ValueErrorType.IntegerMinimum:
      return `Must be at least ${schema.minimum}; it is ${String(value)}.`;
    case ValueErrorType.NumberMaximum:
    case ValueErrorType.IntegerMaximum:
      return `Must be at most ${schema.maximum}; it is ${String(value)}.`;
    case ValueErrorType.Number:
    case ValueErrorType.Integer:
      return `Must be a number; it is ${described(value)}.`;
    case ValueErrorType.String:
      return `Must be text; it is ${described(value)}.`;
    case ValueErrorType.Literal:
      return `Must be ${JSON.stringify(schema.const)}; it is ${described(value)}.`;
    case ValueErrorType.StringPattern:
      return schema.pattern === PRINTABLE
        ? 'Holds a line end, a tab or another control character: take it out.'
        : `${error.message}.`;
    default:
      return `${error.message}.`;
  }
}

function described(value: unknown): string {
  if (value === null) return 'null';
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object') return 'an object';
  const text = JSON.stringify(value) ?? 'nothing';
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
