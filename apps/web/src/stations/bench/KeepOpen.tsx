import { useState } from 'react';
import { Button } from '../../parts/Button';

/** For as long as the page is open: reloaded, it tells it again. */
let understood = false;
/** Whether the page came from this machine itself, where no network can go. */
const isHere = (): boolean => /^(localhost|127\.0\.0\.1|\[::1\])$/.test(location.hostname);

/** A page that came over the shop's network is gone by a reload while that is away: told once, with what to do. */
export function KeepOpen() {
  const [open, setOpen] = useState(() => !isHere() && !understood);
  if (!open) return null;
  return (
    <div
      role="status"
      className="flex shrink-0 flex-wrap items-center justify-between gap-x-3 border-b border-steel bg-paper px-4 py-1.5"
    >
      <span className="max-w-2xl text-[15px]">
        <b>Keep this page open.</b> If it is reloaded while the network is away, it stays empty until the
        network is back. What you tick is kept. Do not close the tab, and turn off what puts tabs to sleep.
      </span>
      <Button
        className="min-h-11"
        onClick={() => {
          understood = true;
          setOpen(false);
        }}
      >
        Understood
      </Button>
    </div>
  );
}
