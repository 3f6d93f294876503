import { nameInText, swapThrough } from '@larchwood/core';
import type { End, Host, Member } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { changeEnd } from '../../edits/frame';
import { useFrameEdit } from '../../frame/useFrameEdit';
import { Group } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';

const CUTS: readonly { readonly value: End['cut']; readonly label: string }[] = [
  { value: 'coped', label: 'Coped to fit' },
  { value: 'mitred', label: 'Mitred with' },
  { value: 'plain', label: 'Cut square' },
  { value: 'capped', label: 'Square, with a cap' },
  { value: 'flattened', label: 'Pressed flat' },
  { value: 'slotted', label: 'Slotted over a plate' },
  { value: 'plate', label: 'Against a plate' },
];

/** How each end is cut, and what runs through there. */
export function EndRows({ member }: { readonly member: Member }) {
  const { apply, message } = useFrameEdit();
  return (
    <Group title="Ends">
      {(['start', 'end'] as const).map((name) => (
        <EndRow
          key={name}
          member={member}
          name={name}
          onSwap={() => apply('frame.swap', (before, frame) => swapThrough(before, frame, member.id, name))}
        />
      ))}
      {message !== '' && (
        <p role="alert" className="px-4 pb-1 text-[13px] text-brick">
          {message}
        </p>
      )}
    </Group>
  );
}

function EndRow({
  member,
  name,
  onSwap,
}: {
  readonly member: Member;
  readonly name: 'start' | 'end';
  readonly onSwap: () => void;
}) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const end = member.ends[name];
  const label = name === 'start' ? 'First end' : 'Second end';
  const set = (next: End) => {
    edit(`end.${member.id}.${name}`, changeEnd(member.id, name, next));
    settle();
  };
  const hosts: readonly Host[] = end.cut === 'coped' ? end.hosts : end.cut === 'mitred' ? [end.with] : [];
  const others = document.frame.members.filter(({ id }) => id !== member.id);
  const options = others.flatMap((each) =>
    each.mirrored && !member.mirrored
      ? (['left', 'right'] as const).map((side) => ({
          value: `${each.id} ${side}`,
          label: `${each.piece}${side === 'left' ? 'L' : 'R'}  ${each.name}`,
        }))
      : [{ value: `${each.id} same`, label: `${each.piece}  ${each.name}` }],
  );
  const hostOf = (value: string): Host => {
    const [id, side] = value.split(' ') as [string, Host['side']];
    return { member: id, side };
  };
  const withHosts = (next: readonly Host[]): End =>
    end.cut === 'mitred' && next[0]
      ? { ...end, with: next[0] }
      : end.cut === 'coped' && next.length > 0
        ? { ...end, hosts: [...next] }
        : { cut: 'plain', setback: 0, allowance: end.allowance };
  return (
    <div className="flex flex-col gap-1 px-4 py-0.5">
      <div className="flex items-center gap-2">
        <span className="w-[74px] shrink-0 text-quiet">{label}</span>
        <Choice
          label={`${label}: cut`}
          value={end.cut}
          groups={[
            { options: CUTS.filter(({ value }) => value !== 'plate' || document.frame.plates.length > 0) },
          ]}
          className="min-w-0 flex-1"
          onChange={(cut) =>
            set(changed(end, cut as End['cut'], hosts, others, document.frame.plates[0]?.id))
          }
        />
      </div>
      {hosts.map((host, index) => (
        <div key={`${host.member}${index}`} className="flex items-center gap-2 pl-[82px]">
          <Choice
            label={`${label}: host ${index + 1}`}
            value={`${host.member} ${host.side}`}
            groups={[{ options }]}
            className="min-w-0 flex-1"
            onChange={(value) =>
              set(withHosts(hosts.map((each, at) => (at === index ? hostOf(value) : each))))
            }
          />
          {end.cut === 'coped' && hosts.length > 1 && (
            <Button
              look="link"
              aria-label={`${label}: no longer fit host ${index + 1}`}
              onClick={() => set(withHosts(hosts.filter((_, at) => at !== index)))}
            >
              Drop
            </Button>
          )}
        </div>
      ))}
      {end.cut === 'plain' && end.lost !== undefined && (
        <p className="pl-[82px] text-[13px] text-larch-text">
          It fitted the {nameInText(end.lost)}, which was taken out.{' '}
          <Button
            look="link"
            onClick={() => set({ cut: 'plain', setback: end.setback, allowance: end.allowance })}
          >
            Leave it square
          </Button>
        </p>
      )}
      {end.cut === 'plate' && (
        <Choice
          label={`${label}: plate`}
          value={end.plate}
          groups={[
            {
              options: document.frame.plates.map((plate) => ({
                value: plate.id,
                label: `${plate.piece}  ${plate.name}`,
              })),
            },
          ]}
          className="ml-[82px]"
          onChange={(plate) => set({ ...end, plate })}
        />
      )}
      {end.cut === 'coped' && (
        <div className="flex flex-wrap gap-x-4 pl-[82px]">
          <Button look="link" onClick={onSwap}>
            Let this tube run through
          </Button>
          {hosts.length < 4 && options.length > 0 && (
            <Choice
              label={`${label}: one more host`}
              value=""
              placeholder="One more host"
              groups={[
                {
                  options: options.filter(
                    ({ value }) => !hosts.some((host) => value.startsWith(`${host.member} `)),
                  ),
                },
              ]}
              className="text-[13px]"
              onChange={(value) => set(withHosts([...hosts, hostOf(value)]))}
            />
          )}
        </div>
      )}
    </div>
  );
}

/** The end with another cut, keeping what carries over. */
function changed(
  end: End,
  cut: End['cut'],
  hosts: readonly Host[],
  others: readonly Member[],
  plate: string | undefined,
): End {
  const { allowance } = end;
  const first: Host | undefined = hosts[0] ?? (others[0] && { member: others[0].id, side: 'same' });
  const setback = 'setback' in end ? end.setback : 0;
  switch (cut) {
    case 'coped':
      return first ? { cut, hosts: [first], besideAxis: false, allowance } : end;
    case 'mitred':
      return first ? { cut, with: first, allowance } : end;
    case 'slotted':
      return { cut, setback: Math.max(setback, 20), slotWidth: 6, slotDepth: 25, allowance };
    case 'capped':
      return { cut, setback, thickness: 2, allowance };
    case 'flattened':
      return { cut, setback, length: 35, allowance };
    case 'plate':
      return plate === undefined ? end : { cut, plate, allowance };
    case 'plain':
      return { cut, setback, allowance };
  }
}
