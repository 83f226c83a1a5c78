import { useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { PassphraseDto, checkFields } from '@eurhythm/contract';
import { QrCode } from '../../hall/QrCode.tsx';
import { send } from '../../server/api.ts';
import { queries } from '../../server/queries.ts';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { Part, Plain } from '../../ui/panels/Panel.tsx';
import { PassphraseForm } from './PassphraseForm.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

/** How other devices reach the gym, and what a coach says on them. */
export function DevicesRoom() {
  const { data: door } = useQuery(queries.door());
  if (!door) return null;
  const [here] = door.addresses;
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <Heading className="mb-6 text-3xl">Devices of the hall</Heading>
      <div className="grid items-start gap-x-12 gap-y-8 lg:grid-cols-2">
        <Part title="Where others reach it">
          {here ? (
            <div className="flex flex-wrap items-center gap-6">
              <QrCode text={`${here}/join`} label={`Join at ${here}/join`} className="h-40 w-40 shrink-0" />
              <ul className="min-w-0 space-y-1">
                {[...door.addresses, ...door.secureAddresses].map((address) => (
                  <li key={address} className="font-semibold break-all">
                    {address}
                  </li>
                ))}
              </ul>
            </div>
          ) : (
            <Plain>
              Nowhere: this server is open to its own machine alone. Start it with{' '}
              <code>npm start -- --hall</code> to open it to the network of the hall.
            </Plain>
          )}
          <Plain>
            To join a class, a device needs the code that the Floor shows under <em>devices</em>, and nothing
            else. It sees that class and nothing else of the gym.
          </Plain>
          <ButtonLink to="/phone">A phone that trusts the gym</ButtonLink>
        </Part>
        <Passphrase hasPassphrase={door.hasPassphrase} />
      </div>
    </div>
  );
}

function Passphrase({ hasPassphrase }: { hasPassphrase: boolean }) {
  const client = useQueryClient();
  const save = async (passphrase: string): Promise<void> => {
    const [wrong] = checkFields(PassphraseDto, { passphrase });
    if (wrong) throw new Error(wrong.message);
    // Not kept on this device as other writes are.
    await send('PUT', 'door/passphrase', { passphrase });
    toast('The passphrase is set. Other devices have to say it anew.');
    await client.invalidateQueries({ queryKey: ['door'] });
  };
  return (
    <Part title="The coach’s passphrase">
      <Plain>
        {hasPassphrase
          ? 'A passphrase is set. A new one closes the door to every device that came in with the old one.'
          : 'None is set, so no other device comes in but to join a class.'}
      </Plain>
      <PassphraseForm label={hasPassphrase ? 'New passphrase' : 'Passphrase'} isNew onSay={save}>
        Set the passphrase
      </PassphraseForm>
    </Part>
  );
}
