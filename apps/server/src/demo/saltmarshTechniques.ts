import type { TechniqueDto } from '@eurhythm/contract';

const technique = (
  id: string,
  what: { move: string } | { comboId: string },
  reps: number,
  sets: number,
  sides: TechniqueDto['sides'] = 'both',
): TechniqueDto => ({ move: null, comboId: null, ...what, id, reps, sides, sets, restSeconds: 20 });

/** What each grade trains: "15 each leg, 3 times" and the like. */
export const TECHNIQUES: Readonly<Record<string, readonly TechniqueDto[]>> = {
  minnows: [
    technique('min-1', { move: 'jab' }, 10, 2),
    technique('min-2', { move: 'push' }, 10, 2),
    technique('min-3', { move: 'duck' }, 10, 1, 'one'),
  ],
  herons: [
    technique('her-1', { move: 'cross' }, 15, 2),
    technique('her-2', { move: 'r:round' }, 12, 2),
    technique('her-3', { move: 'parry' }, 15, 1),
  ],
  ebb: [
    technique('ebb-t1', { move: 'r:round' }, 15, 3),
    technique('ebb-t2', { move: 'push' }, 15, 2),
    technique('ebb-t3', { comboId: 'ebb-1' }, 30, 1),
    technique('ebb-t4', { comboId: 'ebb-2' }, 10, 2),
  ],
  slack: [
    technique('sla-1', { move: 'r:knee' }, 20, 2),
    technique('sla-2', { move: 'hook' }, 30, 1),
    technique('sla-3', { comboId: 'slack-2' }, 10, 3),
    technique('sla-4', { comboId: 'slack-3' }, 10, 2),
  ],
  flood: [
    technique('flo-1', { move: 'r:round' }, 30, 2),
    technique('flo-2', { move: 'hookkick' }, 10, 2),
    technique('flo-3', { comboId: 'flood-4' }, 8, 3),
  ],
  spring: [
    technique('spr-1', { move: 'spinhook' }, 10, 2),
    technique('spr-2', { comboId: 'spring-2' }, 8, 3),
  ],
};
