import { useMemo, useState } from 'react';
import {
  builtDocument,
  clearanceFindings,
  CHECK_STAGES,
  differenceOf,
  findingText,
  planBuild,
  springsBack,
  type Finding,
  type Pull,
  type StageResult,
} from '@larchwood/core';
import { useDraft, useEditor, useUnits } from '../../editor/editor';
import { Group, Panel, Row } from '../../ledger/Panel';
import { readerOf } from '../../ledger/quantities';
import { Button } from '../../parts/Button';
import { Length, Measure } from '../../parts/Figure';
import { today } from '../../parts/today';
import { useSlow } from '../../planning/useSlow';
import { useShop } from '../../lists/useShop';
import { useGapsAsBuilt } from './useGapsAsBuilt';

/** Of the vehicle as it rides; tubes and fixture are built by now. */
const isOfVehicle = ({ code, where }: Finding): boolean =>
  ['stance', 'seat', 'steering'].includes(where.station) &&
  // Pieces once made for the linkage as drawn are what is being measured.
  code !== 'steering-part-stale';

/** What is told of one and not of the other, by what is told and where. */
const apart = (these: readonly Finding[], those: readonly Finding[]): readonly Finding[] => {
  const known = new Set(those.map(({ code, where }) => `${code} ${where.ref}`));
  return these.filter(({ code, where }) => !known.has(`${code} ${where.ref}`));
};

/** What the vehicle meets with the figures as built, that it does not as drawn: at once, and gaps once all is swept. */
function AsItIs({ result }: { readonly result: StageResult }) {
  const { document, plan } = useEditor('document', 'plan');
  const { figures } = result.built;
  const built = useMemo(() => builtDocument(document, figures), [document, figures]);
  const difference = useMemo(() => {
    const planned = plan && planBuild(built);
    if (!planned?.ok) return undefined;
    const { newFindings, goneFindings } = differenceOf(planned.plan, plan!);
    return { newFindings: newFindings.filter(isOfVehicle), goneFindings: goneFindings.filter(isOfVehicle) };
  }, [built, plan]);
  const gaps = useGapsAsBuilt(difference ? built : undefined);
  const { value: swept } = useSlow('clearances');
  const drawn = useMemo(() => swept && clearanceFindings(swept), [swept]);
  const fresh = [...(difference?.newFindings ?? []), ...(gaps && drawn ? apart(gaps, drawn) : [])];
  const gone = [...(difference?.goneFindings ?? []), ...(gaps && drawn ? apart(drawn, gaps) : [])];
  return (
    <Group title="Bands, limits, tipping and gaps, as built">
      {!difference ? (
        <p className="px-4">With these figures it makes no vehicle that can be reckoned: read them again.</p>
      ) : fresh.length + gone.length === 0 ? (
        <p className="px-4">
          As drawn: no band, limit or tipping bound is passed that was kept
          {gaps && drawn
            ? ', and nothing comes nearer to anything than it should.'
            : '. Gaps are still swept…'}
        </p>
      ) : (
        <ul className="px-4">
          {fresh.map((finding, index) => (
            <li key={`new ${index}`} className="font-semibold text-larch-text">
              New: {findingText(finding, document.units).title}
            </li>
          ))}
          {gone.map((finding, index) => (
            <li key={`gone ${index}`}>Gone: {findingText(finding, document.units).title}</li>
          ))}
        </ul>
      )}
    </Group>
  );
}

const HOW = { retack: 'Cut the tacks and set', cold: 'Pull cold', shim: 'Shim' } as const;

