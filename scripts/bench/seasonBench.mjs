/** Thirty made-up fighters over twelve weeks to a grading: by this planner, by one session repeated, and at random, for as many minutes. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { row } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const { draft, planSeason } = await core('plan');
const { limitOn, practise, weekStrain } = await core('simulation');
const { starterBook } = await core('moves');
const { normalDraw, seededRandom } = await core('units');
const { PACE_FACTORS } = await core('body');

const WEEKS = 12;
const CLASS_DAYS = [1, 4];
const MINUTES = 60;
const SEEDS = [1, 2, 3, 4, 5];
/** Beats of one time through. */
const BEATS = 6;
/** The coach sees so many sets wrong. */
const MISJUDGED = 0.08;
const book = starterBook();
const GRADES = ['One', 'Two', 'Three'].map((name, i) => ({ id: `g${i}`, name, band: 'adults' }));
const LINES = [
  '1 2',
  '1 1 2',
  '2 3 2',
  '1 2 3',
  '1 r:round@b',
  '1 2 f:push',
  '2 3 r:knee',
  '1@b 2@b 3',
  '1 slip 2',
  '1 2 r:round@b',
  '2 3 2 f:snap@b',
  '1 2 sw 1 2',
  'f:push 2 3',
  '1 1 2 r:round@l',
  '3 2 3',
  '1 duck 2 3',
  '1-1 2',
  '1-2 3 2',
  '1 2 3 r:round@b',
  '2@b 3 r:knee',
  '1 f:round@l 2',
  '1 weave 3 2',
  '1 2 f:side',
  '1-2 sw f:round@l 2',
];
const combos = LINES.map((line, i) => ({
  ...{
    id: `c${i}`,
    gradeId: `g${Math.floor(i / 8)}`,
    grade: GRADES[Math.floor(i / 8)].name,
    number: (i % 8) + 1,
  },
  ...{ title: `Line ${i}`, line, bpm: 70 + 2 * (i % 6), beatsPerBar: 4, focus: [] },
}));
/** The grading asks for half of each grade's combos, as fast as they are written. */
const isAsked = ({ number }) => number <= 4;
const ASKED_TEMPO = 1;
const techniques = Object.fromEntries(
  GRADES.map(({ id }) => [
    id,
    ['jab', 'r:round', 'f:push'].map((move) => ({
      move,
      comboId: null,
      reps: 10,
      sides: 'both',
      sets: 2,
      restSeconds: 20,
    })),
  ]),
);
const gymOf = (people) => ({
  ...{ book, retired: [], grades: GRADES, youth: [], combos, techniques, asked: {}, library: [], people },
  ...{ words: 'numbers', floorSteps: null, kit: ['pads'], factor: PACE_FACTORS.club },
});

/** Thirty who differ in how they learn, forget and tire; some are often away, one is injured for three weeks. */
function peopleOf(seed) {
  const random = seededRandom(1000 + seed);
  const about = (mean, spread) => Math.max(0.2 * mean, mean + spread * normalDraw(random));
  return Array.from({ length: 30 }, (_, i) => ({
    id: `p${i}`,
    name: `P${i}`,
    gradeId: `g${i % 3}`,
    fit: true,
    pace: PACE_FACTORS.club,
    profile: {
      rate: about(0.11, 0.03),
      ceiling: about(1.35, 0.08),
      forgets: about(1, 0.25),
      tires: about(0.07, 0.02),
    },
    attends: Math.min(0.98, about(0.8, 0.12)),
    start: about(0.78, 0.07),
    injured: i === 7 ? [28, 49] : null,
  }));
}

/** What everybody of a class does of its combos: which, how fast, how often. */
function practiceOf(rounds, groupName) {
  return rounds.flatMap(({ blocks }) =>
    blocks
      .filter(({ kind, id }) => kind === 'combo' && !/\.t\d+$/.test(id))
      .flatMap(({ combos: base, lanes = [], bpm, seconds, tempo }) => {
        const own = lanes.find(({ group }) => group === groupName)?.combos ?? base;
        const isBuiltUp = tempo?.kind === 'build-up';
        const pieces = isBuiltUp ? [0.6 * bpm, bpm, tempo.fast] : [bpm];
        return own.map(({ comboId }) => ({
          comboId,
          pieces: pieces.map((at) => ({
            bpm: at,
            times: (seconds * at) / 60 / BEATS / own.length / pieces.length,
          })),
        }));
      }),
  );
}
const loadOf = (rounds) =>
  rounds.reduce(
    (sum, { blocks, effort }) => sum + (effort * blocks.reduce((all, { seconds }) => all + seconds, 0)) / 60,
    0,
  );

const dayText = (day) =>
  new Date(Date.parse('2026-01-05T12:00:00Z') + day * 86_400_000).toISOString().slice(0, 10);

