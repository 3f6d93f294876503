import { useState } from 'react';
import {
  failure,
  formatAngle,
  HEAD_TUBE,
  MADE_PARTS,
  withArticle,
  withCollar,
  type MadeFrom,
  type MadeOne,
  type MadePart,
  type MadeRow,
  type MadeSize,
  type Plan,
  type Result,
  type Steering,
} from '@larchwood/core';
import type { BuildDocument, Made, RoundSection } from '@larchwood/format';
import { outlineShape } from '@larchwood/outputs';
import { useEditor } from '../../editor/editor';
import { OutputButton } from '../../files/OutputButton';
import { angleWithin, lengthWithin } from '../../ledger/bounds';
import { QuantityField } from '../../ledger/QuantityField';
import { Button } from '../../parts/Button';
import { Check } from '../../parts/Check';
import { Choice } from '../../parts/Choice';
import { Length } from '../../parts/Figure';
import { SheetView } from '../../parts/SheetView';
import { setMade, takeOutMade } from '../../edits/steering';
import type { Known } from './known';

/** Parts of the front end that the builder makes: sizes out of the stance, what they come to, and outlines at full size. */
export function MadeView({
  plan,
  known,
  steering,
}: {
  readonly plan: Plan;
  readonly known: Known;
  readonly steering: Steering;
}) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const from: MadeFrom = { stance: plan.stance, steering, tyreGap: document.seat.gaps.tyre };
  const there = document.steering?.made ?? [];
  const offered = MADE_PARTS.filter(
    (part) => part.suits(from) && !there.some(({ what }) => what === part.id),
  );
  const put = (key: string, made: Made) => edit(key, setMade(plan.stance, known, made));
  return (
    <section
      className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto bg-sheet px-6 py-4"
      tabIndex={0}
      aria-label="Made at home"
    >
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div className="max-w-xl">
          <h2 className="text-lg font-bold">Made at home</h2>
          <p className="text-quiet">
            Parts that the trade does not have, sized from the stance and the wheel. Try them in card or board
            first: type what was found out, and the part is mended before steel is cut.
          </p>
        </div>
        {plan.made.length > 0 && (
          <div className="flex flex-wrap gap-2">
            <OutputButton id="steering-outlines" />
            <OutputButton id="steering-outlines-dxf" />
          </div>
        )}
      </div>
      {offered.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {offered.map((part) => (
            <Button
              key={part.id}
              title={part.about}
              onClick={() => {
                put(`steering.made.${part.id}`, { what: part.id, sizes: {}, choices: {}, found: {} });
                settle();
              }}
            >
              Make {withArticle(part.name)}
            </Button>
          ))}
        </div>
      )}
      {there.map((made) => {
        const part = MADE_PARTS.find(({ id }) => id === made.what);
        const one = plan.made.find(({ what }) => what === made.what);
        return part && one ? (
          <MadeSection
            key={made.what}
            part={part}
            made={made}
            one={one}
            from={from}
            units={document.units}
            onPut={put}
            onSettle={settle}
            onTakeOut={() => {
              edit(`steering.made.${made.what}.out`, takeOutMade(plan.stance, known, made.what));
              settle();
            }}
          />
        ) : null;
      })}
      <p className="caption max-w-3xl">
        A fork, a kingpin or a column that fails throws its rider. Have these parts welded by somebody
        qualified, look them over before every ride, and keep to the rules of your place.
      </p>
    </section>
  );
}

interface SectionProps {
  readonly part: MadePart;
  readonly made: Made;
  readonly one: MadeOne;
  readonly from: MadeFrom;
  readonly units: BuildDocument['units'];
  readonly onPut: (key: string, made: Made) => Result<true>;
  readonly onSettle: () => void;
  readonly onTakeOut: () => void;
}

const always = () => true;

