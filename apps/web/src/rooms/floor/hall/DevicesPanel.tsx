import { useQuery } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import type { HostDevice } from '../../../hall/HostDevice.ts';
import { QrCode } from '../../../hall/QrCode.tsx';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';

/** How other devices join this class, and which ones have. */
export function DevicesPanel({ hall }: { hall: HostDevice }) {
  const { code, devices, failure, isConnected } = useSyncExternalStore(hall.subscribe, hall.snapshot);
  const { data: door } = useQuery(queries.door());
  useEffect(() => void hall.open(), [hall]);
  const base = door?.addresses[0] ?? window.location.origin;
  const address = `${base}/join/${code ?? ''}`;
  return (
    <section
      aria-label="Devices of the hall"
      className="flex flex-wrap items-center gap-x-8 gap-y-2 border-t-2 border-rule px-8 py-2 phone:px-4"
    >
      {code && <QrCode text={address} label={`Join at ${address}`} className="h-32 w-32 shrink-0" />}
      <div className="min-w-0">
        <p className="text-quiet">Code</p>
        <p className="board text-6xl leading-none tracking-widest" data-testid="hall-code">
          {code ?? '······'}
        </p>
        <p className="text-base text-quiet">{code && `${base}/join`}</p>
      </div>
      <div className="min-w-0 flex-1">
        <p role="status" className="text-lg">
          {failure !== ''
            ? failure
            : !isConnected
              ? 'The server does not answer; devices come back by themselves.'
              : devices.length === 0
                ? 'No device has joined yet.'
                : devices.map(({ view, name }) => `${view} ${name}`.trim()).join(' · ')}
        </p>
        {door && door.addresses.length === 0 && (
          <p className="text-base text-quiet">
            This server is open to its own machine alone. For phones and other screens start it with{' '}
            <code>npm start -- --hall</code>.
          </p>
        )}
        <Button
          className="mt-1 min-h-[44px] pointer-coarse:min-h-[64px]"
          disabled={!code}
          onClick={() => window.open(`/hall/${code}/wall`, 'eurhythm-wall', 'popup,width=1280,height=800')}
        >
          Wall on another screen
        </Button>
      </div>
    </section>
  );
}
