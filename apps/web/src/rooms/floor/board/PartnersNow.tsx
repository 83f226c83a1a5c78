import { turnInRun } from '@eurhythm/core/plan';
import type { FighterView, RunView } from '@eurhythm/contract';

const ROLE_WORDS = { work: 'works', hold: 'holds', watch: 'watches', rest: 'rests' } as const;

interface PartnersNowProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly round: number;
  /** Seconds from the start of the round; behind its last turn the partners of the next round are shown. */
  readonly at: number;
}

/** Who works and who holds: in this turn, and in a rest in the turn that comes. */
export function PartnersNow({ run, fighters, round, at }: PartnersNowProps) {
  const { round: shown, turn } = turnInRun(run.rounds, round, at);
  const groups = run.partners.find((each) => each.round === shown)?.groups;
  if (!groups) return null;
  return (
    <ul
      aria-label="Partners"
      className="flex flex-wrap gap-x-8 px-10 text-[1.75rem] leading-tight flat:hidden phone:px-4 phone:text-base"
    >
      {groups.map(({ members, turns }) => {
        const roles = turns[turn % turns.length] ?? [];
        return (
          <li key={members.join()}>
            {members.map((id, i) => (
              <span key={id} className={`mr-2 ${roles[i] === 'work' ? 'font-bold' : 'text-quiet'}`}>
                {calledName(id, fighters)} {ROLE_WORDS[roles[i] ?? 'rest']}
              </span>
            ))}
          </li>
        );
      })}
    </ul>
  );
}

/** Somebody's first name; the whole one where two share it. */
function calledName(id: string, fighters: readonly FighterView[]): string {
  const firstOf = (name: string): string => name.split(' ')[0]!;
  const name = fighters.find((each) => each.id === id)?.name ?? '';
  const shared = fighters.filter((each) => firstOf(each.name) === firstOf(name)).length > 1;
  return shared ? name : firstOf(name);
}
