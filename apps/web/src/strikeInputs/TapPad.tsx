import { useEffect, useRef, useState } from 'react';
import { useStable } from '../ui/useStable.ts';
import { TAP_VARIES, tapNow } from './tapInput.ts';

/** Where each strike is tapped, by finger or with Enter, and how far such taps can be trusted. */
export function TapPad({ who }: { who: string }) {
  const [count, setCount] = useState(0);
  const pad = useRef<HTMLButtonElement>(null);
  const tap = useStable((at: number): void => {
    tapNow(at);
    setCount(count + 1);
  });
  useEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const { key, repeat, target, timeStamp } = event;
      const isElsewhere = target instanceof HTMLElement && target !== document.body && target !== pad.current;
      if (key !== 'Enter' || repeat || isElsewhere) return;
      event.preventDefault();
      tap(timeStamp);
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [tap]);
  return (
    <div className="flex shrink-0 flex-wrap items-center gap-x-6 px-8 pb-1 phone:px-4">
      <button
        ref={pad}
        type="button"
        className="board min-h-[64px] min-w-72 touch-manipulation rounded bg-tape px-6 text-3xl text-on-tape phone:min-h-40 phone:w-full"
        onPointerDown={(event) => {
          event.preventDefault();
          tap(event.timeStamp);
        }}
      >
        tap · {count}
      </button>
      <p className="min-w-0 flex-1 text-lg text-quiet">
        Tap each strike of {who} here or with Enter. A tap varies by about ±{TAP_VARIES.toFixed(2)} s and
        comes late after a surprise, so compare taps with taps only.
      </p>
    </div>
  );
}
