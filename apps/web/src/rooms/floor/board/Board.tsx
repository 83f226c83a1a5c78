import { useMemo } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import { comboName } from '@eurhythm/core/plan';
import { momentOfRound, sceneAt, boardOf, callWordsOf } from '@eurhythm/core/rounds';
import type { ControllerState } from '../../../floor/run/RunController.ts';
import { lineTeller } from '../../../strip/lineWords.ts';
import { useFrame } from '../../../floor/useFrame.ts';
import { bigText, sceneTime } from './bigText.ts';
import type { LandedDto } from '@eurhythm/contract';
import { CallArea } from './CallArea.tsx';
import { LandedArea } from './LandedArea.tsx';
import { LaneStrips } from './LaneStrips.tsx';
import { PartnersComing, WorkingNow, partnersAt } from './PartnersNow.tsx';
import { ScenePicture } from './ScenePicture.tsx';
import { StripArea } from './StripArea.tsx';
import { TapeClock } from './TapeClock.tsx';
import type { Person, ShownController, ShownRun } from './shown.ts';
import { blockAt, nextCycle, nextInRound, nextText, roundAfterRest } from './whatComes.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** Share of a rest in which is seen what landed before it. */
const SEEN_SHARE = 0.6;

const NOTHING: readonly LandedDto[] = [];

interface BoardProps {
  readonly run: ShownRun;
  readonly fighters: readonly Person[];
  readonly controller: ShownController;
  readonly state: ControllerState;
  readonly book: MoveBook;
  /** What was heard of the rounds so far; nothing where nothing listens. */
  readonly landed?: readonly LandedDto[];
}

/** What everybody looks at: the time, the call, what is done now and how, for each group, and what comes next. */
export function Board({ run, fighters, controller, state, book, landed = NOTHING }: BoardProps) {
  const position = useFrame(() => controller.position, state.phase === 'running');
  const at = state.phase === 'running' ? position : controller.position;
  const compiled = controller.rounds[state.round]!;
  const round = run.rounds[state.round]!;
  const { block, left } = blockAt(round.blocks, at);
  const shows = block ? boardOf(block) : null;
  const isRest = shows === 'next';
  const coming = isRest ? roundAfterRest(run, state.round, at) : state.round;
  // The round that is over is nobody's concern in the rest behind it.
  const isBetween = isRest && coming !== state.round;
  const moment = momentOfRound(compiled, at);
  const scene = block ? sceneAt(compiled.scenes, block.id, sceneTime(at, moment.call)) : null;
  const big = bigText({ phase: state.phase, moment, scene, at, isRest });
  const shown =
    shows !== null && shows !== 'scenes'
      ? (moment.cycle ??
        nextCycle(compiled, at) ??
        (isRest ? controller.rounds[state.round + 1]?.cycles[0] : undefined))
      : undefined;
  // In a rest what is shown may be of the next round, which has combos of its own.
  const source = shown && !compiled.cycles.includes(shown) ? controller.rounds[state.round + 1]! : compiled;
  const combos = useMemo(() => new Map(source.combos.map((each) => [each.id, each])), [source]);
  const combo = shown && combos.get(shown.combo);
  const tell = useMemo(() => lineTeller(book), [book]);
  const partners = partnersAt(run, state.round, at);
  // People look for each other.
  const isChange = isRest || state.phase === 'ready';
  const ofRound = useMemo(() => landed.filter((each) => each.round === state.round), [landed, state.round]);
  // What landed has the first part of a rest; then people look for each other.
  const isSeen =
    isRest && ofRound.length > 0 && (block?.seconds ?? 0) - left < SEEN_SHARE * (block?.seconds ?? 0);
  // Before the bell the strip itself shows what comes first.
  const isStripOfNext = state.phase === 'ready' && !partners && shown !== undefined;
  const blocks = run.rounds[controller.rounds.indexOf(source)]?.blocks ?? [];
  const shownBlock = shown && blocks.find(({ id }) => id === shown.block);
  const strip = {
    isNumbered: shownBlock ? callWordsOf(shownBlock) === 'numbers' : false,
    cycle: shown,
    combo,
    book,
    now: moment.cycle ? moment.beat : null,
    done: moment.cycle ? moment.stroke : null,
  };
  return (
    <>
      <TapeClock left={left} of={block?.seconds ?? 0} isRest={isRest} />
      <div className="flex items-baseline justify-between gap-x-6 px-10 pt-1 text-[1.75rem] leading-tight phone:flex-wrap phone:px-4 phone:text-base">
        <Heading className="min-w-0 truncate font-text text-[1em] tracking-normal">
          {isBetween && coming === null ? 'Rest' : run.rounds[coming ?? state.round]!.title}{' '}
          <span className="font-normal text-quiet">
            ·{' '}
            {!isBetween
              ? `round ${state.round + 1} of ${run.rounds.length}`
              : coming === null
                ? 'the last one'
                : `rest, then ${coming + 1} of ${run.rounds.length}`}
          </span>
        </Heading>
        <p className="shrink-0 text-quiet">
          {combo && shown && (
            <>
              <strong className="text-ink">{comboName(combo)}</strong> · {Math.round(60 / shown.beatSeconds)}{' '}
              a minute · {shown.lead} lead
              {shown.intensity !== null && ` · contact ${shown.intensity} %`}
            </>
          )}
        </p>
      </div>
      <CallArea
        state={state}
        controller={controller}
        run={run}
        moment={moment}
        scene={scene}
        big={big}
        restText={isRest ? nextText(run, coming) : null}
      />
      {isSeen ? (
        <LandedArea landed={ofRound} combos={compiled.combos} fighters={fighters} book={book} />
      ) : isChange && partners ? (
        <PartnersComing partners={partners} fighters={fighters} />
      ) : shown ? (
        shown.lanes ? (
          <LaneStrips {...strip} lanes={shown.lanes} combos={combos} />
        ) : (
          <StripArea {...strip} isFootwork={shows === 'steps'} />
        )
      ) : (
        <ScenePicture scene={scene} at={at} large={big.text} />
      )}
      {!isChange && partners && <WorkingNow partners={partners} fighters={fighters} />}
      <p
        className="shrink-0 truncate px-10 text-[1.75rem] leading-tight text-quiet empty:hidden phone:px-4 phone:text-base flat:hidden"
        data-testid="next"
      >
        {!isStripOfNext &&
          (isRest
            ? combo &&
              `then: ${comboName(combo)}, ${shown!.lead} lead · ${tell(shown!.line ?? combo.line, shown!.lead)}`
            : nextInRound({ run, compiled, combos, round: state.round, at, shown, tell }))}
      </p>
    </>
  );
}