function MadeSection({ part, made, one, from, units, onPut, onSettle, onTakeOut }: SectionProps) {
  const start = part.start(from);
  const [trial, setTrial] = useState(Object.keys(made.found).length > 0);
  const tried = part.sizes.filter((size) => size.tried);
  const key = `steering.made.${part.id}`;
  return (
    <article className="border-t-2 border-ink pt-2" aria-label={part.name}>
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h3 className="font-bold">{part.name}</h3>
        <Button look="link" onClick={onTakeOut}>
          Take it out
        </Button>
      </div>
      <p className="mb-2 text-quiet">{part.about}</p>
      <div className="grid gap-x-8 gap-y-3 lg:grid-cols-2">
        <div>
          {part.choices.map(({ id, name, options }) => (
            <div key={id} className="flex min-h-9 items-center justify-between gap-3">
              <span>{name}</span>
              <Choice
                label={`${part.name}: ${name}`}
                className="max-w-56"
                value={made.choices[id] ?? options[0]!.id}
                groups={[{ options: options.map((option) => ({ value: option.id, label: option.name })) }]}
                onChange={(value) => {
                  onPut(`${key}.${id}`, { ...made, choices: { ...made.choices, [id]: value } });
                  onSettle();
                }}
              />
            </div>
          ))}
          {part.sizes
            .filter(({ suits = always }) => suits(from))
            .map((size) => (
              <SizeRow
                key={size.id}
                size={size}
                value={made.sizes[size.id] ?? start[size.id]!}
                own={size.id in made.sizes}
                field={`${key}.sizes.${size.id}`}
                onCommit={(value) =>
                  onPut(`${key}.sizes.${size.id}`, { ...made, sizes: { ...made.sizes, [size.id]: value } })
                }
              />
            ))}
        </div>
        <div>
          <table className="w-full">
            <caption className="caption text-left">What it comes to</caption>
            <tbody>
              {one.result.rows.map((row) => (
                <tr key={row.name} className="border-b border-rule">
                  <th scope="row" colSpan={isLong(row) ? 2 : 1} className="py-0.5 text-left font-normal">
                    {row.name}
                    {isLong(row) && <span className="figure block">{row.text}</span>}
                  </th>
                  {!isLong(row) && (
                    <td className="figure py-0.5 pl-3 text-right">
                      <RowValue row={row} units={units} />
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
          {tried.length > 0 && (
            <Check checked={trial} onChange={setTrial} className="mt-2">
              Tried in card or board: type what was found
            </Check>
          )}
          {trial &&
            tried.map((size) => (
              <SizeRow
                key={size.id}
                size={{ ...size, limits: [-200, 200] }}
                name={`${size.name}: too small by`}
                value={made.found[size.id] ?? 0}
                own={size.id in made.found}
                field={`${key}.found.${size.id}`}
                onCommit={(value) =>
                  onPut(`${key}.found.${size.id}`, { ...made, found: { ...made.found, [size.id]: value } })
                }
              />
            ))}
        </div>
      </div>
      {one.result.headTube && <HeadTube section={one.result.headTube} />}
      {one.result.outlines.length > 0 && (
        <div className="mt-3 flex flex-wrap gap-4">
          {one.result.outlines.map((outline) => (
            <SheetView
              key={outline.id}
              drawing={outlineShape(outline, units)}
              title={outline.name}
              className="h-60 border border-rule"
            />
          ))}
        </div>
      )}
      <ol className="mt-2 list-decimal pl-5">
        {one.result.order.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
    </article>
  );
}

/** What is made in place of a bought head tube: that the tubes are cut to fit it. */
function HeadTube({ section }: { readonly section: RoundSection }) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const head = document.frame.members.find(({ id }) => id === HEAD_TUBE);
  if (!head) return null;
  if (head.section === section.id)
    return <p className="mt-2 text-quiet">The head tube is this collar: the tubes are cut to fit it.</p>;
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <span>The frame still has a bought head tube; the tubes are cut to fit that.</span>
      <Button
        onClick={() => {
          edit('steering.made.collar.head', (before) => withCollar(before, section));
          settle();
        }}
      >
        Make the head tube of it
      </Button>
    </p>
  );
}

function SizeRow({
  size: { name: usual, quantity = 'length', limits, meaning },
  name = usual,
  value,
  own,
  field,
  onCommit,
}: {
  readonly size: MadeSize;
  readonly name?: string;
  readonly value: number;
  readonly own: boolean;
  readonly field: string;
  readonly onCommit: (value: number) => Result<true>;
}) {
  const [low, high] = limits;
  return (
    <div className="flex min-h-[27px] items-center justify-between gap-3" title={meaning}>
      <span className={own ? '' : 'text-quiet'}>{name}</span>
      {quantity === 'count' ? (
        <CountField name={name} value={value} low={low} high={high} onCommit={onCommit} />
      ) : (
        <QuantityField
          field={field}
          label={name}
          quantity={quantity}
          value={value}
          onCommit={(next) =>
            quantity === 'angle'
              ? angleWithin(next, limits, () => onCommit(next))
              : lengthWithin(next, limits, () => onCommit(next))
          }
        />
      )}
    </div>
  );
}

/** So many of a thing: chosen, as there are few. */
function CountField({
  name,
  value,
  low,
  high,
  onCommit,
}: {
  readonly name: string;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly onCommit: (value: number) => Result<true>;
}) {
  return (
    <Choice
      label={name}
      value={String(Math.round(value))}
      groups={[
        {
          options: Array.from({ length: high - low + 1 }, (_, index) => ({
            value: String(low + index),
            label: String(low + index),
          })),
        },
      ]}
      onChange={(next) =>
        Number.isInteger(Number(next)) ? onCommit(Number(next)) : failure('A whole number.')
      }
    />
  );
}

/** What is more than a word or two stands under its name, over the whole width. */
const isLong = ({ text = '' }: MadeRow): boolean => text.length > 24;

function RowValue({
  row: { value, quantity, text },
  units,
}: {
  readonly row: MadeRow;
  readonly units: BuildDocument['units'];
}) {
  if (text !== undefined || value === undefined) return <span className="whitespace-nowrap">{text}</span>;
  if (quantity === 'angle') return formatAngle(value, 1);
  if (quantity === 'count') return String(value);
  return <Length mm={value} display={units} digits={1} />;
}
