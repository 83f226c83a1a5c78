import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { queries } from '../../server/queries.ts';
import { send } from '../../server/api.ts';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { PassphraseForm } from './PassphraseForm.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

/** Where a coach says the gym's passphrase on another device. */
export function DoorRoom() {
  const [query] = useSearchParams();
  const { data: door } = useQuery(queries.door());
  const to = query.get('to') ?? '/';
  const open = async (passphrase: string): Promise<void> => {
    await send('POST', 'door/open', { passphrase });
    // Only to a page of the gym itself, however the way to another one is written.
    const { origin, href } = new URL(to, window.location.origin);
    window.location.assign(origin === window.location.origin ? href : '/');
  };
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center gap-6 p-6">
      <Heading className="text-4xl">The gym’s door</Heading>
      {door && !door.hasPassphrase ? (
        <p className="text-lg">
          No passphrase is set yet, so nobody comes in from another device. Set it on the machine on which the
          server runs: Gym, Devices.
        </p>
      ) : (
        <PassphraseForm label="The coach’s passphrase" isNew={false} onSay={open}>
          Come in
        </PassphraseForm>
      )}
      <p className="text-quiet">
        Only joining a class? That needs no passphrase, but the code on the coach’s screen.
      </p>
      <ButtonLink to="/join">Join a class</ButtonLink>
    </main>
  );
}
