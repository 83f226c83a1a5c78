import { useEffect, useState } from 'react';
import type { MarkResultDto, ResultView, RunView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { putting, takingOut } from '../../sync/letters/letter.ts';
import { sync } from '../../sync/opened.ts';
import { SUBJECTS } from '../../sync/letters/subjects.ts';

/** A mark can be taken back this long. */
const UNDO_MS = 10_000;

export type Stamp = Pick<MarkResultDto, 'done' | 'quality'>;

export interface Marks {
  of(round: number, fighterId: string): ResultView | undefined;
  mark(round: number, fighterId: string, stamp: Stamp): void;
  undo(): void;
  readonly canUndo: boolean;
}

/** The marks of a run: shown at once, kept until the server has them, taken back within ten seconds. */
export function useMarks(run: RunView): Marks {
  const [results, setResults] = useState<ReadonlyMap<string, ResultView>>(
    () => new Map(run.results.map((result) => [keyOf(result.round, result.fighterId), result])),
  );
  const [last, setLast] = useState<{ key: string; before: ResultView | undefined; now: ResultView } | null>(
    null,
  );
  useEffect(() => {
    if (!last) return;
    const timer = setTimeout(() => setLast(null), UNDO_MS);
    return () => clearTimeout(timer);
  }, [last]);

  const send = ({ id, runId: _, ...mark }: ResultView): void =>
    void sync.put(putting(SUBJECTS.mark, `runs/${run.id}/results/${id}`, mark, { page: `/floor/${run.id}` }));
  return {
    of: (round, fighterId) => results.get(keyOf(round, fighterId)),
    canUndo: last !== null,
    mark: (round, fighterId, stamp) => {
      const key = keyOf(round, fighterId);
      const before = results.get(key);
      const now: ResultView = {
        id: before?.id ?? newId(),
        runId: run.id,
        round,
        fighterId,
        done: stamp.done,
        quality: stamp.done === 'sat-out' ? null : (stamp.quality ?? null),
        at: new Date().toISOString(),
      };
      setResults(new Map(results).set(key, now));
      setLast({ key, before, now });
      send(now);
    },
    undo: () => {
      if (!last) return;
      const next = new Map(results);
      if (last.before) {
        // Pressed now: the newest press stands, and the one that is taken back came later than what it replaced.
        const again = { ...last.before, at: new Date().toISOString() };
        next.set(last.key, again);
        send(again);
      } else {
        next.delete(last.key);
        void sync.put(takingOut(SUBJECTS.mark, `runs/${run.id}/results/${last.now.id}`));
      }
      setResults(next);
      setLast(null);
    },
  };
}

function keyOf(round: number, fighterId: string): string {
  return `${round}/${fighterId}`;
}
