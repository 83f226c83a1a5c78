import { useMemo } from 'react';
import { audienceOf } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { careNotes, youthConcerns, type YouthConcern } from '@eurhythm/core/plan';
import { CareList } from '../sessions/plan/CareList.tsx';
import { groupIn } from './groupIn.ts';
import type { FighterView, GymView, RunPlanView, RunView } from '@eurhythm/contract';

interface YouthNoticeProps {
  readonly run: RunView;
  readonly rounds: RunPlanView['rounds'];
  readonly fighters: readonly FighterView[];
  readonly gym: GymView;
  readonly book: MoveBook;
}

/** Before the first bell: what of this class some should not do, or do otherwise, by name. */
export function YouthNotice({ run, rounds, fighters, gym, book }: YouthNoticeProps) {
  const concerns = useMemo(() => {
    const people = fighters.map(({ id, name, gradeId }) => ({
      name,
      group: groupIn(run, id),
      youth: audienceOf(gradeId, gym.grades, gym.school.youth).youth,
    }));
    const blocks = rounds.flatMap((round) => round.blocks);
    return youthConcerns(blocks, people, book);
  }, [run, rounds, fighters, gym, book]);
  const care = useMemo(
    () =>
      careNotes(
        rounds,
        fighters.flatMap(({ id, name, lead, care: own }) =>
          own ? [{ name, lead, group: groupIn(run, id), care: own }] : [],
        ),
        book,
      ),
    [run, rounds, fighters, book],
  );
  if (concerns.length === 0 && care.length === 0) return null;
  return (
    <>
      {concerns.length > 0 && <YouthConcerns concerns={concerns} />}
      <div className="px-10 pb-2 text-xl phone:px-4">
        <CareList care={care} />
      </div>
    </>
  );
}

function YouthConcerns({ concerns }: { readonly concerns: readonly YouthConcern[] }) {
  return (
    <section aria-label="Children’s limits" className="px-10 pb-2 text-xl phone:px-4">
      <ul>
        {concerns.map(({ names, faults }) => (
          <li key={names.join()}>
            <strong>{names.join(', ')}</strong> <span className="text-caution">{faults.join('; ')}.</span>
          </li>
        ))}
      </ul>
      <p className="text-base text-quiet">
        Pads and air only, or an easier form for them. Local rules come first.
      </p>
    </section>
  );
}
