import { memo, useState } from 'react';
import { numberOf, type Family, type Move, type MoveBook, type Side } from '@eurhythm/core/moves';
import { PinHead, pinColour } from '../../strip/PinHead.tsx';
import { shapeOfFamily } from '../../strip/stripLayout.ts';

/** What a coach reaches for. */
const KINDS = {
  Hands: ['punch', 'open-hand', 'elbow'],
  Legs: ['kick', 'knee'],
  Guard: ['block', 'evasion', 'clinch'],
  Feet: ['step', 'stance'],
} as const satisfies Readonly<Record<string, readonly Family[]>>;
type Kind = keyof typeof KINDS;
const KIND_NAMES = Object.keys(KINDS) as readonly Kind[];

interface MovePaletteProps {
  readonly book: MoveBook;
  /** Puts a move behind the chosen pin, or at the end of the line. */
  onPut(word: string): void;
}

/** The moves of the book to be put on the strip by one press each, numbers before codes, as the gym calls them. */
export const MovePalette = memo(function MovePalette({ book, onPut }: MovePaletteProps) {
  const [kind, setKind] = useState<Kind>('Hands');
  const [side, setSide] = useState<Side>('front');
  const moves = [...book.moves.values()].filter((move) =>
    (KINDS[kind] as readonly Family[]).includes(move.family),
  );
  const tab = (name: string, isOn: boolean, onPress: () => void) => (
    <button
      key={name}
      type="button"
      aria-pressed={isOn}
      onClick={onPress}
      className={`min-h-11 rounded-md px-3 font-semibold ${isOn ? 'bg-tape' : 'hover:bg-hint'}`}
    >
      {name}
    </button>
  );
  return (
    <div role="group" aria-label="Moves to put on the strip" className="border-b border-rule pb-2">
      <div className="flex flex-wrap gap-1">
        {KIND_NAMES.map((name) => tab(name, name === kind, () => setKind(name)))}
        <span className="w-6" />
        {tab('front', side === 'front', () => setSide('front'))}
        {tab('rear', side === 'rear', () => setSide('rear'))}
      </div>
      <div className="flex flex-wrap gap-1 pt-1">
        {moves
          .flatMap((move) => choiceOf(move, side, book))
          .map((choice) => (
            <button
              key={choice.word}
              type="button"
              title={choice.name}
              aria-label={`${choice.word}: put ${choice.name}`}
              onClick={() => onPut(choice.word)}
              className="inline-flex min-h-11 items-center gap-1.5 rounded-md border border-rule bg-paper px-2 font-line hover:border-ink"
            >
              <svg width={16} height={16} viewBox="-8 -8 16 16" aria-hidden="true">
                <PinHead pin={choice.pin} r={5.5} />
              </svg>
              <span style={{ color: pinColour(choice.pin) }}>{choice.word}</span>
            </button>
          ))}
      </div>
    </div>
  );
});

/** The move as it is put from the wanted side; nothing when it is fixed to the other one or retired. */
function choiceOf(move: Move & { retired?: boolean }, wanted: Side, book: MoveBook) {
  if (move.retired || (move.side.kind === 'fixed' && move.side.side !== wanted)) return [];
  const isSided = move.side.kind === 'free';
  const side = isSided || move.side.kind === 'fixed' ? wanted : null;
  const number = numberOf(book, move, side);
  return [
    {
      word: number === undefined ? `${isSided ? `${wanted.charAt(0)}:` : ''}${move.code}` : String(number),
      name: `${isSided ? `${wanted} ` : ''}${move.name.toLowerCase()}`,
      pin: {
        by: 'fighter' as const,
        side,
        shape: shapeOfFamily(move.family),
        feint: false,
        shout: false,
      },
    },
  ];
}
