/** What a row of a trial holds, what came of it before, and how it is shown. */
import { evaluateTrial, resultFault, type EarlierCount } from '@eurhythm/core/speed';
import type { AttemptView, SaveAttemptDto, SaveTestDto, TestView } from '@eurhythm/contract';
import { refuseField } from '../http/refuse.ts';
import type { attempts } from '../store/schema.ts';

type AttemptRow = typeof attempts.$inferSelect;

/** What a trial came to beside its count: nothing of a burst, what was read off, or how long it took. @throws 422 at the result */
export function valueOf(test: TestView, attempt: SaveAttemptDto): number | null {
  if (test.kind === 'burst') return null;
  if (test.kind !== 'measure') return attempt.time ?? timeOf(test, attempt);
  const { title, unit } = test;
  const value = attempt.result ?? NaN;
  const fault = resultFault(value, { title, unit: unit ?? '' });
  if (fault !== null) throw refuseField('result', fault);
  return value;
}

/** How long what was heard took; null where that cannot be reported. */
function timeOf(test: TestView, { heard }: SaveAttemptDto): number | null {
  return heard ? evaluateTrial(test, heard).value : null;
}

type TrialCounts = Pick<AttemptRow, 'count' | 'value' | 'measured'> & Partial<Pick<AttemptRow, 'heard'>>;

/** What a trial said before it says something else. */
export function earlierCounts(before: AttemptRow | undefined, now: TrialCounts): EarlierCount[] {
  if (!before) return [];
  const { count, value, measured, at, history } = before;
  if (count === now.count && value === now.value && measured === now.measured) return history;
  const detector = now.heard && now.heard.detector !== before.heard?.detector ? before.heard?.detector : null;
  return [
    ...history,
    {
      count,
      ...(value === null ? {} : { value }),
      measured,
      at: at.toISOString(),
      ...(detector ? { detector } : {}),
    },
  ];
}

export function saveable(test: SaveTestDto) {
  const { title, kind, line, seconds, direction, unit = null, sides = null, worthwhile = null } = test;
  return { title, kind, line, seconds, direction, unit, sides, worthwhile };
}

export function attemptView(row: AttemptRow, test: TestView, recorded: number | null): AttemptView {
  const { title, seconds, kind, unit = null, sides = null } = test;
  const perSecond = row.count / seconds;
  const first = row.history[0]?.count ?? null;
  const value = kind === 'burst' ? row.count : row.value;
  return {
    ...row,
    title,
    seconds,
    kind,
    unit,
    sides,
    value,
    recorded,
    at: row.at.toISOString(),
    first,
    perSecond,
  };
}
