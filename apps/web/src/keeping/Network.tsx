import { useQueryClient } from '@tanstack/react-query';
import { toString as qrText } from 'qrcode';
import { useEffect, useState } from 'react';
import { PASSCODE, type Keeping, type Role } from '@larchwood/contract';
import { door } from '../api/workshop';
import { Button } from '../parts/Button';
import { Section, useKept } from './Section';

/** Phones and other machines: passcodes, and where they find the server. */
export function Network({ keeping }: { readonly keeping: Keeping }) {
  const { addresses, passcodes, encrypted } = keeping;
  const open = addresses.length > 0;
  const queries = useQueryClient();
  const out = useKept(
    () => door.allOut(),
    () => 'Everybody is logged out.',
  );
  return (
    <Section
      title="Phones and other machines"
      about={
        open
          ? 'Open to the shop’s network. Who has a passcode comes in from any machine on it; point a phone at the square.'
          : 'This server answers this machine alone. To open it to the shop’s network, set a builder’s passcode, stop it, and start it with LARCHWOOD_HOST=0.0.0.0.'
      }
    >
      {addresses.map((address) => (
        <Address key={address} address={address} />
      ))}
      {open && !encrypted && (
        <p className="mb-3 max-w-prose">
          The connection is not encrypted: others on the network could read along. LARCHWOOD_TLS=self encrypts
          it.
        </p>
      )}
      <Passcode
        role="builder"
        title="Builder’s passcode"
        about="may do all"
        isSet={passcodes.includes('builder')}
      />
      <Passcode
        role="bench"
        title="Bench’s passcode"
        about="may look, and tick and read settings"
        isSet={passcodes.includes('bench')}
      />
      {open && (
        <Button
          className="mt-3"
          onClick={() => out.mutate(undefined, { onSuccess: () => void queries.invalidateQueries() })}
        >
          Log everybody out
        </Button>
      )}
    </Section>
  );
}

function Address({ address }: { readonly address: string }) {
  const [square, setSquare] = useState<string>();
  useEffect(() => {
    void qrText(address, { type: 'svg', margin: 2 }).then(setSquare);
  }, [address]);
  return (
    <figure className="mb-3 flex items-center gap-4">
      {square !== undefined && (
        <img
          src={`data:image/svg+xml,${encodeURIComponent(square)}`}
          alt={`Square code of ${address}`}
          className="size-36 border border-rule bg-white"
        />
      )}
      <figcaption className="figure text-lg font-semibold break-all">{address}</figcaption>
    </figure>
  );
}

interface PasscodeProps {
  readonly role: Role;
  readonly title: string;
  readonly about: string;
  readonly isSet: boolean;
}

function Passcode({ role, title, about, isSet }: PasscodeProps) {
  const [typed, setTyped] = useState('');
  const setting = useKept(
    (passcode: string) => door.setPasscode(role, passcode).then(() => passcode),
    (passcode) =>
      passcode === '' ? `${title} is gone.` : `${title} is set. Who came in with the old one is out.`,
  );
  const short = typed !== '' && typed.length < PASSCODE.least;
  const set = () => setting.mutate(typed, { onSuccess: () => setTyped('') });
  return (
    <form
      className="mb-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (typed !== '' && !short) set();
      }}
    >
      <label>
        <span className="font-semibold">{title}</span>{' '}
        <span className="text-quiet">
          {about}; {isSet ? 'set' : 'not set'}
        </span>
        <span className="mt-1 flex gap-2">
          <input
            type="password"
            autoComplete="new-password"
            value={typed}
            maxLength={PASSCODE.most}
            aria-invalid={short}
            aria-label={title}
            onChange={(event) => setTyped(event.target.value)}
            className="min-h-8 w-56 border border-rule bg-sheet px-2"
          />
          <Button type="submit" disabled={typed === '' || short || setting.isPending}>
            {isSet ? 'Change' : 'Set'}
          </Button>
          {isSet && (
            <Button look="quiet" onClick={() => setting.mutate('')}>
              Take away
            </Button>
          )}
        </span>
      </label>
      {short && <p className="text-[12px] text-brick">At least {PASSCODE.least} characters.</p>}
    </form>
  );
}
