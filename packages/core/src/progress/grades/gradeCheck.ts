import type { Better } from '../trials/dayTrials.ts';

/** What a grade asks for. Each has an id of its own, by which a mark names it. */
export type Requirement =
  /** A combo, seen clean by the coach so often from each lead that is asked, at this tempo or faster. */
  | {
      readonly id: string;
      readonly kind: 'combo';
      readonly comboId: string;
      readonly bothLeads: boolean;
      readonly bpm: number | null;
      readonly times: number;
    }
  /** A test with at least this value, in so many trials that somebody else saw. */
  | {
      readonly id: string;
      readonly kind: 'test';
      readonly testId: string;
      readonly value: number;
      readonly bothLeads: boolean;
      readonly times: number;
    }
  /** Rounds finished, or classes come to, in the last so many weeks. */
  | {
      readonly id: string;
      readonly kind: 'rounds' | 'sessions';
      readonly count: number;
      readonly weeks: number;
    }
  /** A move, a stance, something to know or a way to behave, in the gym's own words; the coach marks it. */
  | { readonly id: string; readonly kind: 'shown'; readonly text: string }
  /** Weeks since the last grade. */
  | { readonly id: string; readonly kind: 'time'; readonly weeks: number };

export const REQUIREMENT_KINDS = ['combo', 'test', 'rounds', 'sessions', 'shown', 'time'] as const;

type Lead = 'left' | 'right';

/** What is known of a fighter, as far as grades ask for it. Days are written like 2026-03-05. */
export interface GradeFacts {
  /** Rounds with a combo that the coach marked clean. */
  readonly clean: readonly {
    readonly comboId: string;
    readonly lead: Lead;
    readonly bpm: number | null;
    readonly day: string;
  }[];
  /** Trials that were not only reported from home. */
  readonly trials: readonly {
    readonly testId: string;
    readonly lead: Lead;
    readonly value: number;
    readonly better: Better;
    readonly day: string;
  }[];
  /** Days of the rounds that were finished, and of the classes. */
  readonly rounds: readonly string[];
  readonly sessions: readonly string[];
  readonly shown: readonly { readonly requirementId: string; readonly day: string; readonly by: string }[];
  /** The day of the last grade; null where nobody wrote it down. */
  readonly gradedOn: string | null;
}

/** How requirements and values are reported. */
export interface GradeWords {
  combo(id: string): string;
  test(id: string): string;
  value(testId: string, value: number): string;
}

export interface GradeLine {
  readonly requirement: Requirement;
  /** What is asked, in words. */
  readonly asked: string;
  readonly isMet: boolean;
  /** What shows it, with its day; what there is of it, where it is not met. */
  readonly evidence: readonly { readonly text: string; readonly day: string | null }[];
  /** What is missing, in one sentence; empty where nothing is. */
  readonly missing: string;
}