/** One season by a way of choosing the class; what came of it. */
function run(seed, classFor) {
  const people = peopleOf(seed);
  const gym = gymOf(people);
  const random = seededRandom(seed);
  const state = new Map();
  const sets = new Map();
  const lastDay = new Map();
  const recent = [];
  const loads = [];
  const stateOf = (person, combo) =>
    state.get(`${person.id} ${combo.id}`) ?? { limit: person.start * combo.bpm, days: 0, last: 0 };
  const log = (today) => ({
    setsOf: (person, combo) => sets.get(`${person} ${combo}`) ?? [],
    daysAgo: (combo) => (lastDay.has(combo) ? today - lastDay.get(combo) : null),
    lastDay: (combo) => (lastDay.has(combo) ? dayText(lastDay.get(combo)) : null),
    dueWith: () => [],
    recent: recent.slice(0, 3),
  });
  for (let week = 0; week < WEEKS; week++)
    for (const weekday of CLASS_DAYS) {
      const day = 7 * week + weekday;
      const rounds = classFor({ gym, log: log(day), day, week, random });
      loads[day] = loadOf(rounds);
      const acute = loads.slice(Math.max(0, day - 6), day).reduce((sum, load) => sum + (load ?? 0), 0);
      const tired = Math.min(1, acute / 700);
      const used = new Set();
      for (const person of people) {
        const isInjured = person.injured && day >= person.injured[0] && day < person.injured[1];
        if (isInjured || random() > person.attends) continue;
        const group = GRADES.find(({ id }) => id === person.gradeId).name;
        for (const { comboId, pieces } of practiceOf(rounds, group)) {
          const combo = combos.find(({ id }) => id === comboId);
          if (!combo) continue;
          used.add(comboId);
          const key = `${person.id} ${comboId}`;
          let quality = 'clean';
          for (const { bpm, times } of pieces) {
            const done = practise(stateOf(person, combo), person.profile, {
              written: combo.bpm,
              bpm,
              times,
              day,
              tired,
            });
            state.set(key, done.combo);
            quality = done.quality;
          }
          // One mark for the round, about the tempo that it ended with.
          const seen = random() < MISJUDGED ? ['clean', 'loose', 'wild'][Math.floor(3 * random())] : quality;
          sets.set(
            key,
            [...(sets.get(key) ?? []), { bpm: Math.round(pieces.at(-1).bpm), quality: seen }].slice(-30),
          );
        }
      }
      for (const id of used) lastDay.set(id, day);
      recent.unshift([...used]);
    }
  const last = 7 * WEEKS;
  const own = (person) => combos.filter(({ gradeId }) => gradeId === person.gradeId);
  const isClean = (person, combo, share) =>
    limitOn(stateOf(person, combo), person.profile, combo.bpm, last, 0) >= share * combo.bpm;
  const clean = people.reduce(
    (sum, person) => sum + own(person).filter((combo) => isClean(person, combo, 1)).length,
    0,
  );
  const asked = people.map(
    (person) =>
      own(person)
        .filter(isAsked)
        .filter((combo) => isClean(person, combo, ASKED_TEMPO)).length,
  );
  const weeks = Array.from({ length: WEEKS }, (_, week) =>
    weekStrain(Array.from({ length: 7 }, (__, i) => loads[7 * week + i] ?? 0)),
  );
  return {
    clean: clean / people.length,
    passed: asked.filter((met) => met === 4).length,
    strain: weeks.reduce((sum, of) => sum + of, 0) / WEEKS,
  };
}

const wish = { minutes: MINUTES, grades: GRADES.map(({ id }) => id) };
const drafted = (gym, log, seed, more = {}) => {
  const answer = draft({ ...wish, ...more }, gym, log, seed);
  if (!answer.ok) throw new Error(answer.message);
  return answer.draft.rounds;
};
const byThePlanner = ({ gym, log, day, week }) => {
  const season = planSeason(
    {
      from: dayText(0),
      until: dayText(7 * WEEKS - 1),
      isGrading: true,
      classes: CLASS_DAYS.length,
      minutes: MINUTES,
      edits: {},
    },
    combos.map((combo) => ({ ...combo, name: combo.title, isAsked: isAsked(combo) })),
    log,
    gym.people.map(({ id }) => id),
    dayText(day),
  );
  const { introduced, repeated, load, contact } = season[week];
  const include = [...introduced, ...repeated].filter(
    (_, i) => i % 2 === CLASS_DAYS.indexOf(day % 7) || i < 6,
  );
  return drafted(gym, log, day, { include, load, contact });
};
const onceDrafted = new Map();
const repeated =
  (seed) =>
  ({ gym, log }) => {
    if (!onceDrafted.has(seed)) onceDrafted.set(seed, drafted(gym, log, seed));
    return onceDrafted.get(seed);
  };
/** As many minutes of the same kinds of round, with combos and tempos as they fall. */
const atRandom = (seed) => (of) => {
  const any = (gradeId) => combos.filter((combo) => combo.gradeId === gradeId)[Math.floor(8 * of.random())];
  return repeated(seed)(of).map((round) => ({
    ...round,
    blocks: round.blocks.map((block) => {
      if (block.kind !== 'combo') return block;
      const tempo = 70 * (0.8 + 0.5 * of.random());
      const pick = (gradeId, list) => list.map(() => ({ comboId: any(gradeId).id }));
      return {
        ...block,
        ...{ bpm: tempo, tempo: undefined, combos: pick('g0', block.combos) },
        lanes: (block.lanes ?? []).map((lane) => ({
          ...lane,
          combos: pick(GRADES.find(({ name }) => name === lane.group).id, lane.combos),
        })),
      };
    }),
  }));
};

const WAYS = [
  ['this planner', () => byThePlanner],
  ['one session repeated', (seed) => repeated(seed)],
  ['at random', (seed) => atRandom(seed)],
];
for (const [name, wayFor] of WAYS) {
  const results = SEEDS.map((seed) => run(seed, wayFor(seed)));
  const list = (of, digits) => results.map((result) => of(result).toFixed(digits)).join(', ');
  const mean = (of) => results.reduce((sum, result) => sum + of(result), 0) / results.length;
  row(
    `${name}: combos clean of 8`,
    mean(({ clean }) => clean).toFixed(2),
    list(({ clean }) => clean, 2),
  );
  row(
    `${name}: tests passed of 30`,
    mean(({ passed }) => passed).toFixed(1),
    list(({ passed }) => passed, 0),
  );
  row(
    `${name}: strain of a week`,
    mean(({ strain }) => strain).toFixed(0),
    list(({ strain }) => strain, 0),
  );
}
