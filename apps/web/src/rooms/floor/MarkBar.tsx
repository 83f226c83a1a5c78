import { useState } from 'react';
import type { FighterView, ResultView } from '@eurhythm/contract';
import { useShortcut } from '../../ui/useShortcut.ts';
import type { Marks, Stamp } from './useMarks.ts';

const DONE = [
  ['finished', 'Finished', 'f'],
  ['part', 'Part', 'p'],
  ['sat-out', 'Sat out', 's'],
] as const;

const QUALITY = [
  ['clean', 'Clean', 'c'],
  ['loose', 'Loose', 'l'],
  ['wild', 'Wild', 'w'],
] as const;

interface MarkBarProps {
  readonly fighters: readonly FighterView[];
  readonly round: number;
  readonly marks: Marks;
}

/** Choose the stamp once, then one press for each fighter. Keys 1 to 9 press the first nine. */
export function MarkBar({ fighters, round, marks }: MarkBarProps) {
  const [stamp, setStamp] = useState<Stamp>({ done: 'finished', quality: 'clean' });
  const press = (fighter: FighterView | undefined): void => {
    if (fighter) marks.mark(round, fighter.id, stamp);
  };
  return (
    <div className="border-t border-rule px-10 pt-2">
      <div
        className="mb-2 flex flex-wrap items-center gap-2"
        role="group"
        aria-label="The stamp that a press gives"
      >
        <span className="mr-1 text-quiet">marks for round {round + 1}:</span>
        {DONE.map(([done, name, key]) => (
          <StampButton
            key={done}
            name={name}
            letter={key}
            isOn={stamp.done === done}
            onPress={() => setStamp({ ...stamp, done })}
          />
        ))}
        <span className="mx-2 h-6 border-l border-rule" />
        {QUALITY.map(([quality, name, key]) => (
          <StampButton
            key={quality}
            name={name}
            letter={key}
            isOn={stamp.quality === quality && stamp.done !== 'sat-out'}
            onPress={() => setStamp({ ...stamp, quality })}
          />
        ))}
      </div>
      <ul className="grid auto-rows-fr grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-1.5">
        {fighters.map((fighter, i) => (
          <li key={fighter.id}>
            {i < 9 && <DigitKey digit={i + 1} onPress={() => press(fighter)} />}
            <FighterTile
              number={i + 1}
              fighter={fighter}
              result={marks.of(round, fighter.id)}
              onPress={() => press(fighter)}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}

function DigitKey({ digit, onPress }: { digit: number; onPress: () => void }) {
  useShortcut(String(digit), onPress);
  return null;
}

function StampButton({
  name,
  letter,
  isOn,
  onPress,
}: {
  name: string;
  letter: string;
  isOn: boolean;
  onPress: () => void;
}) {
  useShortcut(letter, onPress);
  return (
    <button
      type="button"
      aria-pressed={isOn}
      onClick={onPress}
      className={`min-h-11 rounded px-4 text-lg ${isOn ? 'bg-tape font-bold text-[#0f211d]' : 'border border-rule text-ink'}`}
    >
      {name}
    </button>
  );
}

function FighterTile({
  number,
  fighter,
  result,
  onPress,
}: {
  number: number;
  fighter: FighterView;
  result: ResultView | undefined;
  onPress: () => void;
}) {
  const look = !result
    ? 'border-rule'
    : result.done === 'sat-out'
      ? 'border-dashed border-rule text-quiet'
      : 'border-tape bg-paper';
  return (
    <button
      type="button"
      onClick={onPress}
      className={`h-full min-h-12 w-full rounded border-2 px-2.5 py-1 text-left leading-tight ${look}`}
    >
      <span className="block truncate font-semibold">
        {number <= 9 && <span className="mr-1.5 text-quiet">{number}</span>}
        {fighter.name}
      </span>
      <span className="block truncate text-sm text-quiet">
        {result ? resultText(result) : fighter.note || 'not marked'}
      </span>
    </button>
  );
}

function resultText(result: ResultView): string {
  const done = DONE.find(([value]) => value === result.done)![1].toLowerCase();
  return result.quality ? `${done}, ${result.quality}` : done;
}
