import type { FighterView } from '@eurhythm/contract';
import { Button } from '../../../../ui/buttons/Button.tsx';
import type { ClassBurst } from './classBurst.ts';
import { useNumbers } from './useNumbers.ts';

interface NumbersBarProps {
  readonly burst: ClassBurst;
  readonly fighters: readonly FighterView[];
  onCount(place: number, count: number): void;
  /** What is open stays open. */
  onLater(): void;
  /** The space bar holds the class, also while a number is written. */
  onSpace?(): void;
}

/** The numbers of a planned burst, asked where the marks are while the class goes on: a number and Enter for each name. */
export function NumbersBar({ burst, fighters, onCount, onLater, onSpace }: NumbersBarProps) {
  const { trials } = burst;
  const { place, go, enter, field, odd, open, nameOf } = useNumbers(burst, fighters, onCount);
  const { what, fighterId } = trials[place]!;
  return (
    <section aria-label="Numbers of the burst" className="flex flex-col gap-2 px-8 pb-2 phone:px-4">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <p className="text-lg text-quiet" role="status">
          {what.title}, {what.seconds} s · {open === 0 ? 'all entered' : `${open} of ${trials.length} open`}
        </p>
        <label className="flex items-baseline gap-4">
          <strong className="text-[2rem] leading-none">{nameOf(fighterId)}</strong>
          <input
            autoFocus
            {...field}
            className="board w-28 border-b-4 border-tape bg-transparent text-center text-[2.5rem] leading-none"
            onKeyDown={(event) => {
              if (event.key === ' ' && onSpace) {
                event.preventDefault();
                if (!event.repeat) onSpace();
              } else if (event.key === 'Escape') onLater();
              else field.onKeyDown(event);
            }}
          />
        </label>
        <Button className="min-h-[52px]" onClick={enter}>
          Enter
        </Button>
        <Button weight="bare" className="min-h-[52px]" onClick={onLater}>
          {open === 0 ? 'Back to the marks' : 'Later'}
        </Button>
        <p role="alert" className="font-semibold text-caution">
          {odd}
        </p>
      </div>
      <ol
        aria-label="Numbers of the class"
        className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-1.5 phone:max-h-48 phone:overflow-y-auto"
      >
        {trials.map(({ id, fighterId: of, count }, i) => (
          <li key={id}>
            <button
              type="button"
              aria-current={i === place}
              onClick={() => go(i)}
              className={`flex min-h-[44px] w-full items-center justify-between gap-2 rounded border border-rule px-2 text-left ${i === place ? 'bg-tape text-on-tape' : ''}`}
            >
              <span className="truncate">{nameOf(of)}</span>
              <strong className="tabular">{count ?? '–'}</strong>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
