import type { FighterView } from '@eurhythm/contract';
import type { People } from './usePeople.ts';

/** Late arrivals and early leavers: a press of the name, and what comes is planned anew. */
export function PeoplePanel({ people, everybody }: { people: People; everybody: readonly FighterView[] }) {
  return (
    <section aria-label="Who is here" className="border-t-2 border-rule px-8 py-2 phone:px-4">
      <h2 className="text-lg font-semibold tracking-normal">
        Who is here{' '}
        <span className="font-normal text-quiet">· a press lets somebody come late, or leave</span>
      </h2>
      <ul className="grid max-h-[40dvh] grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-1.5 overflow-y-auto py-1">
        {everybody.map((fighter) => {
          const isHere = people.here.includes(fighter);
          return (
            <li key={fighter.id}>
              <button
                type="button"
                aria-pressed={isHere}
                disabled={!fighter.fit && !isHere}
                onClick={() => people.press(fighter)}
                className={`min-h-[44px] w-full rounded border-2 px-2 text-left leading-tight font-semibold disabled:opacity-45 pointer-coarse:min-h-[64px] ${isHere ? 'border-tape bg-tape text-on-tape' : 'border-dashed border-rule'}`}
              >
                {fighter.name}
                <span className="block text-sm font-normal">
                  {isHere ? 'here' : fighter.fit ? 'not here' : 'not fit to train'}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
