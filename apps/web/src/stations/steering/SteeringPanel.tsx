import { linkagesFor, findLinkage, solveLinkage, type SteeringReadings } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { DimensionRow } from '../../ledger/DimensionRow';
import { Findings } from '../../ledger/Findings';
import { Group, Panel } from '../../ledger/Panel';
import { SourceContext } from '../../ledger/source';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Link } from 'react-router';
import { useClearances } from '../../planning/clearances';
import { LockLeft } from '../seat/LockLeft';
import { findingsAt } from '../state';
import { setLinkage, usualSteering } from '../../edits/steering';
import { PartsGroup } from './PartsGroup';
import { ProposalGroup } from './ProposalGroup';
import { ReadingsGroup } from './ReadingsGroup';
import type { Known } from './known';

/** Which linkage, what is wrong with it, its dimensions, and a better one where there is one. */
export function SteeringPanel({
  known,
  readings,
}: {
  readonly known: Known;
  readonly readings: SteeringReadings | undefined;
}) {
  const { build, document, plan, edit, settle } = useEditor('build', 'document', 'plan', 'edit', 'settle');
  const { clearances } = useClearances();
  const { linkage, held, source, steering } = known;
  const stance = plan?.stance;
  const findings = findingsAt(plan, 'steering');
  const count = Object.keys(held).length;
  const choose = (id: string) => {
    const next = findLinkage(id);
    if (!stance || !next) return;
    const usual = { ...next.start(stance), lock: document.seat.lock };
    if (!solveLinkage(next, stance, usual).ok) return;
    edit('steering.linkage', setLinkage(next, stance, usual));
    settle();
  };
  return (
    <Panel title="Steering" aside={`${count} held, ${source.solvable.dimensions.length - count} follow`}>
      <Findings findings={findings.filter(({ severity }) => severity !== 'note')} />
      {clearances?.lockLeft && (
        <Group title="What it meets on its way">
          <LockLeft {...clearances.lockLeft} />
          <p className="px-4">
            <Link
              to={`/builds/${build.id}/seat?show=gaps`}
              className="font-semibold text-larch-text underline underline-offset-2"
            >
              Every gap, lock to lock
            </Link>
          </p>
        </Group>
      )}
      <Group title="What turns the wheels">
        <div className="px-4 pb-1">
          {stance && (
            <Choice
              label="Linkage"
              className="w-full"
              value={linkage.id}
              groups={[{ options: linkagesFor(stance).map(({ id, name }) => ({ value: id, label: name })) }]}
              onChange={choose}
            />
          )}
          <p className="mt-1 text-quiet">{linkage.about}</p>
          {document.steering ? (
            <Button
              look="link"
              onClick={() => {
                if (stance) edit('steering.usual', usualSteering(stance));
                settle();
              }}
            >
              Begin with the usual one again
            </Button>
          ) : (
            steering &&
            steering.built.parts.length > 0 && (
              <Button
                className="mt-1"
                onClick={() => {
                  edit('steering.begin', setLinkage(linkage, stance!, held));
                  settle();
                }}
              >
                Begin with these sizes
              </Button>
            )
          )}
        </div>
      </Group>
      <SourceContext value={source}>
        {source.solvable.groups.map(({ title, ids }) => (
          <Group key={title} title={title}>
            {ids.map((id) => {
              const dimension = source.solvable.dimensions.find((each) => each.id === id);
              return dimension && <DimensionRow key={id} dimension={dimension} />;
            })}
          </Group>
        ))}
      </SourceContext>
      <ProposalGroup {...known} />
      <PartsGroup {...known} />
      {readings && <ReadingsGroup known={known} readings={readings} />}
      <p className="caption border-t border-rule px-4 py-3">
        Steering hurts people where a weld or a ball fails. Have these parts welded by somebody qualified,
        keep to the rules of your place, and try them standing still first. Bearing seats shrink and go out of
        round when welded: machine or ream them afterwards.
      </p>
    </Panel>
  );
}
