import { useEffect } from 'react';
import { BURST_READY } from '@eurhythm/core/run';
import { secondsLeft, type Seconds } from '@eurhythm/core/units';
import type { Burst } from '../../../floor/Burst.ts';
import { useFrame } from '../../../floor/useFrame.ts';
import { useStable } from '../../../ui/useStable.ts';
import { TapeClock } from '../board/TapeClock.tsx';

/** Keys that only lead somewhere, change what another one means, or are the device's own. */
const NO_TAP = /^(Tab|Escape|Shift|Control|Alt|AltGraph|Meta|CapsLock|F\d+|Audio\w+)$/;

interface BurstCountProps {
  readonly burst: Burst;
  readonly seconds: Seconds;
  readonly name: string;
  readonly what: string;
  /** The number that is seen; without one, the seconds that are left. */
  readonly count: number | null;
  /** What to do from the bell on. */
  readonly hint: string;
  /** Reported of each tap and of each press of a key between the bells, with its seconds from the first one on. */
  readonly onTap: (at: Seconds) => void;
}

/** What is seen while a burst runs: one large number, and the whole screen to tap on. From when on taps count, it shows. */
export function BurstCount({ burst, seconds, name, what, count, hint, onTap }: BurstCountProps) {
  const at = useFrame(() => burst.at, true);
  const isWork = at >= 0;
  const tap = useStable((): void => {
    // The time goes on between two frames, and how late the loudspeaker is may be found to be another.
    const now = burst.at;
    if (isWork ? now <= seconds : now >= 0) onTap(Math.max(0, now));
  });
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || NO_TAP.test(event.key)) return;
      event.preventDefault();
      // A key that is held down is one tap.
      if (!event.repeat) tap();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [tap]);
  return (
    <>
      <TapeClock left={isWork ? seconds - at : -at} of={isWork ? seconds : BURST_READY} isRest={!isWork} />
      <button
        type="button"
        onPointerDown={tap}
        className="board flex flex-1 flex-col items-center justify-center"
      >
        <span className="text-5xl">{name}</span>
        <span className="text-3xl text-quiet">{what}</span>
        <span className="text-[17rem] leading-none phone:text-[min(17rem,45vh)]" data-testid="burst-count">
          {count ?? secondsLeft(isWork ? seconds - at : seconds)}
        </span>
        <span className="text-3xl text-quiet">{isWork ? hint : 'get ready'}</span>
      </button>
    </>
  );
}
