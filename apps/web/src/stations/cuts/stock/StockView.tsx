import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import {
  barsCut,
  cutBar,
  findMaterial,
  findSection,
  marksMade,
  sawingOf,
  sectionText,
  stockFindings,
  stockGroups,
  type NestedBar,
  type Plan,
  type Nested,
} from '@larchwood/core';
import type { CutBar } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { Findings } from '../../../ledger/Findings';
import { OutputButton } from '../../../files/OutputButton';
import { Panel } from '../../../ledger/Panel';
import { Button } from '../../../parts/Button';
import { Length } from '../../../parts/Figure';
import { useShop } from '../../../lists/useShop';
import { NO_CUTS } from '../../../edits/cuts';
import { BarPicture } from './BarPicture';
import { BoughtCut } from './BoughtCut';
import { StockPanel } from './StockPanel';
import { keyOf, useNests } from './useNests';
import { useRackAgrees } from './useRackAgrees';

/** Which piece comes out of which bar, what to buy, and what is left. */
export function StockView({ plan }: { readonly plan: Plan }) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const hand = useShop();
  const { shop } = hand;
  const bars = barsCut(document);
  const { cuts } = document;
  const groups = useMemo(() => stockGroups(plan, shop, marksMade({ cuts })), [plan, shop, cuts]);
  const sawing = sawingOf(shop);
  const { nested, prove, stop, proving, keepRest } = useNests(groups, sawing);
  const [key, setKey] = useState<string>();
  const named = useNames(plan);
  useRackAgrees(bars, hand);
  const chosen = nested.find(({ group }) => keyOf(group) === key) ?? nested[0];
  // Of the section in hand: the others say it in their rows.
  const findings = chosen
    ? stockFindings(chosen.group, chosen.nest, sawing, named(chosen.group.section))
    : [];
  // What was cut before the frame was changed.
  const cut = plan.findings.filter(({ code }) => /^(cut|order)-(differs|not-wanted)$/.test(code));
  const change = (next: (before: readonly CutBar[]) => readonly CutBar[]) => {
    edit('bars', (before) => {
      const cuts = before.cuts ?? NO_CUTS;
      return { ...before, cuts: { ...cuts, bars: [...next(cuts.bars)] } };
    });
    settle();
  };
  const markCut = (nest: Nested, bar: NestedBar) => {
    keepRest(nest, bar);
    change((before) => [...before, cutBar(nanoid(10), nest.group, bar)]);
  };
  return (
    <>
      <div
        className="flex min-h-0 min-w-0 flex-1 flex-col overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="Stock"
      >
        <div className="flex min-h-11 flex-wrap items-center gap-3 border-b border-rule px-4 py-1">
          {proving ? (
            <>
              <span role="status">
                Looking for the best: {proving.done + 1} of {proving.of} sections…
              </span>
              <Button onClick={stop}>Stop</Button>
            </>
          ) : (
            <Button onClick={() => void prove()} disabled={groups.length === 0}>
              Look for the best
            </Button>
          )}
          <OutputButton id="bars" />
          {!proving && <span className="caption ml-auto">Bars that are marked cut stay as they are.</span>}
        </div>
        {nested.map((each) => (
          <GroupOfBars
            key={keyOf(each.group)}
            nested={each}
            name={named(each.group.section)}
            lit={each === chosen}
            onChoose={() => setKey(keyOf(each.group))}
            onCut={(bar) => markCut(each, bar)}
          />
        ))}
        {groups.length === 0 && bars.length === 0 && (
          <p className="p-8">No tubes yet: make a frame at the Tubes station.</p>
        )}
        <BoughtCut />
        {bars.length > 0 && (
          <section aria-label="Bars that are cut" className="border-t-2 border-ink px-4 py-2">
            <h2 className="font-bold">Cut</h2>
            <ul className="rows">
              {bars.map((bar) => (
                <li key={bar.id} className="flex min-h-9 flex-wrap items-center justify-between gap-3">
                  <span>
                    {named(bar.section)}, <Length mm={bar.length} display={document.units} digits={0} />:{' '}
                    <span className="figure font-bold">{bar.pieces.map(({ mark }) => mark).join(', ')}</span>;{' '}
                    <Length mm={bar.left} display={document.units} digits={0} /> left
                  </span>
                  <Button
                    look="link"
                    onClick={() => change((before) => before.filter(({ id }) => id !== bar.id))}
                  >
                    Not cut after all
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
      <Panel title={chosen ? named(chosen.group.section) : 'Stock'} aside={chosen && materialOf(chosen)}>
        <Findings findings={[...cut, ...findings]} />
        <StockPanel hand={hand} nested={nested} chosen={chosen} named={named} />
      </Panel>
    </>
  );
}

const materialOf = ({ group }: Nested): string => findMaterial(group.material)?.name ?? group.material;

function useNames(plan: Plan): (section: string) => string {
  const { document } = useEditor('document');
  return useMemo(() => {
    const byId = new Map(document.frame.sections.map((section) => [section.id, section]));
    return (id: string) => {
      const section = byId.get(id) ?? findSection(id);
      return section ? sectionText(section, plan.units) : id;
    };
  }, [document.frame.sections, plan.units]);
}

interface GroupProps {
  readonly nested: Nested;
  readonly name: string;
  readonly lit: boolean;
  readonly onChoose: () => void;
  readonly onCut: (bar: NestedBar) => void;
}

function GroupOfBars({ nested, name, lit, onChoose, onCut }: GroupProps) {
  const { document } = useEditor('document');
  const { group, nest } = nested;
  const longest = Math.max(1, ...nest.bars.map(({ source }) => source.length));
  const total = group.wanted.reduce((sum, { length }) => sum + length, 0);
  return (
    <section aria-label={name} className={`border-b border-rule px-4 py-2 ${lit ? 'bg-larch-wash/40' : ''}`}>
      <button
        type="button"
        aria-pressed={lit}
        onClick={onChoose}
        className="flex w-full flex-wrap items-baseline gap-x-3 text-left"
      >
        <b className="figure text-[15px]">{name}</b>
        <span className="text-quiet">{materialOf(nested)}</span>
        <span>
          {group.wanted.length} {group.wanted.length === 1 ? 'piece' : 'pieces'},{' '}
          <Length mm={total} display={document.units} digits={0} />
        </span>
        <span className="ml-auto">{provenText(nested)}</span>
      </button>
      <ul>
        {nest.bars.map((bar, index) => (
          <li key={index} className="flex items-center gap-3 py-0.5">
            <BarPicture bar={bar} longest={longest} />
            <Button look="quiet" className="w-24 shrink-0" onClick={() => onCut(bar)}>
              Mark cut
            </Button>
          </li>
        ))}
      </ul>
      {nest.over.length > 0 && (
        <p className="text-[13px] text-larch-text">
          Not placed: <span className="figure">{nest.over.map(({ mark }) => mark).join(', ')}</span>
        </p>
      )}
    </section>
  );
}

function provenText({ group, nest, bound, proven, lookedFor }: Nested): string {
  if (group.oneEach) return nest.bars.length > 0 ? 'a tube each' : 'no stock entered';
  if (group.sources.length === 0) return 'no stock entered';
  if (!lookedFor) return nest.bars.length > 0 ? 'a first answer' : '';
  if (proven) return 'proven: none is better';
  if (bound === undefined) return 'looked for, without a bound';
  return `at most ${Math.ceil((nest.cost / Math.max(bound, 1e-9) - 1) * 100)} % over the best`;
}
