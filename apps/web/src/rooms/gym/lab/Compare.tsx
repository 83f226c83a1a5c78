import { useRef, useState } from 'react';
import { matchStrikes } from '@eurhythm/core/strikes';
import { EAR_KINDS, EAR_NAMES, type EarKind, type EarStrike } from '../../../ears/Ear.ts';
import { Button } from '../../../ui/Button.tsx';
import { ChoiceField } from '../../../ui/Field.tsx';
import { useEar } from './useEar.ts';

type Choice = EarKind | 'nothing';

interface CompareProps {
  /** What is open above, and its strikes while they are compared. */
  readonly first: EarKind | null;
  readonly heard: { current: ((strike: EarStrike) => void) | null };
}

interface Compared {
  readonly both: number;
  readonly firstAlone: number;
  readonly secondAlone: number;
  readonly later: number;
  readonly spread: number;
}

/** The same strikes heard in two ways at once: which hears what the other does not, and how far they are apart. */
export function Compare({ first, heard }: CompareProps) {
  const [second, setSecond] = useState<Choice>('nothing');
  const strikes = useRef<{ first: EarStrike[]; second: EarStrike[] } | null>(null);
  const [isRunning, setRunning] = useState(false);
  const [compared, setCompared] = useState<Compared | null>(null);
  const other = useEar(second === 'nothing' ? null : second, 0, (strike) =>
    strikes.current?.second.push(strike),
  );
  const start = (): void => {
    const all = { first: [] as EarStrike[], second: [] as EarStrike[] };
    strikes.current = all;
    heard.current = (strike) => all.first.push(strike);
    setCompared(null);
    setRunning(true);
  };
  const stop = (): void => {
    const all = strikes.current!;
    strikes.current = null;
    heard.current = null;
    setRunning(false);
    const { hits, misses, extras, latency, spread } = matchStrikes(all.first, all.second);
    setCompared({
      both: hits.length,
      firstAlone: misses.length,
      secondAlone: extras.length,
      later: latency,
      spread,
    });
  };
  if (first === null) return <p className="py-3 text-quiet">Open the first one above.</p>;
  return (
    <div className="space-y-2 py-3">
      <div className="flex flex-wrap items-end gap-3">
        <ChoiceField
          label={`${EAR_NAMES[first]} beside`}
          value={second}
          choices={[
            { value: 'nothing' as Choice, label: 'nothing' },
            ...EAR_KINDS.filter((kind) => kind !== first).map((value) => ({
              value: value as Choice,
              label: EAR_NAMES[value],
            })),
          ]}
          onChange={(value) => setSecond(value as Choice)}
        />
        <Button className="mb-6" disabled={!other.ear} onClick={isRunning ? stop : start}>
          {isRunning ? 'That is enough' : 'Compare'}
        </Button>
      </div>
      <p role="status" className={other.told === '' ? 'min-h-6 text-quiet' : 'font-semibold text-caution'}>
        {other.told !== ''
          ? other.told
          : isRunning
            ? 'Strike some twenty times.'
            : compared
              ? `${compared.both} heard by both, ${compared.firstAlone} by the first alone, ${compared.secondAlone} by the second alone. The second is ${Math.abs(Math.round(1000 * compared.later))} ms ${compared.later < 0 ? 'earlier' : 'later'}, give or take ${Math.round(1000 * compared.spread)} ms.`
              : ''}
      </p>
    </div>
  );
}
