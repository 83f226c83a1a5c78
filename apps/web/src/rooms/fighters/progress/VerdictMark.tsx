import type { Verdict } from '@eurhythm/core/progress';
import { VERDICT_MARKS } from '../pictures/courseText.ts';

/** A verdict as one sign, which says it without a colour. */
export function VerdictMark({ verdict }: { verdict: Verdict }) {
  const { sign, text } = VERDICT_MARKS[verdict];
  return (
    <span
      role="img"
      aria-label={text}
      title={text}
      className={`inline-block w-5 text-center font-bold ${verdict === 'too little data' ? 'text-quiet' : ''}`}
    >
      {sign}
    </span>
  );
}
