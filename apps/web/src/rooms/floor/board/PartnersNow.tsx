import { calledName, turnInRun } from '@eurhythm/core/plan';
import type { Person, ShownRun } from './shown.ts';

type Role = 'work' | 'hold' | 'watch' | 'rest';
const ROLE_WORDS: Readonly<Record<Role, string>> = {
  work: 'works',
  hold: 'holds',
  watch: 'watches',
  rest: 'rests',
};

/** Who stands together, and what each of them does. */
export type Partners = readonly (readonly { readonly id: string; readonly role: Role }[])[];

/** The partners of this turn, and in a rest those of the turn that comes; null where nobody was put together. */
export function partnersAt(run: ShownRun, round: number, at: number): Partners | null {
  const { round: shown, turn } = turnInRun(run.rounds, round, at);
  const groups = run.partners.find((each) => each.round === shown)?.groups;
  if (!groups) return null;
  return groups.map(({ members, turns }) => {
    const roles = turns[turn % turns.length] ?? [];
    return members.map((id, i) => ({ id, role: roles[i] ?? 'rest' }));
  });
}

interface PartnersProps {
  readonly partners: Partners;
  readonly fighters: readonly Person[];
}

/** While people change: everybody finds a name, a partner and a task. */
export function PartnersComing({ partners, fighters }: PartnersProps) {
  return (
    <ul
      aria-label="Partners"
      className="grid max-h-[19rem] min-h-[12rem] shrink-0 grid-cols-[repeat(auto-fill,minmax(22rem,1fr))] content-center gap-x-8 overflow-hidden px-10 text-[1.75rem] leading-snug phone:grid-cols-1 phone:px-4 phone:text-base flat:hidden"
    >
      {partners.map((group) => (
        <li key={group.map(({ id }) => id).join()}>
          {group.map(({ id, role }) => (
            <span key={id} className={`mr-3 ${role === 'work' ? 'font-bold' : 'text-quiet'}`}>
              {calledName(id, fighters)} {ROLE_WORDS[role]}
            </span>
          ))}
        </li>
      ))}
    </ul>
  );
}

/** During the work one line is enough: who works, and with whom. */
export function WorkingNow({ partners, fighters }: PartnersProps) {
  return (
    <ul
      aria-label="Partners"
      className="flex shrink-0 gap-x-7 overflow-hidden px-10 text-[1.75rem] leading-[1.1] whitespace-nowrap flat:hidden phone:flex-wrap phone:px-4 phone:text-base"
    >
      {partners.map((group) => (
        <li key={group.map(({ id }) => id).join()}>
          {group
            .filter(({ role }) => role === 'work')
            .map(({ id }) => (
              <strong key={id} className="mr-2">
                {calledName(id, fighters)} works
              </strong>
            ))}
        </li>
      ))}
    </ul>
  );
}
