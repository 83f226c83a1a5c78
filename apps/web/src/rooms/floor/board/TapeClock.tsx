import { clockText, secondsLeft } from '@eurhythm/core/units';

interface TapeClockProps {
  /** Seconds left, and the length of what runs. */
  readonly left: number;
  readonly of: number;
  /** In a rest the tape is laid back instead of peeled. */
  readonly isRest: boolean;
}

const EDGE =
  'polygon(0 0, 100% 0, calc(100% - 8px) 17%, 100% 33%, calc(100% - 8px) 50%, 100% 67%, calc(100% - 8px) 83%, 100% 100%, 0 100%, 8px 83%, 0 67%, 8px 50%, 0 33%, 8px 17%)';

/** Time left as a length of tape, peeled from both ends toward the middle, with the number on it. */
export function TapeClock({ left, of, isRest }: TapeClockProps) {
  const share = of === 0 ? 0 : Math.min(1, Math.max(0, left / of));
  const shown = isRest ? 1 - share : share;
  return (
    <div
      className="relative h-[4.25rem] shrink-0 bg-paper phone:h-[60px]"
      role="timer"
      aria-label={isRest ? 'Rest left' : 'Time left'}
    >
      <div
        className={`absolute inset-y-2 left-1/2 -translate-x-1/2 ${isRest ? 'bg-tape-right' : 'bg-tape'}`}
        style={{ width: `max(${shown * 100}%, 8rem)`, clipPath: EDGE }}
      />
      <span className="board absolute inset-0 flex items-center justify-center text-[3.2rem] phone:text-[2.75rem] leading-none text-on-tape">
        {clockText(secondsLeft(left))}
      </span>
    </div>
  );
}
