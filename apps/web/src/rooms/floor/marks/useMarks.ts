import { useState } from 'react';
import { markAt, stamped, type EndedRounds, type Mark, type Pressed, type StampId } from '@eurhythm/core/run';
import type { ResultView, RunView } from '@eurhythm/contract';
import { keepResult } from '../../../floor/run/keptRun.ts';
import { newId } from '../../../server/api.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';

/** So many presses can be taken back, the last first. */
const MOST_UNDO = 10;

export interface Marks {
  /** What stands of a fighter's round: what was pressed, or what the end bell made of it. */
  of(round: number, fighterId: string): Mark | undefined;
  press(round: number, fighterId: string, stamp: StampId, pressed: Pressed): void;
  /** Takes the last press back; whose it was, null where there is none. */
  undo(): string | null;
  readonly canUndo: boolean;
}

interface PastPress {
  readonly key: string;
  /** What stood before it. */
  readonly stood: Mark | undefined;
  readonly now: ResultView;
}

/** The marks of a run: shown at once, kept until the server has them; the last ten presses can be taken back. */
export function useMarks(run: RunView, ended: EndedRounds): Marks {
  const [results, setResults] = useState<ReadonlyMap<string, ResultView>>(
    () => new Map(run.results.map((result) => [keyOf(result.round, result.fighterId), result])),
  );
  const [past, setPast] = useState<readonly PastPress[]>([]);

  const standing = (round: number, fighterId: string): Mark | undefined =>
    markAt(ended, round, fighterId, results.get(keyOf(round, fighterId)));
  const keep = (key: string, now: ResultView): void => {
    setResults(new Map(results).set(key, now));
    sendMark(now);
  };
  return {
    of: standing,
    canUndo: past.length > 0,
    press: (round, fighterId, stamp, pressed) => {
      const key = keyOf(round, fighterId);
      const before = results.get(key);
      const stood = standing(round, fighterId);
      const now: ResultView = {
        id: before?.id ?? newId(),
        runId: run.id,
        round,
        fighterId,
        ...stamped(stood, stamp, pressed),
        at: new Date().toISOString(),
      };
      setPast([...past, { key, stood, now }].slice(-MOST_UNDO));
      keep(key, now);
    },
    undo: () => {
      const last = past.at(-1);
      if (!last) return null;
      const { stood, now, key } = last;
      // Pressed now: the newest press stands, and the one that is taken back came later than what it replaced.
      const at = new Date().toISOString();
      // Where the bell has rung meanwhile, nothing said is a finished round.
      const back = stood ?? markAt(ended, now.round, now.fighterId, undefined);
      if (back) keep(key, { ...now, quality: null, seconds: null, lead: null, comboId: null, ...back, at });
      else {
        const next = new Map(results);
        next.delete(key);
        setResults(next);
        dropMark(now);
      }
      setPast(past.slice(0, -1));
      return now.fighterId;
    },
  };
}

/** Keeps a mark on this device, and sends it. */
function sendMark(result: ResultView): void {
  const { id, runId, ...mark } = result;
  keepResult(runId, id, result);
  void sync.put(putRequest(SUBJECTS.mark, `runs/${runId}/results/${id}`, mark, { page: `/floor/${runId}` }));
}

function dropMark({ id, runId }: ResultView): void {
  keepResult(runId, id, null);
  void sync.put(deleteRequest(SUBJECTS.mark, `runs/${runId}/results/${id}`));
}

function keyOf(round: number, fighterId: string): string {
  return `${round}/${fighterId}`;
}
