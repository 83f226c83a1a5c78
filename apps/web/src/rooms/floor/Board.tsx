import { useEffect, useMemo } from 'react';
import { analyseCombo, type Walk } from '@eurhythm/core/body';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import { comboName } from '@eurhythm/core/plan';
import { momentOfRound, type BlockCombo, type Cycle } from '@eurhythm/core/rounds';
import type { CompiledRoundView, FighterView, RunView } from '@eurhythm/contract';
import type { DeckState, RunDeck } from '../../floor/RunDeck.ts';
import { useFrame } from '../../floor/useFrame.ts';
import { Strip } from '../../strip/Strip.tsx';
import { useWidth } from '../../strip/useWidth.ts';
import { clockText } from '@eurhythm/core/units';
import { PartnersNow } from './PartnersNow.tsx';
import { TapeClock } from './TapeClock.tsx';

interface BoardProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly deck: RunDeck;
  readonly state: DeckState;
  readonly book: MoveBook;
}

/** What everybody looks at: the time, the call, the strip with its moving notch, and what comes next. */
export function Board({ run, fighters, deck, state, book }: BoardProps) {
  const position = useFrame(() => deck.position, state.phase === 'running');
  const at = state.phase === 'running' ? position : deck.position;
  const compiled = deck.rounds[state.round]!;
  const round = run.rounds[state.round]!;
  const { block, left } = blockAt(round.blocks, at);
  const isRest = block?.kind === 'rest';
  const moment = momentOfRound(compiled, at);
  const shown =
    moment.cycle ?? nextCycle(compiled, at) ?? (isRest ? deck.rounds[state.round + 1]?.cycles[0] : undefined);
  const combos = useMemo(
    () => new Map(deck.rounds.flatMap((each) => each.combos).map((combo) => [combo.id, combo])),
    [deck],
  );
  const combo = shown && combos.get(shown.combo);
  const bpm = shown && Math.round(60 / shown.beatSeconds);
  return (
    <>
      <TapeClock left={left} of={block?.seconds ?? 0} isRest={isRest} />
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-10 pt-3 text-[1.4rem] phone:px-4 phone:pt-1 phone:text-base">
        <h1 className="font-text text-[1em] tracking-normal">
          {round.title}{' '}
          <span className="font-normal text-quiet">
            · round {state.round + 1} of {run.rounds.length}
          </span>
        </h1>
        <p className="text-quiet">
          {combo && (
            <>
              <strong className="text-ink">{comboName(combo)}</strong> · {bpm} a minute ·{' '}
              {moment.cycle?.lead ?? shown.lead} lead
              {shown.intensity !== null && ` · contact ${shown.intensity} %`}
            </>
          )}
        </p>
      </div>
      <CallArea
        state={state}
        deck={deck}
        run={run}
        moment={moment}
        isRest={isRest}
        restText={nextText(run, state.round)}
      />
      <StripArea
        cycle={shown}
        combo={combo}
        book={book}
        now={moment.cycle ? moment.beat : null}
        done={moment.cycle ? moment.stroke : null}
      />
      <PartnersNow run={run} fighters={fighters} round={state.round} at={at} />
      {shown?.lanes && (
        <p className="px-10 text-[1.4rem] phone:px-4 phone:text-base" data-testid="lanes">
          {shown.lanes.map(({ group, combo: own }) => (
            <span key={group} className="mr-8">
              <span className="text-quiet">{group}</span> <strong>{comboName(combos.get(own))}</strong>
            </span>
          ))}
        </p>
      )}
      <p className="px-10 pb-2 text-xl text-quiet phone:px-4 phone:text-base flat:hidden">
        {nextLine(compiled, combos, at, shown) ??
          (isRest ? '' : `after this round: ${nextText(run, state.round)}`)}
      </p>
    </>
  );
}

function CallArea({
  state,
  deck,
  run,
  moment,
  isRest,
  restText,
}: {
  state: DeckState;
  deck: RunDeck;
  run: RunView;
  moment: ReturnType<typeof momentOfRound>;
  isRest: boolean;
  restText: string;
}) {
  const call =
    state.phase === 'running'
      ? (moment.call?.text ?? (isRest ? 'rest' : ''))
      : state.phase === 'held'
        ? 'held'
        : 'ready when you are';
  const size = Math.min(12, Math.max(4.2, 78 / Math.max(5, call.length)));
  return (
    <div className="relative flex min-h-0 flex-1 items-center justify-center px-10 phone:flex-col phone:px-4">
      {state.phase === 'running' && moment.before && !isRest && (
        <SideWord at="left-10 phone:hidden" over="just called" word={moment.before.text} tone="text-quiet" />
      )}
      <p
        className="board text-center leading-[0.95] uppercase"
        style={{ fontSize: `min(${size}rem, ${(165 / Math.max(5, call.length)).toFixed(1)}vw, 28vh)` }}
        data-testid="call"
      >
        {call}
      </p>
      {state.phase === 'running' && moment.offer && !isRest && (
        <SideWord
          at="right-10 text-right"
          over="holder shows next"
          word={moment.offer.text}
          tone="text-holder"
        />
      )}
      {state.phase === 'ready' && <DroppedCalls deck={deck} run={run} />}
      {isRest && <SideWord at="right-10 text-right" over="then" word={restText} tone="text-ink" />}
      {state.cameBackAt !== null && (
        <p
          role="status"
          className="absolute top-2 left-1/2 -translate-x-1/2 rounded bg-tape px-4 py-1 text-lg font-semibold text-on-tape"
        >
          Came back at {clockText(state.cameBackAt)} of round {state.round + 1}.{' '}
          {deck.audible ? '' : 'Press any key for sound.'}
        </p>
      )}
    </div>
  );
}

