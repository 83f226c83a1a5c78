import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { queries } from '../../server/queries.ts';
import { send } from '../../server/api.ts';
import { Button, ButtonLink } from '../../ui/Button.tsx';

/** Where a coach says the gym's passphrase on another device. */
export function DoorRoom() {
  const [query] = useSearchParams();
  const { data: door } = useQuery(queries.door());
  const [passphrase, setPassphrase] = useState('');
  const [refusal, setRefusal] = useState('');
  const [isAsking, setAsking] = useState(false);
  const to = query.get('to') ?? '/';
  const open = async (): Promise<void> => {
    setAsking(true);
    try {
      await send('POST', 'door/open', { passphrase });
      // Only to a page of the gym itself.
      window.location.assign(/^\/(?!\/)/.test(to) ? to : '/');
    } catch (error) {
      setRefusal((error as Error).message);
      setAsking(false);
    }
  };
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center gap-6 p-6">
      <h1 className="text-4xl">The gym’s door</h1>
      {door && !door.hasPassphrase ? (
        <p className="text-lg">
          No passphrase is set yet, so nobody comes in from another device. Set it on the machine on which the
          server runs: Gym, Devices.
        </p>
      ) : (
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            void open();
          }}
        >
          <label className="flex flex-col gap-1 text-lg">
            The coach’s passphrase
            <input
              type="password"
              autoFocus
              autoComplete="current-password"
              value={passphrase}
              aria-invalid={refusal !== ''}
              aria-describedby="door-refusal"
              className="min-h-12 rounded-md border border-quiet bg-paper px-3"
              onChange={(event) => {
                setPassphrase(event.target.value);
                setRefusal('');
              }}
            />
          </label>
          <p id="door-refusal" role="alert" className="min-h-6 font-semibold text-caution">
            {refusal}
          </p>
          <Button weight="main" type="submit" disabled={passphrase === '' || isAsking}>
            Come in
          </Button>
        </form>
      )}
      <p className="text-quiet">
        Only joining a class? That needs no passphrase, but the code on the coach’s screen.
      </p>
      <ButtonLink to="/join">Join a class</ButtonLink>
    </main>
  );
}
