import { formatLength, sawSettingOf, type EndCut, type PieceCut } from '@larchwood/core';
import { LIMITS } from '@larchwood/format';
import { memberOf, useEditor } from '../../editor/editor';
import { changeEnd } from '../../edits/frame';
import { lengthWithin } from '../../ledger/bounds';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Angle, Length } from '../../parts/Figure';
import { BuildCheck } from '../../ledger/BuildCheck';

/** One end: its settings, and what can be changed about the cut. */
export function EndDetail({ cut, end }: { readonly cut: PieceCut; readonly end: EndCut }) {
  const { document, plan, edit, settle } = useEditor('document', 'plan', 'edit', 'settle');
  const member = document.frame.members.find((candidate) => candidate.id === memberOf(cut.piece));
  const setting = member?.ends[end.end];
  const saw = sawSettingOf(end);
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
        {end.saw && end.saw.offSquare > 0.05 && (
          <>
            <Row name="Saw: on the match line’s face">
              <Angle degrees={Math.abs(end.saw.onMatchFace)} />
            </Row>
            <Row name="Saw: on the face beside it">
              <Angle degrees={Math.abs(end.saw.onNextFace)} />
            </Row>
            <Row name={saw?.up === 'next' ? 'As miter, then bevel, next face up' : 'As miter, then bevel'}>
              <span className="figure">
                <Angle degrees={saw?.miter ?? 0} />, <Angle degrees={saw?.bevel ?? 0} />
              </span>
            </Row>
          </>
        )}
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
                lengthWithin(value, LIMITS.allowance, () =>
                  edit(
                    `allowance.${member.id}.${end.end}`,
                    changeEnd(member.id, end.end, { ...setting, allowance: value }),
                  ),
                )
              }
            />
          </Row>
        )}
        {setting?.cut === 'coped' && member && (
          <BuildCheck
            checked={setting.besideAxis}
            onChange={(besideAxis) => {
              edit(
                `beside.${member.id}.${end.end}`,
                changeEnd(member.id, end.end, { ...setting, besideAxis }),
              );
              settle();
            }}
            className="px-4"
          >
            Meant to sit off the host’s centre
          </BuildCheck>
        )}
      </Group>
      <Group title="Piece">
        <Row name="Mass as cut">
          <span className="figure">{(cut.mass * 1000).toFixed(0)} g</span>
        </Row>
        {cut.handedness !== undefined && (
          <p className="px-4 text-[13px] text-quiet">
            {cut.handedness === 'turned over'
              ? 'Its twin is the same piece, turned over.'
              : 'Its twin is a mirror part: mark which is which.'}
          </p>
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
