import { Link } from 'react-router';
import { PAIR_WORDS } from '@eurhythm/core/body';
import type { FighterProgress } from '@eurhythm/contract';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';

/** The next tempo of each combo that was trained lately. */
export function Tempos({ tempos }: Pick<FighterProgress, 'tempos'>) {
  return (
    <Part title="Next tempo" aside="from the marks of the last twelve weeks">
      {tempos.length === 0 && <Plain>No combo was marked clean, loose or wild yet.</Plain>}
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
              {bpm > last ? '▲' : bpm < last ? '▼' : '='} {bpm}
            </strong>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** What is still remembered, what is due first. */
export function Memory({ memory }: Pick<FighterProgress, 'memory'>) {
  return (
    <Part title="Remembers" aside="asked at the end of classes">
      {memory.length === 0 && <Plain>No combo was asked yet. Ask at the end of a class.</Plain>}
      <ul>
        {memory.map(({ comboId, combo, chance, isDue, isSlipping, times }) => (
          <li key={comboId} className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5">
            <span>
              {combo}{' '}
              <span className="text-sm text-quiet">
                asked {times === 1 ? 'once' : `${times} times`}
                {isDue && ', due now'}
                {isSlipping && ', slipping'}
              </span>
            </span>
            <span className="tabular">{Math.round(100 * chance)} %</span>
          </li>
        ))}
      </ul>
    </Part>
  );
}

/** How quick this body is, pair by pair, beside the gym. */
export function Pace({ pace }: Pick<FighterProgress, 'pace'>) {
  if (!pace) return null;
  return (
    <Part title="Own pace" aside={`${pace.combos} combos heard; the gym counts with ${pace.gym}`}>
      <ul>
        {pace.pairs.map(({ pair, factor, gaps, atMost }) => (
          <li key={pair} className="flex justify-between gap-4 border-b border-rule py-1.5">
            <span>
              {PAIR_WORDS[pair as keyof typeof PAIR_WORDS] ?? pair}{' '}
              <span className="text-sm text-quiet">
                {gaps} gaps{atMost && '; no line was fast enough to show more'}
              </span>
            </span>
            <span className="tabular whitespace-nowrap">
              {atMost && '≤ '}
              {factor.toFixed(2)}
            </span>
          </li>
        ))}
      </ul>
      <p className="pt-1 text-sm text-quiet">Times the book at sharp pace: 1.00 is sharp, 1.60 a beginner.</p>
    </Part>
  );
}
