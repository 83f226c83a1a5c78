import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { BURST_READY } from '@eurhythm/core/run';
import { USUAL_BURST_TITLE } from '@eurhythm/core/rounds';
import { summariseBurst, type BurstSummary } from '@eurhythm/core/speed';
import type { FighterView, RunView, SaveAttemptDto, TestView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { queries } from '../../server/queries.ts';
import type { Player } from '../../floor/player.ts';
import type { RunDeck } from '../../floor/RunDeck.ts';
import { useFrame } from '../../floor/useFrame.ts';
import { putting } from '../../sync/letters/letter.ts';
import { sync } from '../../sync/opened.ts';
import { SUBJECTS } from '../../sync/letters/subjects.ts';
import { useStable } from '../../ui/useStable.ts';
import { useShortcut } from '../../ui/useShortcut.ts';
import { Button, Key } from '../../ui/Button.tsx';
import { ChoiceField } from '../../ui/Field.tsx';
import { TapeClock } from './board/TapeClock.tsx';
import { LEAD_CHOICES } from '../sessions/choices.ts';

/** Length of a burst that no test gives. */
const SECONDS = 10;
/** What is offered in a gym that has timed nothing yet. */
const TITLES = [USUAL_BURST_TITLE, 'Round kicks', 'Backfist and cross'];

type Phase =
  | { readonly kind: 'choose' }
  | { readonly kind: 'running'; readonly player: Player }
  | { readonly kind: 'done'; readonly summary: BurstSummary };

/** What is timed: a test of the gym, or a title that becomes one. */
type Timed = Pick<TestView, 'title' | 'seconds'> & { readonly id?: string };

interface BurstPaneProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly deck: RunDeck;
  onClose(): void;
}

