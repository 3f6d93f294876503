import { useRef, useState } from 'react';
import type { TakenIn } from '@larchwood/contract';
import { ApiProblem } from '../api/client';
import { workshop } from '../api/workshop';
import { Button } from '../parts/Button';
import { FaultsDialog, type RefusedFile } from '../parts/FaultsDialog';
import { Section, useKept } from './Section';

const counted = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

function said({ builds, riders, profiles, items, left }: TakenIn): string {
  const taken = [
    counted(builds, 'build', 'builds'),
    counted(riders, 'rider', 'riders'),
    counted(profiles, 'fixture', 'fixtures'),
    counted(items, 'item of the lists', 'items of the lists'),
  ].join(', ');
  return `Taken in: ${taken}.${left.length > 0 ? ` Here already: ${left.join(', ')}.` : ''}`;
}

export function WholeWorkshop() {
  const input = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<RefusedFile>();
  const taking = useKept(async (file: File) => {
    try {
      return await workshop.takeIn(file);
    } catch (error) {
      const faults = error instanceof ApiProblem ? error.problem.faults : undefined;
      if (faults) setRefused({ file: file.name, faults });
      throw error;
    }
  }, said);
  return (
    <Section
      title="The whole workshop as one file"
      about="Every build as it is now, the riders and the fixtures, as open files in a zip: to carry to another machine. What is taken in comes as new builds; riders and fixtures of a name that is here already are left as they are here. History stays behind: that is in the backups."
    >
      <input
        ref={input}
        type="file"
        accept=".zip,application/zip"
        className="hidden"
        aria-label="Workshop zip"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) taking.mutate(file);
        }}
      />
      <div className="flex flex-wrap gap-3">
        <a
          href={workshop.zipUrl}
          download
          className="inline-flex min-h-8 items-center border border-ink bg-sheet px-3 font-semibold hover:bg-larch-wash"
        >
          Take it away
        </a>
        <Button disabled={taking.isPending} onClick={() => input.current?.click()}>
          {taking.isPending ? 'Taking in…' : 'Take one in'}
        </Button>
      </div>
      <FaultsDialog refused={refused} taken="taken in" onClose={() => setRefused(undefined)} />
    </Section>
  );
}
