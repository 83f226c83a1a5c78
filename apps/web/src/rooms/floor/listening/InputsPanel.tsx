import { useState, useSyncExternalStore } from 'react';
import type { FighterView } from '@eurhythm/contract';
import { INPUT_NAMES, ROUND_INPUT_KINDS, type RoundInputKind } from '../../../strikeInputs/StrikeInput.ts';
import type { Listener } from '../../../floor/listening/Listening.ts';
import type { StrikeResult } from '../../../floor/listening/strikeResults.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import type { RunListening } from '../../../floor/listening/RunListening.ts';
import type { RunInputs } from './useRunListening.ts';
import { landedText } from './landedText.ts';

interface InputsPanelProps {
  readonly inputs: RunInputs;
  readonly fighters: readonly FighterView[];
  readonly round: number;
}

const NOTHING = { value: 'nothing', label: 'nothing' } as const;
const KINDS = [NOTHING, ...ROUND_INPUT_KINDS.map((value) => ({ value, label: INPUT_NAMES[value] }))];

/** Everything that listens to this class: this device and the stations, what each has heard of the round, and what came of it. */
export function InputsPanel({ inputs, fighters, round }: InputsPanelProps) {
  const { own, heard, shown } = inputs;
  const { listening } = heard;
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
                kind: kind as RoundInputKind | 'nothing',
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
                  : wish.kind === 'taps'
                    ? 'Tap each strike that you see, in every round, on the field below or with Enter.'
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
            count={countIn(heard, listener, round)}
            results={shown.results.filter(({ take }) => take.listener.id === listener.id)}
            isDouble={isDouble(heard, listener)}
            nameOf={nameOf}
            heard={heard}
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
const countIn = ({ listening }: RunListening, { id }: Listener, round: number): number =>
  listening
    .of(round)
    .filter(({ listener }) => listener.id === id)
    .reduce((sum, { onsets }) => sum + onsets.filter(({ doubtful }) => doubtful !== true).length, 0);

/** Whether somebody of this listener is heard by another one, too. */
const isDouble = ({ listening }: RunListening, { id, fighterIds }: Listener): boolean =>
  listening.listeners.some(
    (other) => other.id !== id && other.fighterIds.some((each) => fighterIds.includes(each)),
  );

interface ListenerRowProps {
  readonly listener: Listener;
  readonly who: string;
  readonly count: number;
  readonly results: readonly StrikeResult[];
  readonly isDouble: boolean;
  readonly heard: RunListening;
  nameOf(id: string): string;
}

function ListenerRow({ listener, who, count, results, isDouble: isTwice, heard, nameOf }: ListenerRowProps) {
  return (
    <li className="flex flex-wrap items-center gap-x-5 border-b border-rule py-1">
      <span className="board w-16 text-right text-4xl leading-none" aria-label={`${count} heard`}>
        {count}
      </span>
      <span className="min-w-0 flex-1 text-lg">
        <strong>{listener.name}</strong> · {who === '' ? 'nobody chosen there' : who}
        {listener.source === null && <span className="text-quiet"> · only tried</span>}
        {isTwice && <span className="text-quiet"> · heard by two inputs: the better one counts</span>}
        {listener.status !== '' && <span className="block text-base text-caution">{listener.status}</span>}
      </span>
      <ul className="w-full space-y-1 pl-20">
        {results.map((each) => (
          <ResultRow key={each.fighterId} result={each} name={nameOf(each.fighterId)} heard={heard} />
        ))}
      </ul>
    </li>
  );
}

function ResultRow({ result, name, heard }: { result: StrikeResult; name: string; heard: RunListening }) {
  const { match } = result.landed;
  const { isDropped } = result.take;
  const counted = heard.countOf(result);
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
        {result.doubtful > 0 && `; ${result.doubtful} doubtful`}
        {result.unheard > 0 && `; ${result.unheard} may lie under a tick`}
        {counted !== null && <strong>; {counted} counted by hand</strong>}
      </span>
      <Button weight="bare" onClick={() => heard.drop(result.take, !isDropped)}>
        {isDropped ? 'They after all' : 'Not them'}
      </Button>
      {!isDropped && heard.canCount(result) && (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (number === null) return;
            heard.count(result, number);
            setTyped('');
            // The keys are the round's again.
            if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
          }}
        >
          <label className="sr-only" htmlFor={`count-${result.fighterId}`}>
            Counted by hand for {name}
          </label>
          <input
            id={`count-${result.fighterId}`}
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
