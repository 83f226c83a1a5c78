import { answerOf } from '@eurhythm/core/progress';
import type { FighterProgress } from '@eurhythm/contract';
import { useDates } from '../../../ui/fields/dates.ts';

/** What a page about a fighter is opened for, before any number: what changed, which lead is behind, what comes next. */
export function AnswerText({ progress }: { progress: FighterProgress }) {
  const { inSentence } = useDates();
  const { changed, leads, next } = answerOf(progress);
  const rows = [
    ['What changed', changed],
    ['Which lead', leads],
    ['What next', next],
  ] as const;
  return (
    <dl className="mb-8 grid gap-x-6 gap-y-2 text-lg sm:grid-cols-[auto_minmax(0,1fr)]">
      {rows.map(([question, answer]) => (
        <div key={question} className="contents">
          <dt className="pt-0.5 font-heading text-base font-bold text-quiet">{question}</dt>
          <dd>{inSentence(answer)}</dd>
        </div>
      ))}
    </dl>
  );
}
