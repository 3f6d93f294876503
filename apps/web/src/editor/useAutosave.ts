import { useCallback, useEffect, useRef, useState } from 'react';
import type { StoredBuild } from '@larchwood/contract';
import type { BuildDocument } from '@larchwood/format';
import { builds } from '../api/builds';
import { ApiProblem } from '../api/client';
import { forgetUnsaved, keepUnsaved } from './unsaved';

export type SaveState =
  | { readonly is: 'saved'; readonly at: string }
  | { readonly is: 'saving' }
  /** The server does not answer; the edits are kept in this browser and sent again. */
  | { readonly is: 'waiting'; readonly message: string }
  | { readonly is: 'conflict'; readonly theirs: StoredBuild };

const SAVING: SaveState = { is: 'saving' };
/** Writing an edit down in this browser takes a part of a frame: a drag writes when it rests. */
const KEEP = 120;
const PAUSE = 600;
const RETRY = 4000;

/**
 * Saves the document by itself, a moment after the last edit, one save at a time. Whatever has not reached the server is
 * kept in this browser. A conflict stops saving until `resolve` says which document goes on, over which revision.
 */
export function useAutosave(
  initial: StoredBuild,
  document: BuildDocument,
  onSaved: (build: StoredBuild) => void,
) {
  // What the server has: the revision last seen, and the document it holds.
  const [base, setBase] = useState({ revision: initial.revision, document: initial.document });
  const busy = useRef(false);
  const [state, setState] = useState<SaveState>({ is: 'saved', at: initial.savedAt });
  const [round, setRound] = useState(0);

  useEffect(() => {
    if (document === base.document || state.is === 'conflict') return;
    const keeping = setTimeout(() => keepUnsaved(initial.id, { revision: base.revision, document }), KEEP);
    const timer = setTimeout(
      () => {
        if (busy.current) return;
        busy.current = true;
        setState({ is: 'saving' });
        builds
          .save(initial.id, base.revision, document)
          .then((saved) => {
            setBase({ revision: saved.revision, document });
            forgetUnsaved(initial.id);
            setState({ is: 'saved', at: saved.savedAt });
            onSaved(saved);
          })
          .catch((error: unknown) => {
            const problem = error instanceof ApiProblem ? error.problem : undefined;
            if (problem?.status === 409 && problem.current)
              setState({ is: 'conflict', theirs: problem.current });
            else setState({ is: 'waiting', message: problem?.message ?? 'Saving failed.' });
          })
          .finally(() => {
            busy.current = false;
            setRound((count) => count + 1);
          });
      },
      state.is === 'waiting' ? RETRY : PAUSE,
    );
    return () => {
      clearTimeout(keeping);
      clearTimeout(timer);
    };
    // `round` starts the wait again after each attempt.
  }, [base, document, initial.id, onSaved, round, state.is]);

  // Leaving the build within the pause: what is pending is sent at once. It also stays in this browser until it has arrived.
  const pending = useRef<{ revision: number; document: BuildDocument } | undefined>(undefined);
  useEffect(() => {
    pending.current = document === base.document ? undefined : { revision: base.revision, document };
  }, [base, document]);
  useEffect(() => {
    // The page itself goes: there is time only to write down what is pending.
    const keep = () => pending.current && keepUnsaved(initial.id, pending.current);
    window.addEventListener('pagehide', keep);
    return () => window.removeEventListener('pagehide', keep);
  }, [initial.id]);
  useEffect(
    () => () => {
      const last = pending.current;
      if (last) keepUnsaved(initial.id, last);
      if (!last || busy.current) return;
      builds.save(initial.id, last.revision, last.document).then(
        (saved) => {
          forgetUnsaved(initial.id);
          onSaved(saved);
        },
        () => undefined, // still kept in this browser; the next visit brings it back
      );
    },
    [initial.id, onSaved],
  );

  const resolve = useCallback((theirs: StoredBuild) => {
    setBase({ revision: theirs.revision, document: theirs.document });
    setState({ is: 'saved', at: theirs.savedAt });
  }, []);
  const waiting = document !== base.document && state.is === 'saved';
  return { state: waiting ? SAVING : state, resolve };
}
