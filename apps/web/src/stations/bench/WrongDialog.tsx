import { useState } from 'react';
import type { Step } from '@larchwood/core';
import { useDraft } from '../../editor/editor';
import { Dialog } from '../../parts/Dialog';

/** What goes wrong at the bench, and what then. */
const FAULTS = [
  {
    name: 'Too short, or cut wrong',
    then: 'Make the piece again. Where it can be hidden: a sleeve inside, never a weld built up over a gap.',
  },
  {
    name: 'Gap too wide for the process',
    then: 'Fill it with the same metal before the root, cut the piece again, or sleeve it.',
  },
  {
    name: 'Upside down, or on the wrong side',
    then: 'Only tacked: cut the tacks and turn it. Welded: cut it out and make it again; look at its twin.',
  },
  {
    name: 'Does not go in',
    then: 'Loosen what was tacked last. Do not force it: it pulls when it is let go.',
  },
  {
    name: 'It moved while it got hot',
    then: 'Let it cool, clamps off, measure. Cut tacks and set it again, before the next seam goes on.',
  },
  {
    name: 'Blown through, or cracked',
    then: 'Stop. Grind it out to sound metal, close it in short tacks, less heat. A crack in a stressed tube: a new tube.',
  },
  {
    name: 'Something else',
    then: 'Stop and look before going on. Say in a few words what it is: it stays with the step.',
  },
] as const;

interface Props {
  readonly step: Step;
  readonly onWrong: (what: string) => void;
  readonly onClose: () => void;
}

/** Something is wrong: chosen by large targets, with what to do then. */
export function WrongDialog({ step, onWrong, onClose }: Props) {
  const [chosen, choose] = useState<(typeof FAULTS)[number]>();
  const { draft, setDraft } = useDraft(`bench.wrong.${step.id}`);
  const more = draft?.text ?? '';
  const note = (name: string) => {
    setDraft(`bench.wrong.${step.id}`, undefined);
    onWrong(more.trim() === '' ? name : `${name}: ${more.trim()}`);
  };
  return (
    <Dialog title="What is wrong?" about={step.name} open onClose={onClose}>
      {chosen ? (
        <>
          <p className="text-[17px] font-bold">{chosen.name}</p>
          <p className="py-3 text-[17px]">{chosen.then}</p>
          <input
            aria-label="More about it, if there is more to say"
            placeholder="more about it, if you like"
            className="mb-3 min-h-12 w-full border border-rule bg-paper px-3 text-[17px] placeholder:text-quiet"
            maxLength={400}
            value={more}
            onChange={(event) => setDraft(`bench.wrong.${step.id}`, { text: event.target.value })}
          />
          <div className="grid gap-2">
            <button
              type="button"
              className="min-h-14 border border-ink bg-ink text-[17px] font-semibold text-paper"
              onClick={() => note(chosen.name)}
            >
              Note it on this step
            </button>
            <button
              type="button"
              className="min-h-14 border border-rule text-[17px] font-semibold"
              onClick={() => choose(undefined)}
            >
              Back
            </button>
          </div>
        </>
      ) : (
        <div className="grid gap-1.5">
          {FAULTS.map((fault) => (
            <button
              key={fault.name}
              type="button"
              className="min-h-13 border border-rule bg-paper px-3 text-left text-[17px] font-semibold active:bg-larch-wash"
              onClick={() => choose(fault)}
            >
              {fault.name}
            </button>
          ))}
        </div>
      )}
    </Dialog>
  );
}
