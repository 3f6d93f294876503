import {
  findKind,
  otherSolutions,
  planBuild,
  releases,
  stanceOf,
  withoutPieces,
  withStepMoves,
  withVents,
  type Finding,
  type FindingCode,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { stepBack, withoutWaits, workOf } from '../edits/work';
import { removeOwnMeasures, setMeasured, setPreset, takeOut } from '../edits/checks';
import { makeParts } from '../edits/steering';
import { exchangeHeld, holdDimension, setWheel } from '../edits/stance';

export interface Remedy {
  /** A verb and what it is done to. */
  readonly name: string;
  readonly change: (document: BuildDocument) => BuildDocument;
}

/** Findings that one press can mend, by code; each remedy is named as the catalogue words it. */
const REMEDIES: { readonly [C in FindingCode]?: (finding: Finding<C>) => Remedy | undefined } = {
  'rule-limit': ({ where, values }) => ({
    name: 'Hold it at the limit',
    change: holdAt(where.ref, values.limit),
  }),
  'shelf-differs': ({ where, values }) => ({
    name: 'Hold it as the part has it',
    change: holdAt(where.ref, values.wanted),
  }),
  'shelf-wheel-differs': ({ values }) => ({
    name: 'Use the wheel on the shelf',
    change: (document) => {
      const end = values.end === 'front' ? 'front' : 'rear';
      const item = document.brief.shelf.find(
        ({ sort, name }) => sort === `${end} wheel` && name === values.part,
      );
      return item?.marking === undefined
        ? document
        : setWheel(end, { by: 'marking', marking: item.marking, sag: document.wheels[end].sag })(document);
    },
  }),
  'legs-do-not-reach': nearest,
  'legs-too-near': nearest,
  'arms-do-not-reach': nearest,
  'arms-too-near': nearest,
  'saddle-rule': ({ where, values }) => ({
    name: 'Set it by the rule',
    change: holdAt(where.ref, Math.round(values.wanted)),
  }),
  'seam-shut': ({ values: { moves } }) => reorder('Weld it before that is put in', moves),
  'way-barred': ({ values: { moves } }) => reorder('Put it in earlier', moves),
  'step-before-need': ({ where }) => ({ name: 'Put it back', change: stepBack(where.ref) }),
  'steps-in-circle': ({ values: { ids } }) => ({
    name: 'Take those waits away',
    change: (document) => ids.reduce((next, id) => withoutWaits(id, ids)(next), document),
  }),
  'reading-doubted': ({ values: { stage, id, meant } }) =>
    meant === undefined
      ? undefined
      : { name: 'Take it so', change: setMeasured(stage, id, { value: meant }, new Date()) },
  'reading-disagrees': ({ values: { stage, ids } }) => ({
    name: ids.length === 1 ? 'Take this reading out' : 'Take these readings out',
    change: takeOut(stage, ...ids),
  }),
  'measures-lost': ({ values: { ids } }) => ({
    name: 'Take them out of the list',
    change: removeOwnMeasures(ids),
  }),
  'fixture-set-off': () => ({ name: 'Take it out again', change: setPreset({}, new Date()) }),
  'tubes-unvented': ({ values: { vents } }) => ({
    name: 'Drill a vent into each',
    change: (document) => withVents(document, vents),
  }),
  'weighed-twice': ({ values: { id, pieces } }) => ({
    name: 'Take them off it',
    change: (document) => withoutPieces(document, id, pieces),
  }),
  'steering-part-stale': () => REMADE,
  'steering-part-missing': () => REMADE,
  'second-solution': () => ({ name: 'Use the other vehicle', change: useOther }),
};

/** Pieces of the steering as the linkage wants them now. */
const REMADE: Remedy = {
  name: 'Make them again',
  change: (document) => {
    const planned = planBuild(document);
    return planned.ok && planned.plan.steering?.ok
      ? makeParts(planned.plan.stance, planned.plan.steering.steering)(document)
      : document;
  },
};

/** Slides what is slid for that limb to where it just reaches; none where nothing can be. */
function nearest({
  values: { id, value },
}: Pick<Finding<'legs-do-not-reach'>, 'values'>): Remedy | undefined {
  return value === undefined
    ? undefined
    : { name: 'Set it so that it just reaches', change: holdAt(id, value) };
}

/** Steps put elsewhere in the order of work; none where no order helps. */
const reorder = (name: string, moves: Finding<'way-barred'>['values']['moves']): Remedy | undefined =>
  moves.length === 0
    ? undefined
    : {
        name,
        change: (document) => ({ ...document, work: withStepMoves(workOf(document), [...moves]) }),
      };

export function remedyOf(finding: Finding): Remedy | undefined {
  const remedy: ((finding: never) => Remedy | undefined) | undefined = REMEDIES[finding.code];
  return remedy?.(finding as never);
}

/** Holds a dimension at a value; where it followed, the best held one is let go for it. */
const holdAt =
  (id: string, value: number) =>
  (document: BuildDocument): BuildDocument => {
    if (id in document.stance.held) return holdDimension(id, value)(document);
    const kind = findKind(document.kind);
    const solved = stanceOf(document);
    const [best] = kind && solved.ok ? releases(kind, solved.stance.state, solved.stance.held, id) : [];
    return best ? exchangeHeld(id, value, best.id)(document) : document;
  };

/** The same dimensions held, met by the other vehicle. */
function useOther(document: BuildDocument): BuildDocument {
  const kind = findKind(document.kind);
  const solved = stanceOf(document);
  const other = kind && solved.ok && otherSolutions(kind, solved.stance.held, solved.stance.state)[0];
  return other ? { ...document, stance: { ...document.stance, near: { ...other } } } : document;
}