/** Ten seconds, as many as fit: the coach taps along, or the fighter hits the space bar's pad. */
export function BurstPane({ run, fighters, deck, onClose }: BurstPaneProps) {
  const { data: tests = [] } = useQuery(queries.tests());
  const bursts = tests.filter(({ kind }) => kind === 'burst');
  const timed: readonly Timed[] = [
    ...bursts,
    ...TITLES.filter((title) => !bursts.some((test) => test.title === title)).map((title) => ({
      title,
      seconds: SECONDS,
    })),
  ];
  const [fighterId, setFighterId] = useState(fighters[0]?.id ?? '');
  const [title, setTitle] = useState(USUAL_BURST_TITLE);
  const [lead, setLead] = useState<'left' | 'right'>(fighters[0]?.lead ?? 'left');
  const [phase, setPhase] = useState<Phase>({ kind: 'choose' });
  const [failure, setFailure] = useState('');
  const [taps, setTaps] = useState<readonly number[]>([]);
  const player = phase.kind === 'running' ? phase.player : null;
  const position = useFrame(() => player?.position ?? 0, player !== null);
  const fighter = fighters.find((each) => each.id === fighterId);
  const what = timed.find((each) => each.title === title) ?? timed[0]!;
  const { seconds } = what;
  useEffect(() => () => player?.dispose(), [player]);

  const finish = useStable((): void => {
    const attempt: SaveAttemptDto = {
      fighterId,
      runId: run.id,
      ...(what.id === undefined ? { title: what.title, seconds } : { testId: what.id }),
      lead,
      instants: [...taps],
      at: new Date().toISOString(),
    };
    void sync.put(putting(SUBJECTS.trial, `attempts/${newId()}`, attempt, { page: `/floor/${run.id}` }));
    setPhase({ kind: 'done', summary: summariseBurst(taps, seconds) });
  });
  const start = async (): Promise<void> => {
    try {
      const burst = await deck.burst(seconds, finish);
      setTaps([]);
      burst.player.start(0);
      setFailure('');
      setPhase({ kind: 'running', player: burst.player });
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  const tap = (): void => {
    if (!player) return;
    const at = player.position - BURST_READY;
    if (at >= 0 && at <= seconds) setTaps((before) => [...before, Math.round(at * 1000) / 1000]);
  };
  useShortcut(' ', tap);

  const isWork = position >= BURST_READY;
  return (
    <main className="mat flex min-h-screen flex-col">
      <h1 className="sr-only">{title}</h1>
      <TapeClock
        left={isWork ? BURST_READY + seconds - position : BURST_READY - position}
        of={isWork ? seconds : BURST_READY}
        isRest={!isWork}
      />
      {phase.kind === 'running' ? (
        <BurstCount
          name={fighter?.name ?? ''}
          what={`${title}, ${lead} lead`}
          count={taps.length}
          isWork={isWork}
          onTap={tap}
        />
      ) : (
        <div className="flex flex-1 flex-col items-center justify-center gap-6 p-8 phone:gap-3 phone:p-4">
          {phase.kind === 'done' && (
            <Outcome summary={phase.summary} name={fighter?.name ?? ''} title={title} lead={lead} />
          )}
          <BurstChoice
            fighters={fighters}
            timed={timed}
            value={{ fighterId, title, lead }}
            onChange={(value) => {
              setFighterId(value.fighterId);
              setTitle(value.title);
              setLead(value.lead);
            }}
          />
          {failure !== '' && (
            <p role="alert" className="text-xl font-semibold text-caution">
              {failure}
            </p>
          )}
          {fighters.length === 0 && (
            <p className="text-xl">Nobody is in this run, so there is nobody to time.</p>
          )}
          <div className="flex flex-wrap justify-center gap-4">
            <Button
              weight="main"
              className="min-h-16 px-8 text-2xl"
              onClick={() => void start()}
              disabled={!fighter}
            >
              {phase.kind === 'done' ? 'Again' : 'Start'}
            </Button>
            <Button className="min-h-16 px-6 text-xl" onClick={onClose}>
              Back to the round
            </Button>
          </div>
          <p className="text-quiet">
            Get ready for {BURST_READY} seconds, then the bell, {seconds} seconds, and the bell again. Count
            with <Key>Space</Key> or taps; clean ones only.
          </p>
        </div>
      )}
    </main>
  );
}

interface BurstWish {
  readonly fighterId: string;
  readonly title: string;
  readonly lead: 'left' | 'right';
}

interface BurstChoiceProps {
  readonly fighters: readonly FighterView[];
  readonly timed: readonly Timed[];
  readonly value: BurstWish;
  onChange(value: BurstWish): void;
}

/** Who does what from which lead; a fighter begins from his own. */
function BurstChoice({ fighters, timed, value, onChange }: BurstChoiceProps) {
  return (
    <div className="grid w-full max-w-3xl gap-4 sm:grid-cols-3">
      <ChoiceField
        label="Who"
        value={value.fighterId}
        choices={fighters.map((each) => ({ value: each.id, label: each.name }))}
        onChange={(fighterId) => {
          const own = fighters.find((each) => each.id === fighterId)?.lead;
          onChange({ ...value, fighterId, lead: own ?? value.lead });
        }}
      />
      <ChoiceField
        label="What"
        value={value.title}
        choices={timed.map((each) => ({ value: each.title, label: each.title }))}
        onChange={(title) => onChange({ ...value, title })}
      />
      <ChoiceField
        label="From which lead"
        value={value.lead}
        choices={LEAD_CHOICES}
        onChange={(lead) => onChange({ ...value, lead })}
      />
    </div>
  );
}

/** What is seen while it runs: one large number, and the whole screen to tap on. */
function BurstCount({
  name,
  what,
  count,
  isWork,
  onTap,
}: {
  name: string;
  what: string;
  count: number;
  isWork: boolean;
  onTap: () => void;
}) {
  return (
    <button
      type="button"
      onPointerDown={onTap}
      className="board flex flex-1 flex-col items-center justify-center"
    >
      <span className="text-5xl">{name}</span>
      <span className="text-3xl text-quiet">{what}</span>
      <span className="text-[17rem] leading-none phone:text-[min(17rem,45vh)]" data-testid="burst-count">
        {count}
      </span>
      <span className="text-3xl text-quiet">
        {isWork ? 'tap anywhere or press Space for each clean one' : 'get ready'}
      </span>
    </button>
  );
}

function Outcome({
  summary,
  name,
  title,
  lead,
}: {
  summary: BurstSummary;
  name: string;
  title: string;
  lead: string;
}) {
  return (
    <div className="text-center" role="status">
      <p className="text-2xl text-quiet">
        {name} · {title} · {lead} lead
      </p>
      <p className="board text-[9rem] leading-none phone:text-[5rem]">{summary.count}</p>
      <p className="text-2xl">
        {summary.perSecond.toFixed(1)} a second; first third {summary.firstThird.toFixed(1)}, last third{' '}
        {summary.lastThird.toFixed(1)}. One trial, saved.
      </p>
    </div>
  );
}
