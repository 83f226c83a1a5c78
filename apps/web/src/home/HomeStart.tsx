import { clockText } from '@eurhythm/core/units';
import { plannedSecondsOf, rungSeconds } from '@eurhythm/core/plan';
import { Button, Key } from '../ui/buttons/Button.tsx';
import type { RunController } from '../floor/run/RunController.ts';
import type { HomeSession } from './homeSession.ts';

interface HomeStartProps {
  readonly session: HomeSession;
  readonly controller: RunController;
  readonly isReady: boolean;
}

/** What is going to be done, for how long, and what to take care of. */
export function HomeStart({
  session: { title, fighter, rounds, cautions },
  controller,
  isReady,
}: HomeStartProps) {
  return (
    <main className="mat min-h-screen p-6">
      <div className="mx-auto max-w-3xl">
        <p className="text-quiet">
          For {fighter.name} · {fighter.lead} lead
        </p>
        <h1 className="board text-6xl phone:text-4xl">{title}</h1>
        <ol className="my-5 text-xl">
          {rounds.map(({ id, title: name }, i) => (
            <li key={id} className="flex justify-between gap-6 border-b border-rule py-1">
              <span>{name}</span>
              <span className="tabular">{clockText(rungSeconds(rounds, [i]))}</span>
            </li>
          ))}
          <li className="flex justify-between gap-6 py-1 font-bold">
            <span>In all</span>
            <span className="tabular">{clockText(plannedSecondsOf(rounds))}</span>
          </li>
        </ol>
        <ul className="mb-6 border-l-4 border-tape pl-4" aria-label="Before you begin">
          {cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
        <Button
          weight="main"
          className="min-h-[64px] w-full text-2xl"
          disabled={!isReady}
          onClick={() => {
            controller.touch();
            controller.start();
          }}
        >
          {isReady ? (
            <>
              <Key>Space</Key> start
            </>
          ) : (
            'Getting ready'
          )}
        </Button>
        <p className="mt-4 text-quiet">
          This page works without the network. At the end it gives a code for your coach.
        </p>
      </div>
    </main>
  );
}
