import { useState, useSyncExternalStore } from 'react';
import type { FighterView } from '@eurhythm/contract';
import { EAR_KINDS, EAR_NAMES, type EarKind } from '../../../ears/Ear.ts';
import type { Listener } from '../../../floor/listening/Listening.ts';
import type { Landed } from '../../../floor/listening/landed.ts';
import { Button } from '../../../ui/Button.tsx';
import { ChoiceField } from '../../../ui/Field.tsx';
import type { FloorEars } from './useFloorEars.ts';
import { landedText } from './landedText.ts';

interface EarsPanelProps {
  readonly ears: FloorEars;
  readonly fighters: readonly FighterView[];
  readonly round: number;
}

const NOTHING = { value: 'nothing', label: 'nothing' } as const;
const KINDS = [NOTHING, ...EAR_KINDS.map((value) => ({ value, label: EAR_NAMES[value] }))];

/** Everything that listens to this class: this device and the stations, what each has heard of the round, and what came of it. */
export function EarsPanel({ ears, fighters, round }: EarsPanelProps) {
  const { own, listening } = ears;
  useSyncExternalStore(listening.subscribe, listening.snapshot);
  const nameOf = (id: string): string => fighters.find((each) => each.id === id)?.name ?? 'somebody who left';
  const { wish } = own;
  return (
    <section
      aria-label="What listens"
      className="grid gap-x-8 border-t-2 border-rule px-8 py-2 lg:grid-cols-[minmax(0,24rem)_1fr] phone:px-4"
    >
      <div>
        <div className="flex items-end gap-3">
          <ChoiceField
            label="This device hears with"
            value={wish.kind}
            choices={KINDS}
            onChange={(kind) =>
              own.change({
                kind: kind as EarKind | 'nothing',
                fighterIds: whoFor(kind, wish.fighterIds, fighters),
              })
            }
          />
          {wish.kind !== 'nothing' && (
            <ChoiceField
              label="Whose strikes"
              value={wish.fighterIds[0] ?? ''}
              choices={fighters.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(id) => own.change({ ...wish, fighterIds: [id] })}
            />
          )}
        </div>
        <p role="status" className={own.failure === '' ? 'text-quiet' : 'font-semibold text-caution'}>
          {own.failure !== ''
            ? own.failure
            : wish.kind === 'nothing'
              ? 'Stations join by the code of D; they listen by themselves.'
              : own.isOpen
                ? wish.kind === 'pretend'
                  ? 'A virtual fighter strikes in every round. Nothing of it is kept.'
                  : 'It listens in every round. Nobody has to touch it.'
                : 'It is being opened.'}
        </p>
      </div>
      <ul aria-label="Listeners" className="min-w-0">
        {listening.listeners.length === 0 && (
          <li className="py-2 text-lg text-quiet">Nothing listens yet.</li>
        )}
        {listening.listeners.map((listener) => (
          <ListenerRow
            key={listener.id}
            listener={listener}
            who={listener.fighterIds.map(nameOf).join(', ')}
            count={countIn(ears, listener, round)}
            landed={ears.landed.filter(({ take }) => take.listener.id === listener.id)}
            isDouble={isDouble(ears, listener)}
            nameOf={nameOf}
            ears={ears}
          />
        ))}
      </ul>
    </section>
  );
}

function whoFor(kind: string, now: readonly string[], fighters: readonly FighterView[]): readonly string[] {
  return kind === 'nothing' || now.length > 0 ? now : fighters.slice(0, 1).map(({ id }) => id);
}

/** What was heard of the round so far that counts. */
const countIn = ({ listening }: FloorEars, { id }: Listener, round: number): number =>
  listening
    .of(round)
    .filter(({ listener }) => listener.id === id)
    .reduce((sum, { onsets }) => sum + onsets.filter(({ doubtful }) => doubtful !== true).length, 0);

/** Whether somebody of this listener is heard by another one, too. */
const isDouble = ({ listening }: FloorEars, { id, fighterIds }: Listener): boolean =>
  listening.listeners.some(
    (other) => other.id !== id && other.fighterIds.some((each) => fighterIds.includes(each)),
  );

interface ListenerRowProps {
  readonly listener: Listener;
  readonly who: string;
  readonly count: number;
  readonly landed: readonly Landed[];
  readonly isDouble: boolean;
  readonly ears: FloorEars;
  nameOf(id: string): string;
}

function ListenerRow({ listener, who, count, landed, isDouble: isTwice, ears, nameOf }: ListenerRowProps) {
  return (
    <li className="flex flex-wrap items-center gap-x-5 border-b border-rule py-1">
      <span className="board w-16 text-right text-4xl leading-none" aria-label={`${count} heard`}>
        {count}
      </span>
      <span className="min-w-0 flex-1 text-lg">
        <strong>{listener.name}</strong> · {who === '' ? 'nobody chosen there' : who}
        {listener.source === null && <span className="text-quiet"> · only tried</span>}
        {isTwice && <span className="text-quiet"> · heard by two: the better ear counts</span>}
        {listener.told !== '' && <span className="block text-base text-caution">{listener.told}</span>}
      </span>
      <ul className="w-full space-y-1 pl-20">
        {landed.map((each) => (
          <LandedRow key={each.fighterId} landed={each} name={nameOf(each.fighterId)} ears={ears} />
        ))}
      </ul>
    </li>
  );
}

function LandedRow({ landed, name, ears }: { landed: Landed; name: string; ears: FloorEars }) {
  const { match } = landed.heard;
  const { isDropped } = landed.take;
  const counted = ears.countOf(landed);
  const [typed, setTyped] = useState('');
  const number = /^\d{1,4}$/.test(typed) ? Number(typed) : null;
  const counts = {
    hits: match.hits.length,
    misses: match.misses.length,
    extras: match.extras.length,
    bias: match.bias,
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4">
      <span className={isDropped ? 'text-quiet line-through' : ''}>
        {name}: {landedText(counts)}
        {landed.doubtful > 0 && `; ${landed.doubtful} doubtful`}
        {landed.unheard > 0 && `; ${landed.unheard} may lie under a tick`}
        {counted !== null && <strong>; {counted} counted by hand</strong>}
      </span>
      <Button weight="bare" onClick={() => ears.drop(landed.take, !isDropped)}>
        {isDropped ? 'They after all' : 'Not them'}
      </Button>
      {!isDropped && ears.canCount(landed) && (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (number === null) return;
            ears.count(landed, number);
            setTyped('');
            // The keys are the round's again.
            if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
          }}
        >
          <label className="sr-only" htmlFor={`count-${landed.fighterId}`}>
            Counted by hand for {name}
          </label>
          <input
            id={`count-${landed.fighterId}`}
            inputMode="numeric"
            placeholder="by hand"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            className="min-h-11 w-24 border-b-2 border-tape bg-transparent text-center"
          />
          <Button type="submit" disabled={number === null}>
            Take this number
          </Button>
        </form>
      )}
    </li>
  );
}
