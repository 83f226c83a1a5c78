import type { ConditionBlockDto } from '@eurhythm/contract';
import { toldNumber } from '../../../ui/numbers.ts';
import { GROUPS_FIELD, type BlockPage } from './blockPage.ts';
import { countLane, tellGroups } from './groupCounts.ts';

export const conditionPage: BlockPage<ConditionBlockDto> = {
  name: 'Condition',
  what: 'an exercise, by count or clock',
  fields: [
    { kind: 'text', name: 'title', label: 'Exercise' },
    { kind: 'number', name: 'reps', label: 'Times', hint: 'empty: by the clock', orNull: true },
    { kind: 'number', name: 'repSeconds', label: 'Seconds each' },
    GROUPS_FIELD,
  ],
  tell: ({ title, reps, groups }) =>
    `${title}${reps === null ? '' : `: ${toldNumber(reps)}${tellGroups(groups)}`}`,
  lane: countLane,
};