/** Told before the run: the calls that will not be heard, round by round. */
function DroppedCalls({ deck, run }: { deck: RunDeck; run: RunView }) {
  const dropped = deck.rounds.map(
    (round) => round.findings.filter((finding) => finding.rule === 'call-dropped').length,
  );
  const all = dropped.reduce((sum, n) => sum + n, 0);
  if (all === 0) return null;
  const where = dropped.flatMap((n, i) => (n === 0 ? [] : [`${run.rounds[i]!.title} ${n}`]));
  return (
    <p className="absolute bottom-2 left-10 text-xl text-quiet phone:static phone:text-base">
      Could not fit {all} {all === 1 ? 'call' : 'calls'}: {where.join(', ')}
    </p>
  );
}

function SideWord({ at, over, word, tone }: { at: string; over: string; word: string; tone: string }) {
  return (
    <div
      className={`absolute bottom-2 phone:static phone:text-center flat:flex flat:items-baseline flat:gap-3 ${at}`}
    >
      <p className="text-xl text-quiet">{over}</p>
      <p className={`board max-w-80 text-5xl leading-none phone:text-3xl ${tone}`}>{word}</p>
    </div>
  );
}

interface StripAreaProps {
  readonly cycle: Cycle | undefined;
  readonly combo: BlockCombo | undefined;
  readonly book: MoveBook;
  readonly now: number | null;
  readonly done: number | null;
}

/** Below this the strip is drawn as on the wall, where less room is enough. */
const NARROW = 640;

function StripArea({ cycle, combo, book, now, done }: StripAreaProps) {
  const [ref, width] = useWidth<HTMLDivElement>(1200);
  // A line that is wider than the screen goes along with its notch.
  useEffect(() => {
    const drawn = ref.current?.querySelector('svg');
    if (!ref.current || !drawn || !cycle) return;
    const { clientWidth } = ref.current;
    ref.current.scrollLeft = ((now ?? 0) / cycle.beats) * drawn.clientWidth - clientWidth / 2;
  }, [ref, now, cycle]);
  const walk = useWalk(cycle?.line ?? combo?.line, cycle?.lead ?? 'left', book);
  return (
    <div ref={ref} className="min-h-[264px] shrink-0 overflow-hidden px-6 max-[500px]:px-0 flat:hidden">
      {walk && cycle && (
        <div style={{ opacity: now === null ? 0.55 : 1 }}>
          <Strip
            walk={walk}
            beats={cycle.beats}
            lead={cycle.lead}
            size={width < NARROW ? 'wall' : 'mat'}
            room={width - 50}
            now={now}
            done={done}
          />
        </div>
      )}
    </div>
  );
}

function useWalk(line: string | undefined, lead: Lead, book: MoveBook): Walk | null {
  return useMemo(() => {
    const analysis = line === undefined ? null : analyseCombo(line, book, lead);
    return analysis?.ok ? analysis.walk : null;
  }, [line, lead, book]);
}

/** The block that runs at an instant, and the seconds that are left of it. */
function blockAt(blocks: RunView['rounds'][number]['blocks'], at: number) {
  let end = 0;
  for (const block of blocks) {
    end += block.seconds;
    if (at < end) return { block, left: end - at };
  }
  return { block: blocks.at(-1), left: 0 };
}

function nextCycle(round: CompiledRoundView, at: number): Cycle | undefined {
  return round.cycles.find((cycle) => cycle.at >= at);
}

/** The combo that is called after the one that is shown, when it is another one. */
function nextLine(
  round: CompiledRoundView,
  combos: ReadonlyMap<string, BlockCombo>,
  at: number,
  shown: Cycle | undefined,
): string | null {
  const later = round.cycles.find(
    (cycle) =>
      cycle.at > at &&
      (cycle.combo !== shown?.combo || cycle.lead !== shown.lead || cycle.line !== shown.line),
  );
  const combo = later && combos.get(later.combo);
  return combo ? `next: ${comboName(combo)}, ${later.lead} lead · ${later.line ?? combo.line}` : null;
}

function nextText(run: RunView, round: number): string {
  return run.rounds[round + 1]?.title ?? 'the end';
}
