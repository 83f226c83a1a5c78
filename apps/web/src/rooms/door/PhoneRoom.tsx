import { useQuery } from '@tanstack/react-query';
import { QrCode } from '../../hall/QrCode.tsx';
import { queries } from '../../server/queries.ts';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

/** How a phone comes to trust the gym, for what browsers allow on trusted pages alone. */
export function PhoneRoom() {
  const { data: door } = useQuery(queries.door());
  const [here] = door?.addresses ?? [];
  const [secure] = door?.secureAddresses ?? [];
  return (
    <main className="mx-auto flex max-w-2xl flex-col gap-5 p-6">
      <Heading className="text-4xl">A phone that trusts the gym</Heading>
      <p>
        Joining a class, the remote, the holder’s view and the wall work on any phone, without any of this.
        Browsers keep the microphone, the motion sensor, a screen that stays on and working without the
        network for pages with a certificate that the phone trusts. This gym makes its own: nothing has to be
        bought, and nothing leaves the hall.
      </p>
      {!here || !secure ? (
        <p className="font-semibold">
          This server is open to its own machine alone, so there is no phone to trust it. Start it with{' '}
          <code>npm start -- --hall</code>.
        </p>
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-5">
            <QrCode
              text={`${here}/phone`}
              label={`This page: ${here}/phone`}
              className="h-40 w-40 shrink-0"
            />
            <p>
              Open this page on the phone: <strong className="break-all">{here}/phone</strong>
            </p>
          </div>
          <ol className="list-decimal space-y-3 pl-6">
            <li>
              Fetch the gym’s authority on the phone:{' '}
              <a className="font-semibold underline" href="/api/door/authority.crt" download>
                eurhythm-authority.crt
              </a>
            </li>
            <li>
              Install it. Android: Settings, Security, Encryption and credentials, Install a certificate, CA
              certificate. iPhone and iPad: Settings, Profile downloaded, Install; then General, About,
              Certificate trust settings, and switch it on.
            </li>
            <li>
              From then on open{' '}
              <a className="font-semibold break-all underline" href={`${secure}/join`}>
                {secure}/join
              </a>{' '}
              on it.
            </li>
          </ol>
          <p>
            A phone that trusts an authority trusts every page that it vouches for. Its key lies in the data
            folder of the gym’s machine and is given to nobody; take the authority off the phone again when it
            no longer comes to this gym.
          </p>
        </>
      )}
      <ButtonLink to="/join">Join a class</ButtonLink>
    </main>
  );
}
