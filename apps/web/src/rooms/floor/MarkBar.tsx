import { useEffect, useState } from 'react';
import type { FighterView, ResultView } from '@eurhythm/contract';
import { useShortcut } from '../../ui/useShortcut.ts';
import { afterDigit, keyOf } from './numberKeys.ts';
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

/** A number that is begun and not ended means nobody after so long. */
const TYPING_MS = 2500;
const DIGITS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];

/** Choose the stamp once, then one press for each fighter; everybody's number presses him too. */
export function MarkBar({ fighters, round, marks }: MarkBarProps) {
  const [stamp, setStamp] = useState<Stamp>({ done: 'finished', quality: 'clean' });
  const [typed, setTyped] = useState('');
  useEffect(() => {
    if (typed === '') return;
    const timer = setTimeout(() => setTyped(''), TYPING_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  const type = (digit: number): void => {
    const { digits, place } = afterDigit(typed, digit, fighters.length);
    setTyped(digits);
    if (place !== null) press(fighters[place]);
  };
  const press = (fighter: FighterView | undefined): void => {
    if (fighter) marks.mark(round, fighter.id, stamp);
  };
  return (
    <div className="border-t border-rule px-10 pt-2 phone:px-4">
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
      {DIGITS.map((digit) => (
        <DigitKey key={digit} digit={digit} onPress={() => type(digit)} />
      ))}
      <ul className="grid auto-rows-fr grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-1.5">
        {fighters.map((fighter, i) => (
          <li key={fighter.id}>
            <FighterTile
              number={keyOf(i, fighters.length)}
              isTyped={typed !== '' && keyOf(i, fighters.length).startsWith(typed)}
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
      className={`min-h-11 rounded px-4 text-lg pointer-coarse:min-h-16 ${isOn ? 'bg-tape font-bold text-on-tape' : 'border border-rule text-ink'}`}
    >
      {name}
    </button>
  );
}

function FighterTile({
  number,
  isTyped,
  fighter,
  result,
  onPress,
}: {
  number: string;
  isTyped: boolean;
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
      className={`h-full min-h-12 w-full rounded border-2 px-2.5 py-1 text-left leading-tight pointer-coarse:min-h-16 ${look} ${isTyped ? 'outline-3 outline-front' : ''}`}
    >
      <span className="block truncate font-semibold">
        <span className="mr-1.5 text-quiet">{number}</span>
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
