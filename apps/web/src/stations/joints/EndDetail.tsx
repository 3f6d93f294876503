import { failure, formatLength, type EndCut, type PieceCut } from '@larchwood/core';
import { memberOf, useEditor } from '../../editor/editor';
import { changeEnd } from '../../frame/changes';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Angle, Length } from '../../parts/Figure';

/** One end: its settings, and what can be changed about the cut. */
export function EndDetail({ cut, end }: { readonly cut: PieceCut; readonly end: EndCut }) {
  const { document, plan, edit, settle } = useEditor();
  const member = document.frame.members.find((candidate) => candidate.id === memberOf(cut.piece));
  const setting = member?.ends[end.end];
  const nameOf = (mark: string) =>
    `${mark} ${plan?.frame.pieces.find((piece) => piece.mark === mark)?.name ?? ''}`;
  const length = (mm: number) => <Length mm={mm} display={document.units} />;
  return (
    <>
      <Group title="Cut">
        {end.hosts.map((mark, index) => (
          <Row key={mark} name={`Angle to ${nameOf(mark)}`}>
            <Angle degrees={end.hostAngles[index] ?? 90} />
          </Row>
        ))}
        <Row name="Longest point beyond the cutter centre">{length(end.edge.longest.at)}</Row>
        <Row name="Deepest point">{length(end.edge.shortest.at)}</Row>
        <Row name="Between cutter centres">{length(cut.betweenCentres)}</Row>
        {setting && member && (
          <Row name="Left on to trim, this end">
            <QuantityField
              field={`allowance.${cut.piece}.${end.end}`}
              label="Allowance"
              quantity="length"
              value={setting.allowance}
              onCommit={(value) =>
                value < 0 || value > 500
                  ? failure('Must lie between 0 and 500 mm.')
                  : edit(
                      `allowance.${member.id}.${end.end}`,
                      changeEnd(member.id, end.end, { ...setting, allowance: value }),
                    )
              }
            />
          </Row>
        )}
        {setting?.cut === 'coped' && member && (
          <label className="flex min-h-8 items-center gap-2 px-4">
            <input
              type="checkbox"
              className="accent-larch"
              checked={setting.besideAxis}
              onChange={(event) => {
                edit(
                  `beside.${member.id}.${end.end}`,
                  changeEnd(member.id, end.end, { ...setting, besideAxis: event.target.checked }),
                );
                settle();
              }}
            />
            Meant to sit off the host’s centre
          </label>
        )}
      </Group>
      {cut.butts && (
        <Group title="Butted tube: trim so that the thick ends are shared out">
          {cut.butts.spare >= 0 ? (
            <>
              <Row name="Cut off the first end">{length(cut.butts.start)}</Row>
              <Row name="Cut off the second end">{length(cut.butts.end)}</Row>
              <Row name="Thick tube left, first end">{length(cut.butts.thickLeft.start)}</Row>
              <Row name="Thick tube left, second end">{length(cut.butts.thickLeft.end)}</Row>
            </>
          ) : (
            <p className="px-4 text-brick">
              The tube as sold is {formatLength(-cut.butts.spare, document.units)} too short.
            </p>
          )}
        </Group>
      )}
    </>
  );
}
