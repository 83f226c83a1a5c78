import type { MoveBook } from '@eurhythm/core/moves';
import { measuredBy } from '@eurhythm/core/rounds';
import type { FighterView, RunView } from '@eurhythm/contract';
import { partnersAt } from '../../board/PartnersNow.tsx';
import type { AskedNumber } from './classBurst.ts';

/** A burst of a round that was gone through, with whose numbers it asks. */
export interface EndedBurst {
  readonly block: string;
  /** When it began in its round, in seconds. */
  readonly from: number;
  readonly asked: readonly AskedNumber[];
}

/** A bell is looked for so late, in seconds. */
const LATE = 0.5;

/**
 * The planned bursts of a round that have ended by an instant of it. Who stands together with others is asked for the turn in
 * which he works, and each group for its own technique.
 */
export function endedBursts(
  run: Pick<RunView, 'rounds' | 'partners' | 'groups'>,
  round: number,
  until: number,
  fighters: readonly Pick<FighterView, 'id' | 'lead'>[],
  book: MoveBook,
): EndedBurst[] {
  let from = 0;
  return run.rounds[round]!.blocks.flatMap((block): EndedBurst[] => {
    const begins = from;
    from += block.seconds;
    if (measuredBy(block)?.kind !== 'burst' || from > until + LATE) return [];
    const partners = partnersAt(run, round, begins)?.flat();
    const works = ({ id }: { readonly id: string }): boolean =>
      partners?.some((each) => each.id === id && each.role === 'work') ?? true;
    const asked = fighters.filter(works).flatMap(({ id, lead }): AskedNumber[] => {
      const group = run.groups.find(({ fighterIds }) => fighterIds.includes(id))?.name ?? '';
      const measured = measuredBy(block, { group, book });
      if (measured?.kind !== 'burst') return [];
      const { title, seconds } = measured;
      return [{ fighterId: id, what: { title, seconds }, lead }];
    });
    return [{ block: block.id, from: begins, asked }];
  });
}

/** What is known of those who are listened to. */
interface Listened {
  /** Whether something listens to somebody alone in a burst that began at this instant. */
  listensTo(fighterId: string, from: number): boolean;
  /** Whether it is over, and nothing of him was heard. */
  isUnheard(fighterId: string, from: number): boolean;
}

/**
 * Which numbers are to be asked for now, each once: those of everybody to whom nothing listens as soon as the burst has ended, and of
 * the others those of whom nothing was heard in the end. `before` and `kept` say what was done, by burst and by who is waited for.
 */
export function numbersToAsk(
  ended: readonly EndedBurst[],
  before: readonly string[],
  keyOf: (block: string) => string,
  { listensTo, isUnheard }: Listened,
): { readonly asked: readonly AskedNumber[]; readonly kept: readonly string[] } {
  const asked: AskedNumber[] = [];
  const kept = new Set(before);
  for (const { block, from, asked: numbers } of ended) {
    const isNew = !kept.has(keyOf(block));
    kept.add(keyOf(block));
    for (const number of numbers) {
      const waitedFor = `${keyOf(block)} ${number.fighterId}`;
      if (isNew && listensTo(number.fighterId, from)) kept.add(waitedFor);
      else if (isNew) asked.push(number);
      if (kept.has(waitedFor) && isUnheard(number.fighterId, from)) {
        kept.delete(waitedFor);
        asked.push(number);
      }
    }
  }
  return { asked, kept: [...kept] };
}
