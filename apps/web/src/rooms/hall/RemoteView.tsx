import { useState } from 'react';
import type { StampId } from '@eurhythm/core/run';
import { clockText, secondsLeft } from '@eurhythm/core/units';
import type { WishDto } from '@eurhythm/contract';
import { useFrame } from '../../floor/useFrame.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { PlainButton } from '../../ui/buttons/PlainButton.tsx';
import { blockAt } from '../floor/board/whatComes.ts';
import { StampRow } from '../floor/marks/StampRow.tsx';
import type { HallProps } from './hallProps.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

/** The class in a hand: hold, next, again, marks, and the numbers of a burst. What is pressed is done by the coach's device. */
export function RemoteView({ view, controller, state, member, joined }: HallProps) {
  const position = useFrame(() => controller.position, state.phase === 'running');
  const at = state.phase === 'running' ? position : controller.position;
  const round = view.plan.rounds[state.round]!;
  const { left } = blockAt(round.blocks as never, at);
  const [said, setSaid] = useState({ message: '', isDone: true });
  const [stamp, setStamp] = useState<StampId>('part');
  const ask = async (wish: Omit<WishDto, 'id'>): Promise<void> => {
    setSaid({ message: '…', isDone: true });
    setSaid(await member.wish(wish));
  };
  const isOver = state.phase === 'over';
  return (
    <main className="mat flex min-h-dvh flex-col gap-3 p-3">
      <div className="flex items-baseline justify-between gap-3">
        <Heading className="min-w-0 truncate font-text text-lg tracking-normal">
          {isOver ? 'That was the session' : round.title}
        </Heading>
        <span className="board text-4xl leading-none" role="timer" aria-label="Time left">
          {isOver ? '' : clockText(secondsLeft(left))}
        </span>
      </div>
      <p
        role="status"
        className={`min-h-6 text-base font-semibold ${said.isDone ? 'text-quiet' : 'text-caution'}`}
      >
        {said.message}
      </p>
      {!isOver && (
        <>
          <Button weight="main" className="min-h-[112px] text-4xl" onClick={() => void ask({ kind: 'hold' })}>
            {state.phase === 'running' ? 'Hold' : state.phase === 'ready' ? 'Start' : 'Go on'}
          </Button>
          <div className="grid grid-cols-2 gap-3">
            <Button className="min-h-[64px] text-lg" onClick={() => void ask({ kind: 'again' })}>
              Round again
            </Button>
            <Button className="min-h-[64px] text-lg" onClick={() => void ask({ kind: 'next' })}>
              Next round
            </Button>
          </div>
        </>
      )}
      {joined.counting.length > 0 ? (
        <Numbers {...{ view, counting: joined.counting, ask }} />
      ) : (
        <section aria-label="Marks" className="flex flex-col gap-2">
          <StampRow stamp={stamp} onStamp={setStamp}>
            <PlainButton onPress={() => void ask({ kind: 'undo' })}>Undo</PlainButton>
          </StampRow>
          <ul aria-label="People" className="grid grid-cols-2 gap-2">
            {view.fighters.map(({ id, name }) => (
              <li key={id}>
                <Button
                  className="min-h-[64px] w-full text-lg"
                  onClick={() => void ask({ kind: 'mark', fighterId: id, stamp })}
                >
                  {name}
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}

interface NumbersProps {
  readonly view: HallProps['view'];
  readonly counting: readonly string[];
  ask(wish: Omit<WishDto, 'id'>): Promise<void>;
}

/** After a burst of the class: the numbers of those who are still open, reported from here. */
function Numbers({ view, counting, ask }: NumbersProps) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const open = view.fighters.filter(({ id }) => counting.includes(id));
  return (
    <section aria-label="Numbers of the burst" className="flex flex-col gap-2">
      <p className="text-lg font-semibold">How many did they do?</p>
      {open.map(({ id, name }) => (
        <form
          key={id}
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (typed[id]) void ask({ kind: 'count', fighterId: id, said: Number(typed[id]) });
          }}
        >
          <label className="min-w-0 flex-1 truncate text-lg" htmlFor={`count-${id}`}>
            {name}
          </label>
          <input
            id={`count-${id}`}
            inputMode="numeric"
            autoComplete="off"
            className="board min-h-[64px] w-24 border-b-4 border-tape bg-transparent text-center text-4xl"
            value={typed[id] ?? ''}
            onChange={(event) =>
              setTyped({ ...typed, [id]: event.target.value.replace(/\D/g, '').slice(0, 4) })
            }
          />
          <Button className="min-h-[64px]" type="submit" disabled={!typed[id]}>
            Keep
          </Button>
        </form>
      ))}
    </section>
  );
}
