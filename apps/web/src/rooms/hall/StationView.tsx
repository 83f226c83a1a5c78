import { isRest } from '@eurhythm/core/rounds';
import { useState } from 'react';
import { clockText, secondsLeft } from '@eurhythm/core/units';
import { comboName } from '@eurhythm/core/plan';
import { PlainButton } from '../../ui/buttons/PlainButton.tsx';
import { Strip } from '../../strip/Strip.tsx';
import { useWidth } from '../../strip/useWidth.ts';
import { blockAt } from '../floor/board/whatComes.ts';
import { partnersAt } from '../floor/board/PartnersNow.tsx';
import { GroupChoice } from './GroupChoice.tsx';
import { TapPad } from '../../strikeInputs/TapPad.tsx';
import { INPUT_NAMES, ROUND_INPUT_KINDS, type RoundInputKind } from '../../strikeInputs/StrikeInput.ts';
import { deviceName } from '../../hall/deviceName.ts';
import { LandedArea } from '../floor/board/LandedArea.tsx';
import type { HallProps } from './hallProps.ts';
import { useStationInput, type StationInput } from './useStationInput.ts';
import { groupsOf, useShownLine } from './useShownLine.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

/** A phone draws no oftener, for its battery has the whole class; nor while it listens, for its processor has strikes to hear. */
const DRAWS_MS = { otherwise: 40, listening: 90 } as const;

const placeOf = (sessionId: string): string => `eurhythm.station.${sessionId}`;

