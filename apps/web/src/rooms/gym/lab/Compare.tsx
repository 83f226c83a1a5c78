import { useEffect, useState } from 'react';
import { matchStrikes, validOnsets, type OnsetReport } from '@eurhythm/core/strikes';
import { INPUT_KINDS, INPUT_NAMES, type InputKind } from '../../../strikeInputs/StrikeInput.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { useLabInput, type LabInput } from './useLabInput.ts';

type Choice = InputKind | 'nothing';

interface CompareProps {
  /** What is open above, and its strikes while they are compared. */
  readonly first: InputKind | null;
  readonly lab: LabInput;
}

/** What both hear while they are compared. */
interface Heard {
  first: OnsetReport[];
  second: OnsetReport[];
}

interface Compared {
  readonly both: number;
  readonly firstAlone: number;
  readonly secondAlone: number;
  readonly later: number;
  readonly spread: number;
}

/** The same strikes heard in two ways at once: which hears what the other does not, and how far they are apart. */
export function Compare({ first, lab }: CompareProps) {
  const [second, setSecond] = useState<Choice>('nothing');
  const [heard, setHeard] = useState<Heard | null>(null);
  const [compared, setCompared] = useState<Compared | null>(null);
  const other = useLabInput(second === 'nothing' ? null : second, 0);
  const { listen } = lab;
  const listenToOther = other.listen;
  useEffect(() => {
    if (!heard) return;
    const ends = [
      listen((strike) => (heard.first = validOnsets([...heard.first, strike]))),
      listenToOther((strike) => (heard.second = validOnsets([...heard.second, strike]))),
    ];
    return () => ends.forEach((end) => end());
  }, [heard, listen, listenToOther]);
  const start = (): void => {
    setCompared(null);
    setHeard({ first: [], second: [] });
  };
  const stop = (all: Heard): void => {
    setHeard(null);
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
          label={`${INPUT_NAMES[first]} beside`}
          value={second}
          choices={[
            { value: 'nothing' as Choice, label: 'nothing' },
            ...INPUT_KINDS.filter((kind) => kind !== first).map((value) => ({
              value: value as Choice,
              label: INPUT_NAMES[value],
            })),
          ]}
          onChange={(value) => setSecond(value as Choice)}
        />
        <Button className="mb-6" disabled={!other.input} onClick={() => (heard ? stop(heard) : start())}>
          {heard ? 'That is enough' : 'Compare'}
        </Button>
      </div>
      <p role="status" className={other.status === '' ? 'min-h-6 text-quiet' : 'font-semibold text-caution'}>
        {other.status !== ''
          ? other.status
          : heard
            ? 'Strike some twenty times.'
            : compared
              ? `${compared.both} heard by both, ${compared.firstAlone} by the first alone, ${compared.secondAlone} by the second alone. The second is ${Math.abs(Math.round(1000 * compared.later))} ms ${compared.later < 0 ? 'earlier' : 'later'}, give or take ${Math.round(1000 * compared.spread)} ms.`
              : ''}
      </p>
    </div>
  );
}
