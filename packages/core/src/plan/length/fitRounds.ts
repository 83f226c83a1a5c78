import { kindOf, type Phase, type WrittenBlock } from '../../rounds/index.ts';
import type { Seconds } from '../../units/index.ts';
import { sessionSeconds, type RoundLike } from '../plannedRound.ts';
import type { FitProposal } from './fitToLength.ts';
import { fitSession, withLengths } from './stretchLimits.ts';

/** How much a round of a phase matters to a class (our own choice); warm-up and stretch are never dropped or done again. */
const MATTERS: Readonly<Record<Phase, number>> = {
  'warm-up': Infinity,
  technique: 4,
  combos: 4.5,
  pads: 5,
  shadow: 3,
  conditioning: 2,
  stretch: Infinity,
};
/** What is of the theme matters so much more, and what an earlier round had already so much less. */
const OF_THEME = 3;
const AGAIN = 1.5;
/** So little too much is taken off here and there: no round is dropped for it. */
const A_LITTLE = { share: 0.02, seconds: 30 } as const;

export interface RoundsFit<R> extends Pick<FitProposal, 'changes' | 'total' | 'missing'> {
  /** All rounds with their new lengths. */
  readonly rounds: readonly R[];
  readonly dropped: readonly R[];
  /** Rounds that are done once more. */
  readonly added: readonly R[];
}

/**
 * A session brought to another length as a coach would: whole rounds that matter least are dropped, or those that matter most are done
 * again, before anything is made shorter than it was meant to be; what is left is spread in whole seconds.
 *
 * @param theme words that the class is about
 *
 * @example
 * fitRounds([1, 2, 3].map((i) => ({ id: `r${i}`, title: `R${i}`, kind: 'pads', blocks: [usualBlock('combo', 'b')] })), 240, []).dropped.map(({ id }) => id) // ['r3']
 */
export function fitRounds<B extends WrittenBlock, R extends RoundLike<B>>(
  rounds: readonly R[],
  wanted: Seconds,
  theme: readonly string[],
): RoundsFit<R> {
  let kept = [...rounds];
  const dropped: R[] = [];
  const isOver = (): boolean => {
    const over = sessionSeconds(kept) - wanted;
    return over > A_LITTLE.seconds || over > A_LITTLE.share * wanted;
  };
  while (isOver()) {
    const droppable = kept.filter(isMain);
    if (droppable.length < 2) break;
    const least = droppable.reduce((a, b) => (worth(b, kept, theme) <= worth(a, kept, theme) ? b : a));
    kept = kept.filter((round) => round !== least);
    dropped.push(least);
  }
  const added: R[] = [];
  for (let guard = 0; guard < MOST_ADDED; guard++) {
    const left = wanted - sessionSeconds(kept);
    const fitting = kept.filter((round) => isMain(round) && sessionSeconds([round]) <= left);
    const [first, ...others] = fitting;
    if (!first) break;
    const most = others.reduce((a, b) => (worth(b, kept, theme) > worth(a, kept, theme) ? b : a), first);
    const again = { ...most, id: freeId(most.id, kept) };
    kept.splice(kept.lastIndexOf(most) + 1, 0, again);
    added.push(again);
  }
  const { changes, total, missing } = fitSession(kept, wanted);
  return { rounds: withLengths(kept, changes), dropped, added, changes, total, missing };
}

const MOST_ADDED = 40;

/** Series stay as they are: their times are the coach's. */
const isMain = ({ kind, series }: RoundLike<WrittenBlock>): boolean =>
  !series && Number.isFinite(MATTERS[kind]);

/** How much a round matters beside the others: the later of two that are alike matters less. */
function worth<R extends RoundLike<WrittenBlock>>(
  round: R,
  all: readonly R[],
  theme: readonly string[],
): number {
  const alike = all.filter((other) => other.kind === round.kind && workOf(other) === workOf(round));
  const text = ` ${round.title.toLowerCase()} `;
  const isOfTheme = theme.some((word) => word !== '' && text.includes(word.toLowerCase()));
  return MATTERS[round.kind] + (isOfTheme ? OF_THEME : 0) - AGAIN * (alike.length - 1) - place(round, all);
}

/** Of two that are worth the same, the later one goes first and the earlier one comes again first. */
const place = <R>(round: R, all: readonly R[]): number => all.indexOf(round) / 1000;

/** What is done in a round: its combos, or its kinds of work. */
function workOf({ blocks }: RoundLike<WrittenBlock>): string {
  return blocks
    .flatMap((block) => {
      const named = kindOf(block).named(block);
      return named.length > 0
        ? named.map(({ comboId }) => comboId)
        : kindOf(block).isRest
          ? []
          : [block.kind];
    })
    .join(' ');
}

function freeId(id: string, all: readonly { readonly id: string }[]): string {
  for (let n = 2; ; n++) {
    const next = `${id.slice(0, 58)}-${n}`;
    if (!all.some((each) => each.id === next)) return next;
  }
}
