import { Link } from 'react-router';
import { PAIR_WORDS } from '@eurhythm/core/body';
import type { FighterProgress } from '@eurhythm/contract';
import { Part, Plain } from '../../../ui/Panel.tsx';

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

/** Both leads side by side, and how a burst fades. */
export function Leads({ leads, fading }: Pick<FighterProgress, 'leads' | 'fading'>) {
  return (
    <Part title="Two leads" aside="right less left, in percent">
      {leads.length === 0 && <Plain>Nothing was tried from both leads in the same way yet.</Plain>}
      <ul>
        {leads.map((each) => (
          <li key={each.testId} className="border-b border-rule py-2">
            <p className="flex justify-between gap-4">
              <span className="font-semibold">{each.title}</span>
              <EvenBar {...each} />
            </p>
            <p className="text-sm">{each.sentence}</p>
          </li>
        ))}
      </ul>
      {fading.map(({ testId, title, percent, bursts }) => (
        <p key={testId} className="border-b border-rule py-1.5 text-sm">
          {title}: the last third is {Math.abs(percent).toFixed(0)} % {percent >= 0 ? 'slower' : 'faster'}{' '}
          than the first, over {bursts} bursts.
        </p>
      ))}
    </Part>
  );
}

/** What is drawn of a difference, in percent to either side. */
const REACH = 40;

/** From even in the middle: the interval as a bar, the difference as a line in it. */
function EvenBar({ percent, from, to }: { percent: number; from: number; to: number }) {
  const x = (value: number): number => 50 + (50 * Math.max(-REACH, Math.min(REACH, value))) / REACH;
  return (
    <svg
      viewBox="0 0 100 14"
      className="h-4 w-40"
      role="img"
      aria-label={`${percent.toFixed(0)} percent, between ${from.toFixed(0)} and ${to.toFixed(0)}`}
    >
      <line x1="0" x2="100" y1="7" y2="7" className="stroke-rule" />
      <line x1="50" x2="50" y1="0" y2="14" className="stroke-quiet" strokeDasharray="2 2" />
      <rect x={x(from)} width={Math.max(1, x(to) - x(from))} y="4" height="6" className="fill-quiet/50" />
      <line x1={x(percent)} x2={x(percent)} y1="1" y2="13" className="stroke-ink" strokeWidth="2" />
    </svg>
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
