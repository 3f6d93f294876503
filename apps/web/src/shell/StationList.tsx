import { Check, Minus, Triangle } from 'lucide-react';
import { memo } from 'react';
import { NavLink } from 'react-router';
import { useEditor } from '../editor/editor';
import { useSlow } from '../planning/useSlow';
import { stateOf } from '../stations/state';
import { GROUPS } from '../stations/station';
import { STATIONS } from '../stations/stations';
import { useWork } from '../stations/work/useWork';

const WORD = { settled: 'settled', findings: 'to look at', none: 'not started' } as const;

export function StationList() {
  const { build, document, plan } = useEditor('build', 'document', 'plan');
  const begun = document.done?.some(({ done }) => done) ?? false;
  const swept = useSlow('sweptFindings').value;
  return (
    <nav
      aria-label="Stations"
      className="w-44 shrink-0 overflow-y-auto contain-content border-r border-rule py-4 max-[900px]:flex max-[900px]:w-full max-[900px]:overflow-x-auto max-[900px]:border-r-0 max-[900px]:border-b max-[900px]:py-0 print:hidden"
    >
      {GROUPS.map((group) => (
        <div key={group} className="mb-4 max-[900px]:mb-0 max-[900px]:flex max-[900px]:shrink-0">
          <div className="caption px-4 pb-1 max-[900px]:hidden">{group}</div>
          {STATIONS.filter((station) => station.group === group).map((station) => {
            const Link = station.id === 'work' && begun ? WorkLink : StationLink;
            return (
              <Link
                key={station.id}
                to={`/builds/${build.id}/${station.id}`}
                name={station.name}
                {...stateOf(station, document, plan, swept)}
              />
            );
          })}
        </div>
      ))}
    </nav>
  );
}

/** Steps that were done before the drawing changed are to be looked at, too. */
function WorkLink({ count, is, ...rest }: StationLinkProps) {
  const late = useWork()?.late.length ?? 0;
  return <StationLink {...rest} is={late > 0 ? 'findings' : is} count={count + late} />;
}

interface StationLinkProps extends ReturnType<typeof stateOf> {
  readonly to: string;
  readonly name: string;
}

const StationLink = memo(function StationLink({ to, name, is, count }: StationLinkProps) {
  return (
    <NavLink
      to={to}
      className={({ isActive }) =>
        `flex min-h-[30px] items-center gap-3 border-l-4 pr-4 pl-3 max-[900px]:inline-flex max-[900px]:min-h-11 ${isActive ? 'border-larch bg-sheet font-bold' : 'border-transparent hover:bg-sheet'}`
      }
    >
      {is === 'settled' && <Check size={15} aria-hidden className="text-spruce" />}
      {is === 'findings' && <Triangle size={14} aria-hidden className="text-larch" />}
      {is === 'none' && <Minus size={15} aria-hidden className="text-quiet" />}
      <span className="flex-1">{name}</span>
      <span className="sr-only">{WORD[is]}</span>
      {count > 0 && <span className="figure text-[13px] font-bold text-larch-text">{count}</span>}
    </NavLink>
  );
});
