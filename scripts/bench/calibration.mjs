/** How often a change is told where there is none, and found where there is one: at each place where the log tells of changes. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { row } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const { course, evenCourses, reportParts, standTogether, tally, worthwhileOf } = await core('progress');
const { classDays, virtualTrials } = await core('simulation');
const { seededRandom } = await core('units');

const FIGHTERS = 600;
const TODAY = '2026-03-29';
/** Twelve weeks of two classes a week, of which some are missed: five days of the last four weeks, nine of the eight before. */
const ALL_DAYS = classDays('2026-01-06', 24, 3.5);
const percent = (share) => `${(100 * share).toFixed(1)} %`;

/** A test as the log has it: level, typical error of a trial, how far days differ, which end is better. */
const KINDS = [
  {
    name: 'counts',
    level: 24,
    error: 1.2,
    isCount: true,
    better: 'higher',
    test: { kind: 'burst', seconds: 10 },
  },
  {
    name: 'times',
    level: 2,
    error: 0.06,
    isCount: false,
    better: 'lower',
    test: { kind: 'combo-time', seconds: 10 },
  },
];
const DAYS = [
  { name: 'days alike', share: 0, each: 0.6 },
  { name: 'days differ', share: 1, each: 0.6 },
  { name: 'days differ, few days', share: 1, each: 0.3 },
];

/** What a gym of fighters like these knows: its typical error and how far its days differ. */
const gymOf = ({ error }, dayError) => ({
  errorOf: () => ({ error, degreesOfFreedom: 300 }),
  spreadOf: () => ({ variance: dayError ** 2, degreesOfFreedom: 200 }),
});

/** Twelve weeks of one fighter in one test; `gain` is what the last four weeks have more, as a share. */
function trialsOf(kind, { share, each }, gain, random, perDay = 3) {
  const days = ALL_DAYS.filter(() => random() < each);
  const now = Date.parse(TODAY) - 28 * 86_400_000;
  const of = (some, factor) =>
    virtualTrials(
      { ...kind, level: kind.level * factor, perFourWeeks: 0, dayError: share * kind.error },
      some,
      perDay,
      random,
    );
  const [before, after] = [
    days.filter((day) => Date.parse(day) <= now),
    days.filter((day) => Date.parse(day) > now),
  ];
  const way = kind.better === 'higher' ? 1 + gain : 1 - gain;
  return [...of(before, 1), ...of(after, way)].flatMap(({ day, values }) =>
    values.map((value) => ({ day, value, measured: 'taps' })),
  );
}

const courseIn = (kind, days, gain, random, perDay) =>
  course(trialsOf(kind, days, gain, random, perDay), {
    ...{ better: kind.better, today: TODAY, worthwhile: worthwhileOf(kind.test, null) },
    ...gymOf(kind, days.share * kind.error),
  });
const isChange = (compared) => compared?.verdict === 'faster' || compared?.verdict === 'slower';

/** One false change in so many where there is none; and of true ones of 8 %, how many are found. */
export function calibrate() {
  for (const kind of KINDS)
    for (const days of DAYS) {
      const random = seededRandom(31);
      const counts = { month: 0, last: 0, leads: 0, trend: 0 };
      for (let i = 0; i < FIGHTERS; i++) {
        const [left, right] = [0, 1].map(() => courseIn(kind, days, 0, random, 2));
        counts.month += isChange(left?.month);
        counts.last += isChange(left?.last);
        counts.trend += ['better', 'worse'].includes(left?.trend?.way);
        counts.leads += (evenCourses(left, right, kind.better)?.behind ?? null) !== null;
      }
      const shown = `${kind.name}, ${days.name}; ${FIGHTERS} fighters without a change; at most 5 %`;
      row('page and class: the last month', `${percent(counts.month / FIGHTERS)} false`, shown);
      row('page: the last two days', `${percent(counts.last / FIGHTERS)} false`, shown);
      row('page: the trend', `${percent(counts.trend / FIGHTERS)} false`, shown);
      row('page: leads that are even', `${percent(counts.leads / FIGHTERS)} false`, shown);
    }
  for (const days of DAYS) lists(days);
  for (const kind of KINDS) for (const share of [0, 0.5, 1]) power(kind, share);
}

/** The lists that look at many tests at once: Today of a class of fourteen, and a report of six courses. */
function lists(days) {
  const random = seededRandom(33);
  const LISTS = 200;
  const falseLists = { today: 0, report: 0 };
  for (let i = 0; i < LISTS; i++) {
    const all = Array.from({ length: 14 * 6 }, (_, k) => courseIn(KINDS[k % 2], days, 0, random, 2)).filter(
      Boolean,
    );
    const stand = standTogether(all, ({ month }) => month?.chance ?? null);
    falseLists.today += all.some((each) => stand.has(each) && isChange(each.month));
    const courses = all.slice(0, 6).map((each, k) => ({
      ...{ title: `Test ${k}`, lead: 'left', ...KINDS[k % 2].test, unit: null, sides: null },
      ...each,
    }));
    const facts = {
      trained: tally([]),
      combos: [],
      grade: null,
      behind: [],
      up: [],
      due: [],
      goals: [],
      courses,
    };
    const [changed] = reportParts(facts).find(({ title }) => title === 'What changed for sure').sentences;
    falseLists.report += !/^Nothing yet/.test(changed);
  }
  const shown = `${days.name}; ${LISTS} lists without a change; at most 5 %`;
  row('Today: the list of fourteen people', `${percent(falseLists.today / LISTS)} false`, shown);
  row('report: the list of one person', `${percent(falseLists.report / LISTS)} false`, shown);
}

/** Five days of three trials on each side, and a true change of 8 %. */
function power(kind, share) {
  const random = seededRandom(35);
  const days = { share, each: 1 };
  const five = [...classDays('2026-01-20', 5, 7), ...classDays('2026-03-03', 5, 5)];
  let found = 0;
  for (let i = 0; i < FIGHTERS; i++) {
    const way = kind.better === 'higher' ? 1.08 : 0.92;
    const of = (some, factor) =>
      virtualTrials(
        { ...kind, level: kind.level * factor, perFourWeeks: 0, dayError: share * kind.error },
        some,
        3,
        random,
      );
    const trials = [...of(five.slice(0, 5), 1), ...of(five.slice(5), way)].flatMap(({ day, values }) =>
      values.map((value) => ({ day, value, measured: 'taps' })),
    );
    const wish = { better: kind.better, today: TODAY, worthwhile: worthwhileOf(kind.test, null) };
    const { month } = course(trials, { ...wish, ...gymOf(kind, days.share * kind.error) });
    found += month?.verdict === 'faster';
  }
  row(
    'a true change of 8 %, five days of three trials',
    `${percent(found / FIGHTERS)} found`,
    `${kind.name}, days differ by ${share} typical errors; at least 85 %`,
  );
}
