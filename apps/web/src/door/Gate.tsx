import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { door } from '../api/workshop';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';
import { doorStore, knownAt } from '../api/doorStore';

/** Asks for the passcode where the server wants one; what is open behind it stays as it is. */
export function Gate({ children }: { readonly children: ReactNode }) {
  const locked = useStore(doorStore, (state) => state.locked);
  const state = useQuery({ queryKey: ['door'], queryFn: door.state, staleTime: Infinity, retry: false });
  useEffect(() => {
    if (state.data) knownAt(state.data);
  }, [state.data]);
  return (
    <>
      {children}
      {locked && <Enter />}
    </>
  );
}

function Enter() {
  const queries = useQueryClient();
  const [passcode, setPasscode] = useState('');
  const [refused, setRefused] = useState<string>();
  const [busy, setBusy] = useState(false);
  const enter = async () => {
    setBusy(true);
    try {
      knownAt(await door.enter(passcode));
      await queries.invalidateQueries();
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'That did not work.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog
      open
      title="The workshop’s passcode"
      about="This workshop is open to the shop’s network. Who works here has the passcode."
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void enter();
        }}
      >
        {/* Browsers that remember passcodes want a name beside it. */}
        <input type="text" name="username" autoComplete="username" value="workshop" readOnly hidden />
        <label className="block">
          <span className="caption">Passcode</span>
          <input
            type="password"
            autoComplete="current-password"
            autoFocus
            value={passcode}
            onChange={(event) => setPasscode(event.target.value)}
            aria-invalid={refused !== undefined}
            className="block min-h-11 w-full border border-ink bg-paper px-3 text-lg"
          />
        </label>
        {refused !== undefined && (
          <p role="alert" className="mt-2 text-brick">
            {refused}
          </p>
        )}
        <Button
          look="strong"
          type="submit"
          className="mt-4 !min-h-11 w-full"
          disabled={busy || passcode === ''}
        >
          Come in
        </Button>
      </form>
    </Dialog>
  );
}