/** A phone at a bag or a pair: whose it is, what they do now, and how long it lasts. */
export function StationView({ view, controller, state, book, member, joined }: HallProps) {
  const [own, setOwn] = useState<readonly string[]>(() => readOwn(view.sessionId));
  const [isChoosing, setChoosing] = useState(own.length === 0);
  const [group, setGroup] = useState('');
  const [kind, setKind] = useState<RoundInputKind | null>(null);
  const input = useStationInput({
    kind,
    code: member.code,
    name: deviceName(),
    fighterIds: own,
    controller,
    state,
    member,
    burst: joined.burst,
  });
  const { at, moment, cycle, combo, walk } = useShownLine(
    controller,
    state,
    book,
    group,
    kind === null ? DRAWS_MS.otherwise : DRAWS_MS.listening,
  );
  const [ref, width] = useWidth<HTMLDivElement>(340);
  const round = view.plan.rounds[state.round]!;
  const { block, left } = blockAt(round.blocks as never, at);
  const choose = (id: string): void => {
    const next = own.includes(id) ? own.filter((each) => each !== id) : [...own, id];
    setOwn(next);
    localStorage.setItem(placeOf(view.sessionId), JSON.stringify(next));
  };
  const people = view.fighters.filter(({ id }) => own.includes(id));
  const landed = joined.landed.filter((each) => each.round === state.round && own.includes(each.fighterId));
  const rests = block !== undefined && isRest(block);
  const partners = partnersAt(
    { rounds: view.plan.rounds as never, partners: view.partners },
    state.round,
    at,
  );
  const tasks = new Map(partners?.flat().map(({ id, role }) => [id, role]));
  if (isChoosing)
    return (
      <WhoTrainsHere people={view.fighters} own={own} onChoose={choose} onDone={() => setChoosing(false)} />
    );
  return (
    <main className="mat flex min-h-dvh flex-col gap-3 p-4">
      <div className="flex items-baseline justify-between gap-3">
        <Heading className="min-w-0 truncate font-text text-lg tracking-normal">{round.title}</Heading>
        <span className="board text-5xl leading-none" role="timer" aria-label="Time left">
          {clockText(secondsLeft(left))}
        </span>
      </div>
      <GroupChoice groups={groupsOf(controller, state.round)} value={group} onChange={setGroup} />
      <p className="board flex min-h-32 flex-1 items-center justify-center text-center text-7xl leading-none break-words uppercase">
        {joined.burst
          ? 'burst'
          : state.phase === 'held'
            ? 'held'
            : (moment.call?.text ?? (rests ? 'rest' : state.phase === 'ready' ? 'ready' : ''))}
      </p>
      {rests && landed.length > 0 ? (
        <LandedArea
          landed={landed}
          combos={controller.rounds[state.round]!.combos}
          fighters={view.fighters}
          book={book}
        />
      ) : (
        <div ref={ref} className="min-w-0 overflow-hidden">
          {combo && cycle && (
            <p className="text-lg">
              {comboName(combo)} · {cycle.lead} lead
            </p>
          )}
          {walk && cycle && (
            <Strip
              walk={walk}
              beats={cycle.beats}
              lead={cycle.lead}
              size="wall"
              countsBeats={false}
              room={width}
              now={moment.cycle ? moment.beat : null}
              done={moment.cycle ? moment.stroke : null}
            />
          )}
        </div>
      )}
      {kind === 'taps' && input.isOpen && (
        <TapPad who={people.map(({ name }) => name).join(' or ') || 'nobody yet'} />
      )}
      <StationEarRow kind={kind} input={input} onKind={setKind} isAlone={people.length === 1} />
      <ul aria-label="Here" className="text-xl">
        {people.map(({ id, name }) => (
          <li key={id}>
            <strong>{name}</strong> <span className="text-quiet">{tasks.get(id) ?? ''}</span>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="min-h-[44px] text-left text-quiet underline"
        onClick={() => setChoosing(true)}
      >
        Other people here
      </button>
    </main>
  );
}

interface WhoTrainsHereProps {
  readonly people: HallProps['view']['fighters'];
  readonly own: readonly string[];
  onChoose(id: string): void;
  onDone(): void;
}

function WhoTrainsHere({ people, own, onChoose, onDone }: WhoTrainsHereProps) {
  return (
    <main className="mat flex min-h-dvh flex-col gap-4 p-4">
      <Heading className="board text-4xl">Who trains here?</Heading>
      <ul aria-label="People" className="grid grid-cols-2 gap-2">
        {people.map(({ id, name }) => (
          <li key={id}>
            <PlainButton isOn={own.includes(id)} onPress={() => onChoose(id)} className="w-full">
              {name}
            </PlainButton>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="min-h-[64px] rounded bg-ink text-xl font-semibold text-canvas"
        onClick={onDone}
      >
        That is all
      </button>
    </main>
  );
}

interface InputRowProps {
  readonly kind: RoundInputKind | null;
  readonly input: StationInput;
  readonly isAlone: boolean;
  onKind(kind: RoundInputKind | null): void;
}

/** What this station hears with, how much it heard of the round, and whether the coach's device knows it. */
function StationEarRow({ kind, input, isAlone, onKind }: InputRowProps) {
  if (kind === null)
    return (
      <div role="group" aria-label="Listen with" className="flex flex-wrap gap-2">
        {ROUND_INPUT_KINDS.map((each) => (
          <PlainButton key={each} onPress={() => onKind(each)}>
            {INPUT_NAMES[each]}
          </PlainButton>
        ))}
      </div>
    );
  const { heard, waiting } = input.count;
  return (
    <div className="flex items-center gap-4 border-t-2 border-rule pt-2">
      <span className="board text-6xl leading-none" data-testid="heard">
        {heard}
      </span>
      <p
        role="status"
        className={`min-w-0 flex-1 ${input.status === '' ? 'text-quiet' : 'font-semibold text-caution'}`}
      >
        {input.status !== ''
          ? input.status
          : !input.isOpen
            ? 'It is being opened.'
            : waiting > 0
              ? `heard; ${waiting} wait for the coach’s device`
              : isAlone
                ? 'heard in this round'
                : 'heard in this round; they count for whoever works'}
      </p>
      <PlainButton onPress={() => onKind(null)}>stop</PlainButton>
    </div>
  );
}

function readOwn(sessionId: string): readonly string[] {
  try {
    return JSON.parse(localStorage.getItem(placeOf(sessionId)) ?? '[]') as string[];
  } catch {
    return []; // not written by us
  }
}
