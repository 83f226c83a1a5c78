import { sureOnsets, type LineFit } from '@eurhythm/core/strikes';
import { countedUnit, unusualText, valueText, type ValueText } from '@eurhythm/core/progress';
import { evaluateTrial, summariseBurst, type HeardTrial } from '@eurhythm/core/speed';
import { howMany, thousandths } from '@eurhythm/core/units';
import type { CourseView, SaveAttemptDto } from '@eurhythm/contract';
import { heardTrial, type KeptInput } from '../../../strikeInputs/heardTrial.ts';
import type { FileOnset, HeardFile } from './readSound.ts';

/** Who did it, and from which lead. */
export interface TrialOf {
  readonly fighterId: string;
  readonly lead: 'left' | 'right';
  readonly at: string;
}

/** Before the first strike of a burst so much is left: a bell would have rung there. */
const BEFORE_FIRST = 0.12;
/** What a test says whose length does not matter. */
const TEST_SECONDS = 10;

const inputOf = ({ name, detector }: HeardFile): KeptInput => ({
  source: 'file',
  device: name,
  detector,
  leastStrength: null,
});

/** The trial of a combo that was found in a file: all its times through. */
export function comboInFile(
  file: HeardFile,
  onsets: readonly FileOnset[],
  fit: LineFit,
  { title, line }: { readonly title: string; readonly line: string },
  of: TrialOf,
): SaveAttemptDto {
  const due = fit.times.flatMap((time) => time.due);
  const starts = fit.times.map((_, i) =>
    fit.times.slice(0, i).reduce((sum, time) => sum + time.due.length, 0),
  );
  const sure = sureOnsets(onsets);
  // What is kept is what belongs to it, so that an hour with one combo in it is no hour.
  const near = sure.filter(({ at }) => due.some((each) => Math.abs(each - at) < 0.5));
  return {
    ...of,
    kind: 'combo-time',
    title,
    line,
    seconds: TEST_SECONDS,
    instants: near.map(({ at }) => at),
    measured: 'file',
    heard: heardTrial(inputOf(file), near, { due, starts }),
  } as SaveAttemptDto;
}

/** The trial of a burst in a file: so many seconds from its first strike at or after `from`. */
export function burstInFile(
  file: HeardFile,
  onsets: readonly FileOnset[],
  { title, seconds, from }: { readonly title: string; readonly seconds: number; readonly from: number },
  of: TrialOf,
): SaveAttemptDto | null {
  const first = onsets.find(({ at, doubtful }) => at >= from && doubtful !== true);
  if (!first) return null;
  const zero = first.at - BEFORE_FIRST;
  const inTime = onsets
    .filter(({ at }) => at >= zero && at <= zero + seconds)
    .map((onset) => ({ ...onset, at: thousandths(onset.at - zero) }));
  return {
    ...of,
    kind: 'burst',
    title,
    seconds,
    instants: sureOnsets(inTime).map(({ at }) => at),
    measured: 'file',
    heard: heardTrial(inputOf(file), inTime, { due: null }),
  } as SaveAttemptDto;
}

/** How many, how fast and how evenly: “41 strikes, 4.1 a second; the gaps differ by 12 % of their mean”. */
export function burstText({ instants, seconds = TEST_SECONDS }: SaveAttemptDto): string {
  const { count, perSecond, unevenness } = summariseBurst(instants, seconds);
  const even =
    unevenness === null ? '' : `; the gaps differ by ${Math.round(100 * unevenness)} % of their mean`;
  return `${howMany(count, 'strike')} in ${seconds} s, ${perSecond.toFixed(1)} a second${even}.`;
}

/** What is to be asked about a trial before it is kept, beside what this person usually does in the same test; empty for nothing. */
export function askedAbout(attempt: SaveAttemptDto, courses: readonly CourseView[]): string {
  const { kind = 'burst', lead, title, seconds = TEST_SECONDS, heard } = attempt;
  const course = courses.find((each) => each.title === title && each.kind === kind && each.lead === lead);
  if (!course || !heard) return '';
  const { instants, value } = evaluateTrial({ kind, seconds }, heard as HeardTrial);
  const textOf: ValueText = (each) => valueText(kind, course.unit)(each) + countedUnit(course);
  const done = kind === 'burst' ? instants.length : value;
  return done === null ? '' : unusualText(done, course.usual, textOf);
}
