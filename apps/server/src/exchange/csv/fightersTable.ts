import { WORK_LIMBS } from '@eurhythm/core/rounds';
import type { CareDto, GymFile } from '@eurhythm/contract';
import { BETWEEN, idOf, readLines, split, yes, type CsvTable } from './csvTable.ts';
import { readNumber } from './tableTimes.ts';

/** Who trains in the gym. */
export const fighters: CsvTable = {
  columns: [
    { name: 'id', about: 'made here; leave it empty for somebody new' },
    { name: 'name', about: 'first and last name' },
    { name: 'grade', about: 'name of the grade, as under Gym' },
    { name: 'lead', about: 'left or right: the foot in front' },
    { name: 'note', about: 'for the coach' },
    {
      name: 'fit',
      about:
        'yes or no; of somebody who is here already it is for reading only: change it on the page, with a reason',
    },
    { name: 'height_cm', about: 'empty where nobody measured' },
    { name: 'keep_apart', about: 'ids of those who should not be partners, with ; between' },
    { name: 'starts_light', about: 'yes: light in the first half of a class, no bursts' },
    { name: 'no_head_contact', about: 'yes: no contact to the head' },
    { name: 'spared', about: `limbs without full power, with ; between: ${WORK_LIMBS.join(', ')}` },
  ],
  lines: (gym) => {
    const gradeOf = new Map(gym.grades.map(({ id, name }) => [id, name]));
    return gym.fighters.map(({ id, name, gradeId, lead, note, fit, height, apart = [], care }) => ({
      id,
      name,
      grade: gradeOf.get(gradeId) ?? '',
      lead,
      note,
      fit: yes(fit),
      height_cm: height === null || height === undefined ? '' : String(height),
      keep_apart: apart.join(BETWEEN),
      starts_light: care?.startsLight ? 'yes' : '',
      no_head_contact: care?.noHeadContact ? 'yes' : '',
      spared: (care?.spared ?? []).join(BETWEEN),
    }));
  },
  file: (lines, gym, ways) => {
    const grades = new Map(gym.grades.map(({ id, name }) => [name.trim().toLowerCase(), id]));
    const known = new Map(gym.fighters.map((fighter) => [fighter.id, fighter]));
    const { items, errors } = readLines(lines, (line, tell) => {
      const { name = '', grade = '', lead = '', note = '', height_cm: height = '' } = line;
      const id = line['id'] || idOf(name, grade);
      const gradeId = grades.get(grade.trim().toLowerCase());
      if (gradeId === undefined) return tell('grade', `There is no grade “${grade}”.`);
      if (lead !== 'left' && lead !== 'right') return tell('lead', 'The lead is left or right.');
      if (height !== '' && !Number.isFinite(readNumber(height, ways)))
        return tell('height_cm', 'The height is a number of cm.');
      const kept = known.get(id);
      const { fit, fitReason, fitBy, fitAt } = kept ?? {
        fit: line['fit'] !== 'no',
        fitReason: '',
        fitBy: '',
        fitAt: null,
      };
      return {
        ...{ id, name, gradeId, lead, note, fit, fitReason, fitBy, fitAt },
        height: height === '' ? null : readNumber(height, ways),
        apart: split(line['keep_apart'] ?? ''),
        care: careOf(line),
      } as NonNullable<GymFile['fighters']>[number];
    });
    return { part: { fighters: items }, errors };
  },
};

/** What is taken care of; null where nothing is. */
function careOf(line: Readonly<Record<string, string>>): CareDto | null {
  const spared = split(line['spared'] ?? '') as CareDto['spared'];
  const [startsLight, noHeadContact] = [line['starts_light'] === 'yes', line['no_head_contact'] === 'yes'];
  return startsLight || noHeadContact || spared.length > 0 ? { startsLight, noHeadContact, spared } : null;
}
