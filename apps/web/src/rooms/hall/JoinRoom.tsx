import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { CODE_LENGTH, type HallViewName } from '@eurhythm/contract';
import { deviceName, keepDeviceName } from '../../hall/deviceName.ts';
import { send } from '../../server/api.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

const VIEWS: readonly (readonly [HallViewName, string, string])[] = [
  ['wall', 'Wall', 'the big screen: call, clock, line'],
  ['holder', 'Holder', 'what to show next, and how high'],
  ['remote', 'Remote', 'hold, next round, marks, numbers'],
  ['station', 'Station', 'a phone at a bag or a pair'],
];

/** Any device joins a class with the code that the coach shows. */
export function JoinRoom() {
  const { code: given = '' } = useParams();
  const navigate = useNavigate();
  const [code, setCode] = useState(given.toUpperCase());
  const [name, setName] = useState(deviceName);
  const [refusal, setRefusal] = useState('');
  const join = async (view: HallViewName): Promise<void> => {
    try {
      const wish = { code, view, ...(name.trim() === '' ? {} : { name: name.trim() }) };
      await send('POST', 'hall/join', wish);
      keepDeviceName(name.trim());
      void navigate(`/hall/${code}/${view}`);
    } catch (error) {
      setRefusal((error as Error).message);
    }
  };
  return (
    <main className="mat flex min-h-dvh flex-col gap-5 p-6 phone:p-4">
      <Heading className="board text-5xl phone:text-4xl">Join the class</Heading>
      <form
        className="flex max-w-xl flex-col gap-5"
        onSubmit={(event) => {
          event.preventDefault();
          void join('remote');
        }}
      >
        <label className="flex flex-col gap-1 text-xl">
          The six letters on the coach’s screen
          <input
            autoFocus
            autoCapitalize="characters"
            autoComplete="off"
            spellCheck={false}
            maxLength={CODE_LENGTH}
            value={code}
            aria-invalid={refusal !== ''}
            aria-describedby="join-refusal"
            className="board min-h-[64px] border-b-4 border-tape bg-transparent text-6xl tracking-[0.2em] uppercase"
            onChange={(event) => {
              setCode(event.target.value.toUpperCase().replace(/[^A-Z]/g, ''));
              setRefusal('');
            }}
          />
        </label>
        <p id="join-refusal" role="alert" className="min-h-7 text-lg font-semibold text-caution">
          {refusal}
        </p>
        <label className="flex flex-col gap-1 text-xl">
          What this device is called{' '}
          <span className="text-base text-quiet">bag 2, helper; may stay empty</span>
          <input
            value={name}
            maxLength={40}
            className="min-h-[44px] rounded border-2 border-rule bg-paper px-3 text-lg"
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <div className="grid gap-3 sm:grid-cols-2" role="group" aria-label="What it is">
          {VIEWS.map(([view, title, what]) => (
            <Button
              key={view}
              className="min-h-[72px] flex-col !items-start text-left"
              disabled={code.length < CODE_LENGTH}
              onClick={() => void join(view)}
            >
              <span className="text-2xl">{title}</span>
              <span className="text-base font-normal text-quiet">{what}</span>
            </Button>
          ))}
        </div>
      </form>
    </main>
  );
}
