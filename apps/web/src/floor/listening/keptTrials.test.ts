import type { SaveAttemptDto } from '@eurhythm/contract';
import { keptAnew, type KeptTrial } from './keptTrials.ts';

const trial = (fighterId: string, title: string, instants: readonly number[]): SaveAttemptDto => ({
  fighterId,
  title,
  kind: 'combo-time',
  line: '1-2',
  lead: 'left',
  seconds: 10,
  at: '2026-03-05T18:30:00Z',
  instants: [...instants],
  measured: 'microphone',
});
const kept = (id: string, attempt: SaveAttemptDto): KeptTrial => ({ id, attempt });
const ids = () => {
  let n = 0;
  return () => `new ${(n += 1)}`;
};

describe('trials of a take that is put right after they were kept', () => {
  const before = [kept('a', trial('ines', 'Ebb 1', [1])), kept('b', trial('ines', 'Ebb 2', [2]))];

  it('keep their ids and when they were; what is no trial any more goes, and what is new comes', () => {
    const later = { ...trial('ines', 'Ebb 2', [2, 2.4]), at: '2026-03-05T18:31:00Z' };
    const anew = keptAnew(before, [later, trial('ines', 'Ebb 3', [5])], ids());
    expect(anew.changed).toEqual([
      kept('b', trial('ines', 'Ebb 2', [2, 2.4])),
      kept('new 1', trial('ines', 'Ebb 3', [5])),
    ]);
    expect(anew.gone).toEqual([before[0]]);
    expect(anew.all).toEqual(anew.changed);
  });
  it('are not sent where they are the same', () => {
    const { all, changed, gone } = keptAnew(
      before,
      before.map(({ attempt }) => attempt),
      ids(),
    );
    expect([all, changed, gone]).toEqual([before, [], []]);
  });
  it('stay as somebody counted them by hand, and change for others', () => {
    const counted = kept('a', { ...trial('ines', 'Ebb 1', []), said: 7, measured: 'by-hand' });
    const anew = keptAnew(
      [counted, kept('c', trial('oskar', 'Ebb 1', [3]))],
      [trial('ines', 'Ebb 1', [1]), trial('oskar', 'Ebb 1', [3, 4])],
      ids(),
    );
    expect(anew.all).toEqual([counted, kept('c', trial('oskar', 'Ebb 1', [3, 4]))]);
    expect([anew.changed.length, anew.gone]).toEqual([1, []]);
  });
});
