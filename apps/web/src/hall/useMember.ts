import { useEffect, useState, useSyncExternalStore } from 'react';
import type { HallViewName } from '@eurhythm/contract';
import { WakeLock } from '../floor/wakeLock.ts';
import { HallMember, type MemberState } from './HallMember.ts';

/** This page as a device of a class, for as long as it is open; its screen stays on. */
export function useMember(code: string, view: HallViewName, name: string): [MemberState, HallMember] {
  const [member] = useState(() => new HallMember(code, view, name));
  useEffect(() => {
    const awake = new WakeLock();
    awake.hold();
    void member.join();
    return () => {
      member.leave();
      awake.dispose();
    };
  }, [member]);
  return [useSyncExternalStore(member.subscribe, member.snapshot), member];
}
