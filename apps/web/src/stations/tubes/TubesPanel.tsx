import { memberOf, useEditor } from '../../editor/editor';
import { Findings } from '../../ledger/Findings';
import { Panel } from '../../ledger/Panel';
import { Mass } from '../../parts/Figure';
import { EditsGroup } from './EditsGroup';
import { MemberDetail } from './MemberDetail';
import { OwnSection } from './OwnSection';
import { LayoutGroup } from './LayoutGroup';
import { SeveralDetail } from './SeveralDetail';
import { TubeList } from './TubeList';
import { useTools } from '../../space/tools';
import { WeightGroup } from './WeightGroup';

/** The ledger of tubes: what is in hand first, then the list, and what there is to know of the whole frame. */
export function TubesPanel() {
  const { document, plan } = useEditor('document', 'plan');
  const { picked } = useTools();
  const { members } = document.frame;
  const chosen = picked.flatMap((each) => members.find((member) => member.id === memberOf(each)) ?? []);
  const mass = plan?.weights.reduce((sum, each) => sum + each.mass, 0) ?? 0;
  return (
    <Panel title="Tubes" aside={<Mass kg={mass} display={document.units} digits={2} />}>
      {members.length === 0 && (
        <p className="p-4">No tubes yet: choose a layout below, and a first frame is made.</p>
      )}
      {chosen.length > 1 ? (
        <SeveralDetail members={chosen} />
      ) : (
        chosen[0] && <MemberDetail key={chosen[0].id} member={chosen[0]} />
      )}
      {members.length > 0 && <TubeList />}
      <Findings findings={plan?.findings.filter((finding) => finding.where.station === 'tubes') ?? []} />
      {members.length > 0 && <WeightGroup />}
      {chosen.length > 0 && <OwnSection members={chosen.map(({ id }) => id)} />}
      <EditsGroup />
      <LayoutGroup />
    </Panel>
  );
}
