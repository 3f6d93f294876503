import { useMemo, useState } from 'react';
import {
  inTurn,
  onBender,
  pairMark,
  pairName,
  sectionText,
  settingSum,
  turnText,
  type BendSchedule,
  type OnBender,
  type Plan,
} from '@larchwood/core';
import { memberOf, useEditor } from '../../../editor/editor';
import { OutputButton } from '../../../files/OutputButton';
import { Angle, Length } from '../../../parts/Figure';
import { HEAD_ROW, rowLook } from '../../../parts/tables';
import { useShop } from '../../../lists/useShop';
import { BenderPicture } from './BenderPicture';
import { BendPanel } from './BendPanel';

/** One of a pair stands for both. */
const once = ({ side }: BendSchedule): boolean => side !== 'right';

/** Every bent piece: what to mark, how far to turn it, what to set, and how it stands in the bender. */
export function BendsView({ plan }: { readonly plan: Plan }) {
  const { document, piece, setPiece } = useEditor('document', 'piece', 'setPiece');
  const { shop, missing } = useShop();
  const [number, setNumber] = useState(1);
  const { cuts } = document;
  const all = useMemo(() => plan.bends.filter(once), [plan.bends]);
  const onDies = useMemo(
    () => new Map(all.map((each) => [each.piece, onBender(each, shop, cuts?.bends[memberOf(each.piece)!])])),
    [all, shop, cuts],
  );
  const on = ({ piece: id }: BendSchedule): OnBender => onDies.get(id)!;
  const chosen = all.find((each) => memberOf(each.piece) === memberOf(piece)) ?? all[0];
  if (!chosen)
    return (
      <p className="p-8">
        Nothing of this frame is bent. A bend is put into a tube at the Tubes station, by a corner with a
        radius.
      </p>
    );
  const made = on(chosen);
  const bend = Math.min(number, chosen.bends.length);
  return (
    <>
      <div
        className="flex min-h-0 min-w-0 flex-1 flex-col overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="Bends"
      >
        {missing !== undefined && (
          <p className="px-4 pt-2 text-brick">The workshop’s lists cannot be fetched: {missing}</p>
        )}
        <table className="w-full border-collapse text-[13.5px]">
          <caption className="sr-only">Pieces that are bent</caption>
          <thead>
            <tr className={HEAD_ROW}>
              <th className="!pl-4 text-left">Piece</th>
              <th className="text-left">Tube</th>
              <th>Bends</th>
              <th className="text-left">Bent on</th>
              <th>Tube to bend</th>
              <th className="!pr-4">Finished</th>
            </tr>
          </thead>
          <tbody>
            {all.map((each) => (
              <PieceRow
                key={each.piece}
                plan={plan}
                schedule={each}
                made={on(each)}
                lit={each === chosen}
                onChoose={() => setPiece(each.piece)}
              />
            ))}
          </tbody>
        </table>
        <h2 className="flex flex-wrap items-center justify-between gap-2 border-t border-rule px-4 pt-3 pb-1">
          <b>
            <span className="figure">{pairMark(chosen.mark)}</span> {pairName(chosen.name)}
          </b>
          <OutputButton id="bend-tables" />
        </h2>
        <BendRows schedule={chosen} made={made} lit={bend} onChoose={setNumber} />
        <BenderPicture schedule={chosen} made={made} number={bend} />
      </div>
      <BendPanel key={chosen.piece} plan={plan} schedule={chosen} made={made} number={bend} shop={shop} />
    </>
  );
}

function PieceRow({
  plan,
  schedule,
  made,
  lit,
  onChoose,
}: {
  readonly plan: Plan;
  readonly schedule: BendSchedule;
  readonly made: OnBender;
  readonly lit: boolean;
  readonly onChoose: () => void;
}) {
  const { document } = useEditor('document');
  const piece = plan.frame.pieces.find(({ id }) => id === schedule.piece)!;
  return (
    <tr className={rowLook(lit)} onClick={onChoose}>
      <td className="!pl-4 text-left whitespace-nowrap">
        <button type="button" aria-pressed={lit} onClick={onChoose} className="text-left">
          <span className="figure inline-block w-14 font-bold">{pairMark(schedule.mark)}</span>
          <span className="font-bold">{pairName(schedule.name)}</span>
        </button>
      </td>
      <td className="figure text-left whitespace-nowrap">{sectionText(piece.section, document.units)}</td>
      <td className="figure">{schedule.bends.length}</td>
      <td className="text-left">{bentOn(schedule, made)}</td>
      <td className="font-bold">
        <Length mm={schedule.tube} display={document.units} unit={false} />
      </td>
      <td className="!pr-4">
        <Length mm={schedule.finished} display={document.units} unit={false} />
      </td>
    </tr>
  );
}

function bentOn(schedule: BendSchedule, { settings, findings }: OnBender): string {
  if (settings.length === 0) return schedule.way === 'rolled' ? 'rolled' : 'wedge cuts';
  const names = [...new Set(settings.map(({ die }) => die?.name ?? 'no die'))].join(', ');
  return findings.length > 0 ? `${names}: to look at` : names;
}

function BendRows({
  schedule,
  made,
  lit,
  onChoose,
}: {
  readonly schedule: BendSchedule;
  readonly made: OnBender;
  readonly lit: number;
  readonly onChoose: (number: number) => void;
}) {
  const { document } = useEditor('document');
  const length = (mm: number) => <Length mm={mm} display={document.units} unit={false} />;
  const other = schedule.from === 'start' ? 'end' : 'start';
  return (
    <table className="w-full border-collapse text-[13.5px]">
      <caption className="sr-only">Bends in the order they are made</caption>
      <thead>
        <tr className="caption border-b border-ink text-right align-bottom [&>th]:px-2 [&>th]:py-1 [&>th]:font-normal">
          <th className="!pl-4 text-left">Bend</th>
          <th>Starts at, from its {schedule.from}</th>
          <th>Ends at, from its {other}</th>
          <th>Straight before</th>
          <th className="text-left">Turn the tube</th>
          <th>Bend</th>
          <th className="text-left">Die</th>
          <th>Set</th>
          <th className="!pr-4">½° more moves the far end</th>
        </tr>
      </thead>
      <tbody>
        {inTurn(schedule).map(({ bend, turn }, place) => {
          const setting = made.settings[bend.number - 1];
          return (
            <tr
              key={bend.number}
              className={rowLook(bend.number === lit)}
              onClick={() => onChoose(bend.number)}
            >
              <td className="!pl-4 text-left">
                <button
                  type="button"
                  aria-pressed={bend.number === lit}
                  className="font-bold"
                  onClick={() => onChoose(bend.number)}
                >
                  {bend.number}
                </button>
              </td>
              <td className="text-[15px] font-bold">{length(setting?.mark ?? bend.mark)}</td>
              <td>{length(bend.markFromOther)}</td>
              <td>{length(bend.straightBefore)}</td>
              <td className="text-left">{place === 0 ? '–' : turnText(turn)}</td>
              <td>
                <Angle degrees={bend.angle} />
              </td>
              <td className="text-left whitespace-nowrap">{setting?.die?.name ?? '–'}</td>
              <td
                className="text-[15px] font-bold"
                title={
                  setting?.reads === undefined
                    ? undefined
                    : settingSum(bend.angle, setting.set!, setting.die!.zero, setting.reads)
                }
              >
                {setting?.reads === undefined ? '–' : <Angle degrees={setting.reads} />}
              </td>
              <td className="!pr-4">{length(bend.perHalfDegree)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
