import { useState, type ReactNode } from 'react';
import type { FighterView } from '@eurhythm/contract';
import { NumbersBar } from './NumbersBar.tsx';
import { askLater, keepBurst, tellTrial, useIsLater, useKeptBurst } from './keptBurst.ts';

interface OpenNumbersProps {
  readonly runId: string;
  readonly fighters: readonly FighterView[];
  /** What stands there when nothing is asked. */
  readonly children: ReactNode;
  /** After the class what was put off is asked once more. */
  readonly isLast?: boolean;
  onSpace?(): void;
}

/** Asks for the numbers of bursts as long as some are open and nobody has said "later"; a new burst asks again. */
export function OpenNumbers({ runId, fighters, children, isLast = false, onSpace }: OpenNumbersProps) {
  const burst = useKeptBurst(runId);
  const isLater = useIsLater(runId);
  const [isAgain, setAgain] = useState(isLast);
  if (!burst || (isLater && !isAgain)) return children;
  const key = burst.trials.at(-1)!.id;
  return (
    <NumbersBar
      key={key}
      burst={burst}
      fighters={fighters}
      onCount={(place, count) => void tellTrial(runId, burst, place, count)}
      onLater={() => {
        setAgain(false);
        askLater(runId);
        if (burst.trials.every(({ count }) => count !== null)) keepBurst(runId, null);
      }}
      {...(onSpace ? { onSpace } : {})}
    />
  );
}
