import type { FighterView } from '@eurhythm/contract';
import { Button, Key } from '../../../../ui/buttons/Button.tsx';
import type { ClassBurst } from './classBurst.ts';
import { useNumbers } from './useNumbers.ts';

interface ClassNumbersProps {
  readonly burst: ClassBurst;
  readonly fighters: readonly FighterView[];
  onCount(place: number, count: number): void;
  onClose(): void;
}

/** After the bell: the names one after the other, a number and Enter for each. Who has none stays open. */
export function ClassNumbers({ burst, fighters, onCount, onClose }: ClassNumbersProps) {
  const { trials } = burst;
  const { place, go, enter, field, type, erase, odd, open, nameOf } = useNumbers(burst, fighters, onCount);
  const { what } = trials[place]!;
  return (
    <div className="flex min-h-0 flex-1 gap-8 p-8 phone:flex-col phone:gap-3 phone:p-4">
      <section aria-label="The number of" className="flex flex-1 flex-col items-center justify-center gap-3">
        <p className="text-[1.75rem] text-quiet" role="status">
          {what.title}, {what.seconds} s ·{' '}
          {open === 0 ? 'all entered' : `${open} of ${trials.length} still open`}
        </p>
        <p className="board text-center text-[4.5rem] leading-none phone:text-4xl">
          {nameOf(trials[place]!.fighterId)}
        </p>
        <input
          autoFocus
          {...field}
          className="board w-72 border-b-4 border-tape bg-transparent text-center text-[9rem] leading-none outline-offset-8 phone:text-7xl"
          onKeyDown={(event) => {
            if (event.key === 'Escape') onClose();
            else field.onKeyDown(event);
          }}
        />
        <p role="alert" className="min-h-8 text-xl font-semibold text-caution">
          {odd}
        </p>
        <NumberPad onDigit={type} onBack={erase} onEnter={enter} />
        <p className="text-quiet pointer-coarse:hidden">
          A number, then <Key>Enter</Key>. <Key>↑</Key> <Key>↓</Key> to another name; <Key>Esc</Key> back to
          the round, and the open ones stay open.
        </p>
        <Button className="min-h-[64px] px-6 text-xl" onClick={onClose}>
          {open === 0 ? 'Back to the round' : 'Later'}
        </Button>
      </section>
      <ol
        aria-label="Numbers of the class"
        className="grid max-h-full flex-1 auto-cols-fr grid-flow-col grid-rows-[repeat(15,minmax(0,1fr))] content-start gap-x-4 phone:grid-flow-row phone:grid-rows-none"
      >
        {trials.map(({ id, fighterId, count }, i) => (
          <li key={id}>
            <button
              type="button"
              aria-current={i === place}
              onClick={() => go(i)}
              className={`flex min-h-[44px] w-full items-baseline justify-between gap-3 border-b border-rule px-2 text-left text-lg ${i === place ? 'bg-tape text-on-tape' : ''}`}
            >
              <span className="truncate">{nameOf(fighterId)}</span>
              <strong className="tabular">{count ?? '–'}</strong>
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}

interface NumberPadProps {
  onDigit(digit: number): void;
  onBack(): void;
  onEnter(): void;
}

/** For fingers. */
function NumberPad({ onDigit, onBack, onEnter }: NumberPadProps) {
  const key = 'min-h-[64px] rounded border-2 border-rule text-2xl font-bold';
  return (
    <div
      className="hidden w-full max-w-sm grid-cols-3 gap-2 pointer-coarse:grid"
      role="group"
      aria-label="Digits"
    >
      {[1, 2, 3, 4, 5, 6, 7, 8, 9].map((digit) => (
        <button key={digit} type="button" className={key} onClick={() => onDigit(digit)}>
          {digit}
        </button>
      ))}
      <button type="button" className={key} onClick={onBack}>
        Back
      </button>
      <button type="button" className={key} onClick={() => onDigit(0)}>
        0
      </button>
      <button type="button" className={`${key} bg-tape text-on-tape`} onClick={onEnter}>
        Next
      </button>
    </div>
  );
}