const DAY = 86_400_000;
const WEEK = 7 * DAY;
const timesText = (times: number): string =>
  times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`;
const weeksText = (weeks: number): string => (weeks === 1 ? '1 week' : `${weeks} weeks`);

/**
 * The check list of a grade, filled from what is known of a fighter: each line with its evidence and what is missing. It signs nothing.
 *
 * @example
 * gradeCheck([{ id: 'a', kind: 'time', weeks: 4 }], noFacts, words, '2026-03-05')[0]?.isMet // false
 */
export function gradeCheck(
  requirements: readonly Requirement[],
  facts: GradeFacts,
  words: GradeWords,
  today: string,
): GradeLine[] {
  return requirements.map((requirement) => ({ requirement, ...checked(requirement, facts, words, today) }));
}

type Checked = Omit<GradeLine, 'requirement'>;

function checked(asked: Requirement, facts: GradeFacts, words: GradeWords, today: string): Checked {
  switch (asked.kind) {
    case 'combo':
      return comboLine(asked, facts, words);
    case 'test':
      return testLine(asked, facts, words);
    case 'rounds':
    case 'sessions':
      return countLine(asked, facts, today);
    case 'shown':
      return shownLine(asked, facts);
    case 'time':
      return timeLine(asked, facts, today);
    default:
      return asked satisfies never;
  }
}

/** Both leads each so often, or any lead so often: what of it is there, and which leads are missing how often. */
function byLeads<T extends { readonly lead: Lead; readonly day: string }>(
  found: readonly T[],
  { bothLeads, times }: { readonly bothLeads: boolean; readonly times: number },
  describe: (one: T) => string,
): Pick<Checked, 'isMet' | 'evidence' | 'missing'> {
  const parts = bothLeads
    ? (['left', 'right'] as const).map((lead) => ({ lead, own: found.filter((one) => one.lead === lead) }))
    : [{ lead: null, own: found }];
  const lacking = parts.filter(({ own }) => own.length < times);
  const evidence = parts.flatMap(({ own }) =>
    own.slice(0, times).map((one) => ({ text: describe(one), day: one.day })),
  );
  const missing = lacking
    .map(
      ({ lead, own }) =>
        `${timesText(times - own.length)}${own.length > 0 ? ' more' : ''}${lead ? ` from the ${lead} lead` : ''}`,
    )
    .join(', ');
  return {
    isMet: lacking.length === 0,
    evidence,
    missing: missing === '' ? '' : `Still to be seen: ${missing}.`,
  };
}

function comboLine(
  asked: Requirement & { kind: 'combo' },
  { clean }: GradeFacts,
  words: GradeWords,
): Checked {
  const { comboId, bpm, bothLeads, times } = asked;
  const found = clean.filter((one) => one.comboId === comboId && (bpm === null || (one.bpm ?? 0) >= bpm));
  const tempo = bpm === null ? '' : ` at ${bpm} a minute or faster`;
  const text = `${words.combo(comboId)} clean ${timesText(times)}${bothLeads ? ' from each lead' : ''}${tempo}`;
  const describe = (one: (typeof found)[number]): string =>
    `clean, ${one.lead} lead${one.bpm === null ? '' : `, ${one.bpm} a minute`}`;
  return { asked: text, ...byLeads(found, asked, describe) };
}

function testLine(asked: Requirement & { kind: 'test' }, { trials }: GradeFacts, words: GradeWords): Checked {
  const { testId, value, bothLeads, times } = asked;
  const own = trials.filter((trial) => trial.testId === testId);
  const isThere = (trial: (typeof own)[number]): boolean =>
    trial.better === 'higher' ? trial.value >= value : trial.value <= value;
  const text = `${words.test(testId)}: ${words.value(testId, value)} or better, ${timesText(times)}${bothLeads ? ' from each lead' : ''}`;
  const describe = (trial: (typeof own)[number]): string =>
    `${words.value(testId, trial.value)}, ${trial.lead} lead`;
  const line = byLeads(own.filter(isThere), asked, describe);
  if (line.isMet || own.length === 0) return { asked: text, ...line };
  const best = own.reduce((a, b) => (b.value > a.value === (b.better === 'higher') ? b : a));
  return {
    asked: text,
    ...line,
    missing: `${line.missing} The best so far is ${words.value(testId, best.value)}.`,
  };
}

function countLine(
  { kind, count, weeks }: Requirement & { kind: 'rounds' | 'sessions' },
  facts: GradeFacts,
  today: string,
): Checked {
  const since = Date.parse(today) - weeks * WEEK;
  const own = facts[kind].filter((day) => Date.parse(day) > since && day <= today).toSorted();
  const what = kind === 'rounds' ? 'rounds finished' : 'classes';
  const evidence =
    own.length === 0 ? [] : [{ text: `${own.length} ${what} since ${own[0]}`, day: own.at(-1)! }];
  const lacking = count - own.length;
  return {
    asked: `${count} ${what} in ${weeksText(weeks)}`,
    isMet: lacking <= 0,
    evidence,
    missing:
      lacking <= 0
        ? ''
        : `${lacking} more ${kind === 'rounds' ? (lacking === 1 ? 'round' : 'rounds') : lacking === 1 ? 'class' : 'classes'}.`,
  };
}

function shownLine({ id, text }: Requirement & { kind: 'shown' }, { shown }: GradeFacts): Checked {
  const own = shown.filter(({ requirementId }) => requirementId === id);
  const evidence = own.map(({ by, day }) => ({ text: by === '' ? 'seen' : `seen by ${by}`, day }));
  return { asked: text, isMet: own.length > 0, evidence, missing: own.length > 0 ? '' : 'Not marked yet.' };
}

function timeLine(
  { weeks }: Requirement & { kind: 'time' },
  { gradedOn }: GradeFacts,
  today: string,
): Checked {
  const asked = `${weeksText(weeks)} since the last grade`;
  if (gradedOn === null)
    return { asked, isMet: false, evidence: [], missing: 'Nobody wrote down when the last grade was.' };
  const passed = Math.floor((Date.parse(today) - Date.parse(gradedOn)) / WEEK);
  const evidence = [{ text: `last grade, ${weeksText(Math.max(0, passed))} ago`, day: gradedOn }];
  const lacking = weeks - passed;
  return { asked, isMet: lacking <= 0, evidence, missing: lacking <= 0 ? '' : `${weeksText(lacking)} more.` };
}
