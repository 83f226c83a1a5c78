import { useEffect, useState, useSyncExternalStore } from 'react';
import { newId } from '../server/api.ts';
import { HallDesk, type DeskState } from './HallDesk.ts';

const PLACE = 'eurhythm.desk';

/** The name of this tab as a desk, the same after a reload. */
export function deskId(): string {
  const known = sessionStorage.getItem(PLACE);
  if (known) return known;
  const made = newId();
  sessionStorage.setItem(PLACE, made);
  return made;
}

/** This page as the desk of a run, for as long as it is open. */
export function useHallDesk(runId: string): [HallDesk, DeskState] {
  const [desk] = useState(() => new HallDesk(runId));
  useEffect(() => {
    void desk.connect(deskId());
    return () => desk.leave();
  }, [desk]);
  return [desk, useSyncExternalStore(desk.subscribe, desk.snapshot)];
}
