import { useEffect, useState, useSyncExternalStore } from 'react';
import { newId } from '../server/api.ts';
import { HostDevice, type HostState } from './HostDevice.ts';

const PLACE = 'eurhythm.desk';

/** The name of this tab as a host, the same after a reload. */
export function deskId(): string {
  const known = sessionStorage.getItem(PLACE);
  if (known) return known;
  const made = newId();
  sessionStorage.setItem(PLACE, made);
  return made;
}

/** This page as the host of a run, for as long as it is open. */
export function useHostDevice(runId: string): [HostDevice, HostState] {
  const [host] = useState(() => new HostDevice(runId));
  useEffect(() => {
    void host.connect(deskId());
    return () => host.leave();
  }, [host]);
  return [host, useSyncExternalStore(host.subscribe, host.snapshot)];
}
