import { useQuery } from '@tanstack/react-query';
import { useRef, useState, type ChangeEvent, type KeyboardEvent } from 'react';
import type { FighterView } from '@eurhythm/contract';
import { queries } from '../../../../server/queries.ts';
import { nextOpen, oddCount, type ClassBurst } from './classBurst.ts';

/** The numbers of a burst, asked one after the other: who is asked, what is typed, and what is odd about it. */
export function useNumbers(
  { trials }: ClassBurst,
  fighters: readonly FighterView[],
  onCount: (place: number, count: number) => void,
) {
  const [chosen, setPlace] = useState(() => nextOpen(trials, -1));
  const [typed, setTyped] = useState('');
  const [odd, setOdd] = useState('');
  // One field for all: of a field that comes anew with each name, the first keys would be lost.
  const field = useRef<HTMLInputElement>(null);
  // More may be asked, and what is put away goes.
  const place = Math.min(chosen, trials.length - 1);
  const { what, fighterId, count, lead } = trials[place]!;
  // Of the own lead alone: that is what the class table knows.
  const { data: known } = useQuery({
    ...queries.classProgress(what.id === undefined ? {} : { testId: what.id }),
    enabled: what.id !== undefined,
  });
  const ofPerson = known?.rows.find((row) => row.fighterId === fighterId && row.lead === lead);
  const oddOf = (number: string) => oddCount(number, what.seconds, ofPerson?.usual ?? null);
  const nameOf = (id: string): string => fighters.find((each) => each.id === id)?.name ?? 'somebody who left';
  const go = (to: number): void => {
    setPlace(Math.max(0, Math.min(trials.length - 1, to)));
    setTyped('');
    setOdd('');
    field.current?.focus();
  };
  const enter = (): void => {
    if (typed === '') return go(place + 1);
    const why = oddOf(typed);
    const isAsked = why !== null && odd !== typed;
    if (isAsked || (why !== null && Number.isNaN(Number(typed)))) return setOdd(typed);
    if (!/^\d{1,4}$/.test(typed) || Number(typed) > 2000) return;
    onCount(place, Number(typed));
    go(nextOpen(trials.with(place, { ...trials[place]!, count: Number(typed) }), place));
  };
  return {
    place,
    go,
    enter,
    type: (digit: number) => setTyped((before) => `${before}${digit}`.slice(0, 4)),
    erase: () => setTyped((before) => before.slice(0, -1)),
    odd: odd === '' ? '' : oddOf(odd),
    open: trials.filter((trial) => trial.count === null).length,
    nameOf,
    field: {
      ref: field,
      inputMode: 'numeric',
      autoComplete: 'off',
      'aria-label': `How many ${nameOf(fighterId)} did`,
      'aria-invalid': odd !== '',
      value: typed,
      placeholder: String(count ?? ''),
      onChange: (event: ChangeEvent<HTMLInputElement>) =>
        setTyped(event.target.value.replace(/\D/g, '').slice(0, 4)),
      onKeyDown: (event: KeyboardEvent) => {
        if (event.key === 'Enter') enter();
        else if (event.key === 'ArrowDown') go(place + 1);
        else if (event.key === 'ArrowUp') go(place - 1);
        else return;
        event.preventDefault();
      },
    },
  } as const;
}
