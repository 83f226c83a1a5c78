import type { GymFile } from '@eurhythm/contract';
import { comboName } from '@eurhythm/core/plan';
import { groupBy } from '@eurhythm/core/units';
import { dayOf } from '../../progress/days.ts';
import { trainedIn } from '../../runs/trained.ts';
import type { WholeGymFile } from '../gymFile/readGym.ts';
import { BETWEEN, WRITTEN, idOf, readLines, type CsvTable } from './csvTable.ts';
import { readNumber, readTime } from './tableTimes.ts';

/** How everybody did each round. */
export const results: CsvTable = {
  columns: [
    { name: 'id', about: 'made here; leave it empty for a new mark' },
    { name: 'run', about: 'id of the session that was held' },
    { name: 'session', about: 'its title, for reading only', isForReading: true },
    { name: 'day', about: 'on which it was held, for reading only', isForReading: true },
    { name: 'round', about: 'which round of it, from 1 on' },
    { name: 'round_title', about: 'its title, for reading only', isForReading: true },
    { name: 'combos', about: 'that the fighter’s group did in it, for reading only', isForReading: true },
    { name: 'bpm', about: 'tempo of the round in beats a minute, for reading only', isForReading: true },
    { name: 'fighter', about: 'id of the fighter' },
    { name: 'fighter_name', about: 'for reading only', isForReading: true },
    { name: 'done', about: 'finished, part or sat-out' },
    { name: 'quality', about: 'clean, loose or wild; may be empty' },
    { name: 'seconds', about: 'of a part: after how many seconds of work; may be empty' },
    { name: 'lead', about: 'left or right, where it was another than planned; may be empty' },
    { name: 'combo', about: 'id of the combo that the quality is about; empty for all of the round' },
    { name: 'at', about: `when it was marked, ${WRITTEN}` },
  ],
  lines: (gym) => {
    const runs = new Map(gym.runs.map((run) => [run.id, run]));
    const names = new Map(gym.fighters.map(({ id, name }) => [id, name]));
    const trained = trainedOf(gym);
    return gym.results
      .filter(({ done }) => done !== null)
      .map(({ id, runId, round, fighterId, done, quality, seconds, lead, comboId, at }) => ({
        id,
        run: runId,
        session: runs.get(runId)?.title ?? '',
        day: runs.has(runId) ? dayOf(new Date(runs.get(runId)!.startedAt)) : '',
        round: String(round + 1),
        round_title: runs.get(runId)?.rounds[round]?.title ?? '',
        ...trained(runId, round, fighterId),
        fighter: fighterId,
        fighter_name: names.get(fighterId) ?? '',
        done: done ?? '',
        quality: quality ?? '',
        seconds: String(seconds ?? ''),
        lead: lead ?? '',
        combo: comboId ?? '',
        at,
      }));
  },
  file: (lines, _, ways) => {
    const { items, errors } = readLines(lines, (line, tell) => {
      const { run: runId = '', fighter: fighterId = '', done = '', quality = '' } = line;
      const round = Number(line['round'] || NaN);
      const at = readTime(line['at'] ?? '', ways)?.toISOString() ?? null;
      if (!Number.isInteger(round) || round < 1)
        return tell('round', 'The round is a whole number from 1 on.');
      if (at === null) return tell('at', `The time is written ${WRITTEN}.`);
      const id = line['id'] || idOf(runId, String(round), fighterId, at);
      return {
        id,
        runId,
        round: round - 1,
        fighterId,
        done,
        quality: quality === '' ? null : quality,
        seconds: line['seconds'] ? readNumber(line['seconds'], ways) : null,
        lead: line['lead'] || null,
        comboId: line['combo'] || null,
        at,
      };
    });
    return { part: { results: items as NonNullable<GymFile['results']> }, errors };
  },
};

/** The combos of each round as the group of each fighter did it, and its tempo. */
function trainedOf(gym: WholeGymFile) {
  const gradeOf = new Map(gym.grades.map(({ id, name }) => [id, name]));
  const names = new Map(
    gym.combos.map((combo) => [combo.id, comboName({ ...combo, grade: gradeOf.get(combo.gradeId) ?? '' })]),
  );
  const runs = new Map(gym.runs.map((run) => [run.id, { run, ...trainedIn(run.id, run.rounds) }]));
  return (runId: string, round: number, fighterId: string): { combos: string; bpm: string } => {
    const known = runs.get(runId);
    if (!known) return { combos: '', bpm: '' };
    const group = known.run.groupOf?.[fighterId] ?? '';
    const inRound = known.combos.filter((each) => each.round === round);
    const blocks = [...groupBy(inRound, ({ block }) => block).values()];
    const done = blocks.flatMap((block) => {
      const own = block.filter(({ groupName }) => group !== '' && groupName === group);
      return own.length > 0 ? own : block.filter(({ groupName }) => groupName === '');
    });
    const combos = [...new Set(done.map(({ comboId }) => names.get(comboId) ?? comboId))];
    return { combos: combos.join(BETWEEN), bpm: String(known.rounds[round]?.bpm ?? '') };
  };
}