/** Where to pull, push or shim, in which order, and what else moves. */
export function Advice({ result, kindName }: { readonly result: StageResult; readonly kindName: string }) {
  const { advice, built, rods } = result;
  const units = useUnits();
  const figures = new Map(built.figures.map((figure) => [figure.id, figure]));
  const out = built.figures.filter(
    // The toe is set right by rods, where there are any to turn.
    ({ id, told, value, drawn, tolerance, sigma }) =>
      told &&
      !(rods.length > 0 && id.startsWith('toe')) &&
      Math.abs(value - drawn) > Math.max(tolerance.value, 2 * sigma),
  );
  return (
    <Panel title="What to do" aside={CHECK_STAGES[result.stage].name}>
      {rods.length > 0 && <RodTurns rods={rods} />}
      {out.length === 0 && advice.pulls.length === 0 ? (
        <p className="px-4 py-2">
          {rods.length > 0
            ? 'Nothing else that these readings tell is out of its tolerance.'
            : 'Nothing that these readings tell is out of its tolerance. Leave it as it is.'}
        </p>
      ) : advice.pulls.length === 0 ? (
        <p className="px-4 py-2">
          Nothing that can be pulled or shimmed at this stage helps. Leave it, with the figures as built, or
          cut it apart.
        </p>
      ) : (
        <>
          {built.wrong.length > 0 && (
            <p className="mx-4 my-2 border-l-4 border-brick px-2">
              Read again what disagrees before anything is pulled.
            </p>
          )}
          <ol className="px-4 py-2">
            {advice.pulls.map((pull, index) => (
              <PullItem key={pull.lever} pull={pull} number={index + 1} />
            ))}
          </ol>
          <p className="caption px-4">Then measure this stage again.</p>
          <Group title="What comes of it">
            {advice.figures.map(({ id, name, before, after }) => (
              <Row key={id} name={name}>
                <span>
                  <Measure value={before} quantity={figures.get(id)!.quantity} display={units} /> to{' '}
                  <Measure value={after} quantity={figures.get(id)!.quantity} display={units} />
                </span>
              </Row>
            ))}
            {advice.left.length > 0 && (
              <p className="px-4 py-1 text-larch-text">
                Out still: {advice.left.map((id) => figures.get(id)!.name).join(', ')}.
              </p>
            )}
          </Group>
          <Group title="Or leave it">
            <p className="px-4">
              The {kindName} then has the figures as built: see the bands beside them, and ride it slowly
              first.
            </p>
          </Group>
        </>
      )}
      <AsItIs result={result} />
      {advice.pulls.some(({ how }) => how === 'cold') && <ColdCautions />}
      {(rods.length > 0 || advice.pulls.length > 0) && <NotApproved />}
    </Panel>
  );
}

/** Rods to be screwed longer or shorter, for the toe to come back. */
function RodTurns({ rods }: { readonly rods: StageResult['rods'] }) {
  const units = useUnits();
  return (
    <Group title="Turn the rod ends, for the toe">
      <ul className="px-4">
        {rods.map(({ id, name, by }) => (
          <li key={id} className="border-b border-rule py-2">
            <strong>{name}:</strong>{' '}
            <span className="text-[17px] font-bold">
              <Length mm={Math.abs(by)} display={units} />
            </span>{' '}
            {by > 0 ? 'longer' : 'shorter'}, ball to ball
          </li>
        ))}
      </ul>
      <p className="caption px-4">
        A turn of one rod end moves it by the pitch of its thread; a rod with a left-hand thread at its other
        end, by twice that. Leave at least one and a half diameters of thread engaged, lock both nuts, and
        read the toe again with the bars straight.
      </p>
    </Group>
  );
}

function PullItem({ pull, number }: { readonly pull: Pull; readonly number: number }) {
  const units = useUnits();
  const { shop } = useShop();
  const back = springsBack(Object.values(shop.pulls), pull.lever);
  const { lever, what, way, how, by, much } = pull;
  return (
    <li className="border-b border-rule py-2">
      <p>
        <strong>
          {number}. {HOW[how]} {what}, {way}:
        </strong>{' '}
        <span className="text-[17px] font-bold">
          <Length mm={by} display={units} />
        </span>
      </p>
      {how === 'cold' &&
        (back === undefined ? (
          <p className="caption">
            How far it springs back here is not logged yet: pull, let go, measure, and pull a little further
            each time.
          </p>
        ) : (
          <p>
            By the log it springs back <Length mm={back} display={units} />: pull it to{' '}
            <strong>
              <Length mm={by + back} display={units} />
            </strong>
            .
          </p>
        ))}
      {much && (
        <p className="text-brick">
          That is more than is usually taken cold: cut and weld again, or leave it.
        </p>
      )}
      {how === 'cold' && <PullLog lever={lever} what={what} />}
    </li>
  );
}

