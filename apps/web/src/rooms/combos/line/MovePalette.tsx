import { memo, useState } from 'react';
import { withoutSide } from '@eurhythm/core/calls';
import { numberOf, sideWord, type Family, type Move, type MoveBook, type Side } from '@eurhythm/core/moves';
import type { Choice } from '../../../ui/fields/Field.tsx';
import { Tip } from '../../../ui/panels/Tip.tsx';
import { Toggles } from '../../../ui/buttons/Toggles.tsx';
import { PinHead, pinColour } from '../../../strip/PinHead.tsx';
import { shapeOfFamily } from '../../../strip/stripLayout.ts';
import { useBook } from '../../../server/gymData.ts';

/** What a coach reaches for. */
const KINDS = {
  Hands: ['punch', 'open-hand', 'elbow'],
  Legs: ['kick', 'knee'],
  Guard: ['block', 'evasion', 'clinch'],
  Feet: ['step', 'stance'],
} as const satisfies Readonly<Record<string, readonly Family[]>>;
type Kind = keyof typeof KINDS;
const KIND_CHOICES: readonly Choice<Kind>[] = [
  { value: 'Hands', label: 'Hands' },
  { value: 'Legs', label: 'Legs' },
  { value: 'Guard', label: 'Guard' },
  { value: 'Feet', label: 'Feet' },
];
const SIDES: readonly Side[] = ['front', 'rear'];

interface MovePaletteProps {
  /** Puts a move behind the chosen pin, or at the end of the line. */
  onPut(word: string): void;
}

/** The moves of the book to be put on the strip by one press each, numbers before codes, as the gym calls them. */
export const MovePalette = memo(function MovePalette({ onPut }: MovePaletteProps) {
  const book = useBook();
  const [kind, setKind] = useState<Kind>('Hands');
  const [side, setSide] = useState<Side>('front');
  const moves = [...book.moves.values()].filter((move) =>
    (KINDS[kind] as readonly Family[]).includes(move.family),
  );
  return (
    <div role="group" aria-label="Moves to put on the strip" className="border-b border-rule pb-2">
      <div className="flex flex-wrap gap-1">
        <Toggles
          label="Which moves"
          value={kind}
          choices={KIND_CHOICES}
          onChange={(value) => setKind(value)}
        />
        <span className="w-6" />
        <Toggles
          label="Which side"
          value={side}
          // From the left lead, where the gym says left and right.
          choices={SIDES.map((value) => ({ value, label: sideWord(value, book.sides, 'left') }))}
          onChange={(value) => setSide(value)}
        />
      </div>
      <div className="flex flex-wrap gap-1 pt-1">
        {moves
          .flatMap((move) => choiceOf(move, side, book))
          .map((choice) => (
            <Tip key={choice.word} text={choice.name}>
              <button
                type="button"
                aria-label={`${choice.short} ${choice.word}: put ${choice.name}`}
                onClick={() => onPut(choice.word)}
                className="inline-flex min-h-11 items-center gap-1.5 rounded-md border border-rule bg-paper px-2 hover:border-ink"
              >
                <svg width={16} height={16} viewBox="-8 -8 16 16" aria-hidden="true">
                  <PinHead pin={choice.pin} r={5.5} />
                </svg>
                <span>{choice.short}</span>{' '}
                <code className="font-line text-sm" style={{ color: pinColour(choice.pin) }}>
                  {choice.word}
                </code>
              </button>
            </Tip>
          ))}
      </div>
    </div>
  );
});

/** The move as it is put from the wanted side; nothing when it is fixed to the other one or retired. */
function choiceOf(move: Move & { retired?: boolean }, wanted: Side, book: MoveBook) {
  if (move.retired || (move.side.kind === 'fixed' && move.side.side !== wanted)) return [];
  const isSided = move.side.kind === 'free' || move.side.kind === 'directed';
  const side = isSided || move.side.kind === 'fixed' ? wanted : null;
  const number = numberOf(book, move, side);
  return [
    {
      word: number === undefined ? `${isSided ? `${wanted.charAt(0)}:` : ''}${move.code}` : String(number),
      short: withoutSide(move.say.short),
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
