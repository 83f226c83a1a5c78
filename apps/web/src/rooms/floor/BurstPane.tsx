import { useEffect, useRef, useState } from 'react';
import { summariseBurst, type BurstSummary } from '@eurhythm/core/speed';
import type {
  AnyBlockDto,
  CompiledRoundView,
  FighterView,
  RunView,
  SaveAttemptDto,
} from '@eurhythm/contract';
import { newId, send } from '../../app/api.ts';
import { useShortcut } from '../../app/useShortcut.ts';
import type { Outbox } from '../../floor/outbox.ts';
import { RoundPlayer } from '../../floor/RoundPlayer.ts';
import type { RunDeck } from '../../floor/RunDeck.ts';
import { useFrame } from '../../floor/useFrame.ts';
import { Button, Key } from '../../ui/Button.tsx';
import { ChoiceField } from '../../ui/Field.tsx';
import { TapeClock } from './TapeClock.tsx';

const SECONDS = 10;
const GET_READY = 6;
const TITLES = ['Two straights', 'Round kicks', 'Backfist and cross'];
const BLOCKS: AnyBlockDto[] = [
  { kind: 'rest', id: 'burst-ready', seconds: GET_READY, next: '' },
  { kind: 'burst', id: 'burst', seconds: SECONDS, title: 'Burst' },
];

type Phase =
  | { readonly kind: 'choose' }
  | { readonly kind: 'running' }
  | { readonly kind: 'done'; readonly summary: BurstSummary };

interface BurstPaneProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly deck: RunDeck;
  readonly outbox: Outbox;
  onClose(): void;
}

/** Ten seconds, as many as fit: the coach taps along, or the fighter hits the space bar's pad. */
export function BurstPane({ run, fighters, deck, outbox, onClose }: BurstPaneProps) {
  const [fighterId, setFighterId] = useState(fighters[0]?.id ?? '');
  const [title, setTitle] = useState(TITLES[0]!);
  const [lead, setLead] = useState<'left' | 'right'>(fighters[0]?.lead ?? 'left');
  const [phase, setPhase] = useState<Phase>({ kind: 'choose' });
  const [failure, setFailure] = useState('');
  const [count, setCount] = useState(0);
  const player = useRef<RoundPlayer | null>(null);
  const taps = useRef<number[]>([]);
  const position = useFrame(() => player.current?.position ?? 0, phase.kind === 'running');
  const fighter = fighters.find((each) => each.id === fighterId);
  useEffect(() => () => player.current?.dispose(), []);

  const finish = (): void => {
    const instants = taps.current.filter((at) => at >= 0 && at <= SECONDS);
    const attempt: SaveAttemptDto = {
      fighterId,
      runId: run.id,
      title,
      lead,
      seconds: SECONDS,
      instants,
      at: new Date().toISOString(),
    };
    outbox.put('PUT', `attempts/${newId()}`, attempt);
    setPhase({ kind: 'done', summary: summariseBurst(instants, SECONDS) });
  };
  const start = async (): Promise<void> => {
    try {
      const round = await send<CompiledRoundView>('POST', 'rounds/compile', {
        blocks: BLOCKS,
        lead,
        seed: 0,
      });
      await deck.desk.load(
        round.cues.flatMap((cue) => cue.clip?.id ?? []),
        () => {},
      );
      taps.current = [];
      setCount(0);
      player.current?.dispose();
      player.current = new RoundPlayer(deck.desk, round, finish);
      player.current.start(0);
      setFailure('');
      setPhase({ kind: 'running' });
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error));
    }
  };
  const tap = (): void => {
    if (phase.kind !== 'running' || !player.current) return;
    const at = player.current.position - GET_READY;
    if (at < 0 || at > SECONDS) return;
    taps.current.push(Math.round(at * 1000) / 1000);
    setCount(taps.current.length);
  };
  useShortcut(' ', tap);

  const isWork = position >= GET_READY;
  return (
    <div className="mat flex h-screen flex-col">
      <TapeClock
        left={isWork ? GET_READY + SECONDS - position : GET_READY - position}
        of={isWork ? SECONDS : GET_READY}
        isRest={!isWork}
      />
      {phase.kind === 'running' ? (
        <button
          type="button"
          onPointerDown={tap}
          className="board flex flex-1 flex-col items-center justify-center"
          aria-label="Tap for each one that lands"
        >
          <span className="text-5xl">{fighter?.name}</span>
          <span className="text-3xl text-quiet">
            {title}, {lead} lead
          </span>
          <span className="text-[17rem] leading-none" data-testid="burst-count">
            {count}
          </span>
          <span className="text-3xl text-quiet">
            {isWork ? 'tap anywhere or press Space for each clean one' : 'get ready'}
          </span>
        </button>
      ) : (
        <div className="flex flex-1 flex-col items-center justify-center gap-6 p-8">
          {phase.kind === 'done' && (
            <Outcome summary={phase.summary} name={fighter?.name ?? ''} title={title} lead={lead} />
          )}
          <div className="grid w-full max-w-3xl grid-cols-3 gap-4">
            <ChoiceField
              label="Who"
              value={fighterId}
              choices={fighters.map((each) => ({ value: each.id, label: each.name }))}
              onChange={(e) => {
                setFighterId(e.target.value);
                setLead(fighters.find((each) => each.id === e.target.value)?.lead ?? lead);
              }}
            />
            <ChoiceField
              label="What"
              value={title}
              choices={TITLES.map((each) => ({ value: each, label: each }))}
              onChange={(e) => setTitle(e.target.value)}
            />
            <ChoiceField
              label="From which lead"
              value={lead}
              choices={[
                { value: 'left', label: 'Left' },
                { value: 'right', label: 'Right' },
              ]}
              onChange={(e) => setLead(e.target.value as 'left' | 'right')}
            />
          </div>
          {failure !== '' && (
            <p role="alert" className="text-xl font-semibold text-caution">
              {failure}
            </p>
          )}
          {fighters.length === 0 && (
            <p className="text-xl">Nobody is in this run, so there is nobody to time.</p>
          )}
          <div className="flex gap-4">
            <Button
              weight="main"
              className="min-h-14 px-8 text-2xl"
              onClick={() => void start()}
              disabled={!fighter}
            >
              {phase.kind === 'done' ? 'Again' : 'Start'}
            </Button>
            <Button className="min-h-14 px-6 text-xl" onClick={onClose}>
              Back to the round
            </Button>
          </div>
          <p className="text-quiet">
            Get ready for {GET_READY} seconds, then the bell, {SECONDS} seconds, and the bell again. Count
            with <Key>Space</Key> or taps; clean ones only.
          </p>
        </div>
      )}
    </div>
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
      <p className="board text-[9rem] leading-none">{summary.count}</p>
      <p className="text-2xl">
        {summary.perSecond.toFixed(1)} a second; first third {summary.firstThird.toFixed(1)}, last third{' '}
        {summary.lastThird.toFixed(1)}. One trial, saved.
      </p>
    </div>
  );
}