/** How far it was pulled, and how far it stayed: what the log learns springing back from. Kept as typed until it is logged. */
function PullLog({ lever, what }: { readonly lever: string; readonly what: string }) {
  const units = useUnits();
  const { build } = useEditor('build');
  const hand = useShop();
  const reader = readerOf('length', units);
  const pulled = useDraft(`checks.pulled.${lever}`);
  const stayed = useDraft(`checks.stayed.${lever}`);
  const [message, setMessage] = useState<string>();
  const log = () => {
    const [to, at] = [pulled, stayed].map(({ draft }) => reader.parse(draft?.text ?? ''));
    if (!to!.ok) return setMessage(`Pulled to: ${to!.message}`);
    if (!at!.ok) return setMessage(`It stayed at: ${at!.message}`);
    if (at!.value > to!.value) return setMessage('It cannot stay farther than it was pulled.');
    const kept = hand.add('pulls', {
      ...{ build: build.id, lever, pulled: to!.value, stayed: at!.value, on: today() },
    });
    setMessage(kept.ok ? undefined : kept.message);
    if (!kept.ok) return;
    pulled.setDraft(`checks.pulled.${lever}`, undefined);
    stayed.setDraft(`checks.stayed.${lever}`, undefined);
  };
  return (
    <form
      className="grid grid-cols-[1fr_auto] items-center gap-x-2 gap-y-1 pt-1 text-[13.5px]"
      onSubmit={(event) => {
        event.preventDefault();
        log();
      }}
    >
      {(
        [
          ['pulled', 'Pulled to', pulled],
          ['stayed', 'Let go, it stayed at', stayed],
        ] as const
      ).map(([key, name, { draft, setDraft }]) => (
        <label key={key} className="contents">
          {name}
          <span className="inline-flex items-baseline gap-1">
            <input
              aria-label={`${what}: ${key === 'pulled' ? 'pulled to' : 'stayed at'}, ${reader.spoken}`}
              autoComplete="off"
              inputMode="text"
              className="figure min-h-7 w-24 border border-rule bg-sheet px-1.5 text-right font-semibold"
              value={draft?.text ?? ''}
              onChange={(event) =>
                setDraft(
                  `checks.${key}.${lever}`,
                  event.target.value === '' ? undefined : { text: event.target.value },
                )
              }
            />
            <span className="w-5 text-[12px] text-quiet" aria-hidden>
              {reader.unit}
            </span>
          </span>
        </label>
      ))}
      {message !== undefined && (
        <span role="alert" className="col-span-2 text-brick">
          {message}
        </span>
      )}
      <span className="col-span-2">
        <Button type="submit" disabled={!pulled.draft || !stayed.draft}>
          Log the pull
        </Button>
      </span>
    </form>
  );
}

/** What is not to be set cold. */
function ColdCautions() {
  const { plan } = useEditor('plan');
  const materials = new Set(plan?.frame.pieces.map(({ member }) => member.material) ?? []);
  const names = [...materials];
  return (
    <div className="mx-4 my-2 border-l-4 border-larch pl-2 text-[13px]">
      <p>
        Never pull at a crack, a dent, a thin butted stretch or a weld that is still warm. Hold the frame in
        soft jaws beside the joints, and pull through a bar in the tube, never on its edge.
      </p>
      {names.some((name) => /alumin/.test(name)) && (
        <p>Aluminium that was heat-treated is not set cold: it cracks.</p>
      )}
      {names.some((name) => /titan/.test(name)) && (
        <p>Titanium springs back most of the way: small steps, and never with a marked tool.</p>
      )}
    </div>
  );
}

const NotApproved = () => (
  <p className="mx-4 my-2 border-l-4 border-larch pl-2 text-[13px]">
    This is not engineering approval: steering, brakes and roll structures are judged by a qualified welder
    and by the rules that apply.
  </p>
);
