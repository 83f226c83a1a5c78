import type { ConditionBlockDto } from '@eurhythm/contract';
import { GROUPS_FIELD, SIDES_FIELD, type BlockPage } from './blockPage.ts';
import { countLane } from './groupCounts.ts';

export const conditionPage: BlockPage<ConditionBlockDto> = {
  what: 'an exercise, by count or clock',
  fields: [
    { kind: 'text', name: 'title', label: 'Exercise' },
    { kind: 'number', name: 'reps', label: 'Times', hint: 'empty: by the clock', orNull: true },
    { kind: 'number', name: 'repSeconds', label: 'Seconds each' },
    { ...SIDES_FIELD, choices: SIDES_FIELD.choices.toReversed() },
    { ...GROUPS_FIELD, what: 'title', counted: true },
  ],
  lane: countLane,
};
