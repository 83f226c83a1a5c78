import { turnAt } from '@eurhythm/core/plan';
import type { FighterView, RunView } from '@eurhythm/contract';

const ROLE_WORDS = { work: 'works', hold: 'holds', watch: 'watches', rest: 'rests' } as const;

interface PartnersNowProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly round: number;
  /** Seconds from the start of the round; behind its last turn the partners of the next round are shown. */
  readonly at: number;
  readonly isRest: boolean;
}

/** Who works and who holds: in this turn, and in a rest in the turn that comes. */
export function PartnersNow({ run, fighters, round, at, isRest }: PartnersNowProps) {
  const blocks = run.rounds[round]!.blocks;
  const end = blocks.reduce((sum, { seconds }) => sum + seconds, 0);
  const last = blocks.at(-1);
  const isOver = isRest && last?.kind === 'rest' && at >= end - last.seconds && !last.id.startsWith('turn.');
  const shown = isOver ? round + 1 : round;
  const groups = run.partners.find((each) => each.round === shown)?.groups;
  if (!groups) return null;
  const turn = isOver ? 0 : turnAt(blocks, at);
  const nameOf = (id: string): string => fighters.find((each) => each.id === id)?.name.split(' ')[0] ?? '';
  return (
    <ul aria-label="Partners" className="flex flex-wrap gap-x-8 px-10 text-[1.4rem] leading-tight">
      {groups.map(({ members, turns }) => {
        const roles = turns[turn % turns.length] ?? [];
        return (
          <li key={members.join()}>
            {members.map((id, i) => (
              <span key={id} className={`mr-2 ${roles[i] === 'work' ? 'font-bold' : 'text-quiet'}`}>
                {nameOf(id)} {ROLE_WORDS[roles[i] ?? 'rest']}
              </span>
            ))}
          </li>
        );
      })}
    </ul>
  );
}
