import { howMany } from '@eurhythm/core/units';
import { Link } from 'react-router';
import { PAIR_WORDS } from '@eurhythm/core/body';
import type { FighterProgress } from '@eurhythm/contract';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';

const upText = (tempos: FighterProgress['tempos']): string => {
  const up = tempos.filter(({ bpm, last }) => bpm > (last ?? bpm)).length;
  return up === 0 ? 'none goes up' : `${up} may go up`;
};

const arrowOf = (bpm: number, last: number | null): string =>
  last === null || bpm === last ? '=' : bpm > last ? '▲' : '▼';

/** The next tempo of each combo that was trained lately. */
export function Tempos({ tempos }: Pick<FighterProgress, 'tempos'>) {
  return (
    <Fold title="Next tempo" aside={tempos.length > 0 && upText(tempos)}>
      {tempos.length === 0 && <Plain>No combo was marked clean, loose or wild yet.</Plain>}
      {tempos.length > 0 && (
        <p className="pt-1 text-sm text-quiet">From the marks of the last twelve weeks.</p>
      )}
      <ul>
        {tempos.map(({ comboId, combo, bpm, last, sentence }) => (
          <li key={comboId} className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5">
            <span>
              <Link to={`/combos/${comboId}`} className="font-semibold underline decoration-rule">
                {combo}
              </Link>{' '}
              <span className="text-sm text-quiet">{sentence}</span>
            </span>
            <strong className="tabular whitespace-nowrap">
              {arrowOf(bpm, last)} {bpm}
            </strong>
          </li>
        ))}
      </ul>
    </Fold>
  );
}

const dueText = (memory: FighterProgress['memory']): string => {
  const due = memory.filter(({ isDue }) => isDue).length;
  return due === 0 ? 'none is due' : `${due} due to be asked`;
};

/** What is still remembered, what is due first. */
export function Memory({ memory }: Pick<FighterProgress, 'memory'>) {
  return (
    <Fold title="Remembers" aside={memory.length > 0 && dueText(memory)}>
      {memory.length === 0 && <Plain>No combo was asked yet. Ask at the end of a class.</Plain>}
      <ul>
        {memory.map(({ comboId, combo, chance, isDue, isSlipping, times, last }) => (
          <li key={comboId} className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5">
            <span>
              {combo}{' '}
              <span className="text-sm text-quiet">
                asked {times === 1 ? 'once' : `${times} times`}
                {isDue && ', due now'}
                {isSlipping && last !== 'forgot' && ', slipping'}
              </span>
            </span>
            <span className="tabular whitespace-nowrap">
              {last === 'forgot' ? 'forgotten' : `${Math.round(100 * chance)} %`}
            </span>
          </li>
        ))}
      </ul>
    </Fold>
  );
}

/** How quick this body is, pair by pair, beside the gym. */
export function Pace({ pace }: Pick<FighterProgress, 'pace'>) {
  if (!pace) return null;
  return (
    <Fold title="Own pace" aside={`from ${howMany(pace.combos, 'combo')}`}>
      <ul>
        {pace.pairs.map(({ pair, factor, gaps, atMost }) => (
          <li key={pair} className="flex justify-between gap-4 border-b border-rule py-1.5">
            <span>
              {PAIR_WORDS[pair as keyof typeof PAIR_WORDS] ?? pair}{' '}
              <span className="text-sm text-quiet">
                {howMany(gaps, 'gap')}
                {atMost && '; no line was fast enough to show more'}
              </span>
            </span>
            <span className="tabular whitespace-nowrap">
              {atMost && '≤ '}
              {factor.toFixed(2)}
            </span>
          </li>
        ))}
      </ul>
      <p className="pt-1 text-sm text-quiet">
        Times the book at sharp pace: 1.00 is sharp, 1.60 a beginner; the gym counts with {pace.gym}.
      </p>
    </Fold>
  );
}
