import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { FighterView } from '@eurhythm/contract';
import { useShortcut } from '../../../ui/focus/useShortcut.ts';
import { NameFinder } from './NameFinder.tsx';
import { afterDigit, keyOf } from './numberKeys.ts';
import { PlainButton } from '../../../ui/buttons/PlainButton.tsx';
import { StampRow } from './StampRow.tsx';
import { markText, type Mark, type Pressed, type StampId } from '@eurhythm/core/run';
import type { Marks } from './useMarks.ts';

interface MarkBarProps {
  readonly fighters: readonly FighterView[];
  readonly round: number;
  readonly marks: Marks;
  /** What a press now says beside the stamp. */
  pressed(fighterId: string): Pressed;
  /** Why a press says nothing of the round now; empty where it does. */
  whyNot(stamp: StampId): string;
  onAllClean(round: number): void;
}

/** A number that is begun and not ended means nobody after so long. */
const TYPING_MS = 2500;
const DIGITS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];
/** More people than this are not all on the board at once: a press shows them. */
const SHOWN = 16;

/**
 * Marks by exception: whoever reaches the end bell has finished. Choose what a press says, then one press for each fighter
 * of whom it is true; a number or the first letters of a name press too.
 */
export function MarkBar({ fighters, round: now, marks, pressed, whyNot, onAllClean }: MarkBarProps) {
  const [stamp, setStamp] = useState<StampId>('part');
  const [typed, setTyped] = useState('');
  const [isBefore, setBefore] = useState(false);
  const [isOpen, setOpen] = useState(false);
  const [isFinding, setFinding] = useState(false);
  useEffect(() => {
    if (typed === '') return;
    const timer = setTimeout(() => setTyped(''), TYPING_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  const round = isBefore && now > 0 ? now - 1 : now;
  const press = (fighter: FighterView | undefined): void => {
    if (!fighter) return;
    if (round !== now)
      return marks.press(round, fighter.id, stamp, { ...pressed(fighter.id), seconds: null, comboId: null });
    const why = whyNot(stamp);
    if (why === '') marks.press(round, fighter.id, stamp, pressed(fighter.id));
    else toast.error(why, { id: 'too-early' });
  };
  const type = (digit: number): void => {
    const { digits, place } = afterDigit(typed, digit, fighters.length);
    setTyped(digits);
    if (place !== null) press(fighters[place]);
  };
  const isMany = fighters.length > SHOWN;
  useShortcut('m', () => setOpen(!isOpen));
  useShortcut('/', () => setFinding(true));
  useShortcut('a', () => onAllClean(round));
  useShortcut('r', () => setBefore(!isBefore));
  const people = (
    <ul
      aria-label="People"
      className={`grid auto-rows-fr grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-1.5 pb-1 ${isOpen ? '' : isMany ? 'hidden' : 'low:hidden'}`}
    >
      {fighters.map((fighter, i) => (
        <li key={fighter.id}>
          <FighterTile
            number={keyOf(i, fighters.length)}
            isTyped={typed !== '' && keyOf(i, fighters.length).startsWith(typed)}
            fighter={fighter}
            mark={marks.of(round, fighter.id)}
            onPress={() => press(fighter)}
          />
        </li>
      ))}
    </ul>
  );
  return (
    <div
      className={`border-t border-rule px-10 pt-1 phone:px-4 ${isOpen ? 'z-20 bg-canvas pb-4 not-phone:fixed not-phone:inset-x-0 not-phone:bottom-0' : ''}`}
    >
      {DIGITS.map((digit) => (
        <DigitKey key={digit} digit={digit} onPress={() => type(digit)} />
      ))}
      <StampRow stamp={stamp} onStamp={setStamp}>
        <PlainButton onPress={() => onAllClean(round)}>All clean</PlainButton>
        {now > 0 && (
          <PlainButton isOn={isBefore} onPress={() => setBefore(!isBefore)}>
            Round {now}
          </PlainButton>
        )}
        {isFinding ? (
          <NameFinder
            fighters={fighters}
            onFound={(fighter) => {
              press(fighter);
              setFinding(false);
            }}
            onClose={() => setFinding(false)}
          />
        ) : (
          <PlainButton onPress={() => setFinding(true)}>Find</PlainButton>
        )}
        <span className={isMany ? '' : 'hidden low:inline'}>
          <PlainButton isOn={isOpen} onPress={() => setOpen(!isOpen)}>
            All {fighters.length}
          </PlainButton>
        </span>
      </StampRow>
      {!isOpen && (
        <div className={isMany ? '' : 'hidden low:block'}>
          <Exceptions fighters={fighters} round={round} marks={marks} />
        </div>
      )}
      {people}
    </div>
  );
}

/** Whoever did something else than finish, of a class that is too large to be shown. */
function Exceptions({ fighters, round, marks }: Pick<MarkBarProps, 'fighters' | 'round' | 'marks'>) {
  const others = fighters.flatMap((fighter) => {
    const mark = marks.of(round, fighter.id);
    return mark && (mark.done !== 'finished' || mark.lead || (mark.quality && mark.quality !== 'clean'))
      ? [`${fighter.name} ${markText(mark)}`]
      : [];
  });
  return (
    <p className="truncate pb-2 text-lg" role="status">
      {others.length === 0 ? 'No marks in this round.' : others.join(' · ')}
    </p>
  );
}

function DigitKey({ digit, onPress }: { digit: number; onPress: () => void }) {
  useShortcut(String(digit), onPress);
  return null;
}

function FighterTile({
  number,
  isTyped,
  fighter,
  mark,
  onPress,
}: {
  number: string;
  isTyped: boolean;
  fighter: FighterView;
  mark: Mark | undefined;
  onPress: () => void;
}) {
  const look = !mark
    ? 'border-rule'
    : mark.done === 'sat-out'
      ? 'border-dashed border-rule text-quiet'
      : 'border-tape bg-paper';
  return (
    <button
      type="button"
      onClick={onPress}
      className={`h-full min-h-[44px] w-full rounded border-2 px-2.5 py-0.5 text-left leading-tight pointer-coarse:min-h-[64px] ${look} ${isTyped ? 'outline-3 outline-front' : ''}`}
    >
      <span className="block truncate font-semibold">
        <span className="mr-1.5 text-quiet">{number}</span>
        {fighter.name}
      </span>
      <span className="block truncate text-sm text-quiet">
        {mark ? markText(mark) : fighter.note || '\u00a0'}
      </span>
    </button>
  );
}
