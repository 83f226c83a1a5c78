import { howMany } from '@eurhythm/core/units';
import { useState } from 'react';
import { HOME_LIMITS, homeCode } from '@eurhythm/core/home';
import { Button } from '../ui/buttons/Button.tsx';
import type { HomeProps } from './homeProps.ts';
import { NOTHING_DONE } from './keptAtHome.ts';

const EFFORTS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10];

/** What was done, how hard it was, and the code that tells it to the coach. */
export function HomeEnd({ session, controller, keeper, onBurst }: HomeProps & { onBurst(): void }) {
  const { bursts, events } = keeper.kept;
  const [effort, setEffort] = useState(keeper.kept.effort);
  const [at] = useState(() => events.at(-1)?.at ?? Date.now());
  const { id: fighterId, name } = session.fighter;
  // The newest bursts are reported where there are more than fit into the code.
  const sent = bursts.slice(-HOME_LIMITS.bursts);
  const done = {
    fighterId,
    sessionId: session.sessionId,
    at,
    finished: controller.endedRounds.size,
    rounds: session.rounds.length,
    effort,
    bursts: sent,
  };
  const code = homeCode(done);
  const file = (): void => {
    const text = JSON.stringify({ format: 'eurhythm-home', version: 1, code, ...done }, null, 2);
    const link = document.createElement('a');
    link.href = `data:application/json;charset=utf-8,${encodeURIComponent(text)}`;
    link.download = 'from-home.json';
    link.click();
  };
  const anew = (): void => {
    keeper.keep(NOTHING_DONE);
    window.location.reload();
  };
  return (
    <main className="mat min-h-screen p-6 text-xl">
      <div className="mx-auto max-w-3xl">
        <h1 className="board text-6xl phone:text-4xl">That was it, {name.split(' ')[0]}</h1>
        <p className="mt-2">
          {done.finished} of {howMany(done.rounds, 'round')} to the end bell
          {sent.map(({ lead, count }, i) => (
            <span key={i}>
              {' '}
              · {count} in ten seconds, {lead} lead
            </span>
          ))}
        </p>
        <fieldset className="mt-5">
          <legend className="font-semibold">How hard was it? 1 is very easy, 10 all that you had.</legend>
          <div className="mt-2 flex flex-wrap gap-2">
            {EFFORTS.map((each) => (
              <Button
                key={each}
                weight={each === effort ? 'main' : 'plain'}
                aria-pressed={each === effort}
                className="min-h-[56px] min-w-[56px]"
                onClick={() => {
                  keeper.keep({ effort: each });
                  setEffort(each);
                }}
              >
                {each}
              </Button>
            ))}
          </div>
        </fieldset>
        <section className="my-6 border-4 border-ink p-5">
          <h2 className="text-xl">The code for your coach</h2>
          <output aria-label="Code" className="block font-line text-4xl font-bold phone:text-2xl">
            {code}
          </output>
          <p className="mt-2 text-base text-quiet">
            Write it down, read it out, or send the file. It says what is above, and nothing else.
          </p>
        </section>
        <div className="flex flex-wrap gap-3">
          <Button className="min-h-[64px]" onClick={file}>
            Save as a file
          </Button>
          <Button className="min-h-[64px]" onClick={onBurst}>
            Ten-second burst
          </Button>
          <Button weight="bare" className="min-h-[64px]" onClick={anew}>
            Do it again
          </Button>
        </div>
      </div>
    </main>
  );
}
