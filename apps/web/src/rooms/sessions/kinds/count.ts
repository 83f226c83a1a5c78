import type { CountBlockDto } from '@eurhythm/contract';
import { GROUPS_FIELD, SIDES_FIELD, type BlockPage } from './blockPage.ts';
import { countLane } from './groupCounts.ts';

export const countPage: BlockPage<CountBlockDto> = {
  what: 'a move or line, so many on each side',
  fields: [
    { kind: 'text', name: 'title', label: 'What is done' },
    { kind: 'line', name: 'line', label: 'Move or line', hint: 'r:round, 8, or 1 2-3' },
    { kind: 'number', name: 'reps', label: 'Times' },
    {
      ...SIDES_FIELD,
      choices: [...SIDES_FIELD.choices, { value: 'in-turn', label: 'In all, sides in turn' }],
    },
    { kind: 'number', name: 'sets', label: 'Sets' },
    { kind: 'number', name: 'rest', label: 'Rest between, s' },
    {
      kind: 'choice',
      name: 'method',
      label: 'Counted',
      choices: [
        { value: 'whole', label: 'One count for the whole' },
        { value: 'strokes', label: 'One count for each stroke' },
        { value: 'chambers', label: 'Chamber, then strike' },
        { value: 'parts', label: 'Each part' },
        { value: 'build-up', label: 'Parts, joined, fast' },
      ],
    },
    {
      kind: 'choice',
      name: 'direction',
      label: 'Count',
      choices: [
        { value: 'up', label: 'Up' },
        { value: 'down', label: 'Down' },
      ],
    },
    {
      kind: 'choice',
      name: 'levels',
      label: 'Heights',
      choices: [
        { value: 'fixed', label: 'As the move' },
        { value: 'in-turn', label: 'Head, body, low in turn' },
        { value: 'rising', label: 'Rising from set to set' },
      ],
    },
    {
      kind: 'choice',
      name: 'from',
      label: 'From',
      choices: [
        { value: 'standing', label: 'Standing' },
        { value: 'kneeling', label: 'Kneeling' },
        { value: 'seated', label: 'Seated' },
      ],
    },
    {
      kind: 'number',
      name: 'repSeconds',
      label: 'Seconds each',
      hint: 'empty: as the book says',
      orNull: true,
    },
    {
      kind: 'words',
      name: 'speeds',
      label: 'Speed of each set',
      hint: 'slow, usual, full; of a single set: of its parts',
    },
    {
      kind: 'numbers',
      name: 'intensity',
      label: 'Contact, percent',
      hint: '20, 40, 60; of each set, or of parts of one',
    },
    { kind: 'tick', name: 'shoutLast', label: 'Shout on the last' },
    { ...GROUPS_FIELD, what: 'line', counted: true },
  ],
  lane: countLane,
};
