import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Toaster, toast } from 'sonner';
import type { MoveBook } from '@eurhythm/core/moves';
import type { FighterView, RunView } from '@eurhythm/contract';
import { put } from '../../app/api.ts';
import { queries } from '../../app/queries.ts';
import { useShortcut } from '../../app/useShortcut.ts';
import { Outbox } from '../../floor/outbox.ts';
import { RunDeck } from '../../floor/RunDeck.ts';
import { Button, ButtonLink } from '../../ui/Button.tsx';
import { clockText } from '../../ui/times.ts';
import { Board } from './Board.tsx';
import { BurstPane } from './BurstPane.tsx';
import { FloorKeys } from './FloorKeys.tsx';
import { Mixer } from '../../floor/Mixer.tsx';
import { MarkBar } from './MarkBar.tsx';
import { useMarks } from './useMarks.ts';

/** A run on the Floor. */
export function RunRoom() {
  const { runId = '' } = useParams();
  const { data: run, error } = useQuery({
    ...queries.run(runId),
    refetchOnMount: 'always' as const,
    refetchOnWindowFocus: false,
  });
  const { data: fighters } = useQuery(queries.fighters());
  const { data: book } = useQuery({ ...queries.book(), staleTime: Infinity });
  if (error) return <FloorNote title={error.message} />;
  if (!run || !fighters || !book) return <FloorNote title="Fetching the session" />;
  const there = run.fighterIds.flatMap((id) => fighters.find((fighter) => fighter.id === id) ?? []);
  return <Run key={run.id} run={run} fighters={there} book={book} />;
}

function Run({ run, fighters, book }: { run: RunView; fighters: readonly FighterView[]; book: MoveBook }) {
  const [outbox] = useState(() => new Outbox());
  const deck = useDeck(run, outbox);
  const [waiting, setWaiting] = useState(0);
  useEffect(() => {
    outbox.onChange = setWaiting;
    outbox.onRefused = (message) => toast.error(message);
    void outbox.flush();
  }, [outbox]);
  if (!deck) return <FloorNote title="Making room for sound" />;
  return (
    <RunOnDeck run={run} fighters={fighters} book={book} deck={deck} outbox={outbox} waiting={waiting} />
  );
}

/** A deck for the time that the page shows the run. */
function useDeck(run: RunView, outbox: Outbox): RunDeck | null {
  const [deck, setDeck] = useState<RunDeck | null>(null);
  useEffect(() => {
    const made = new RunDeck(run, outbox);
    setDeck(made);
    void made.load();
    return () => made.dispose();
    // The run is read once: from here on the deck knows better than the server where it stands.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [run.id, outbox]);
  return deck;
}

interface RunOnDeckProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly book: MoveBook;
  readonly deck: RunDeck;
  readonly outbox: Outbox;
  readonly waiting: number;
}

function RunOnDeck({ run, fighters, book, deck, outbox, waiting }: RunOnDeckProps) {
  const state = useSyncExternalStore(deck.subscribe, deck.snapshot);
  const marks = useMarks(run, outbox);
  const [isBurst, setBurst] = useState(false);
  const [isMixer, setMixer] = useState(false);
  useEffect(() => {
    const touch = (): void => deck.touch();
    window.addEventListener('keydown', touch);
    window.addEventListener('pointerdown', touch);
    return () => {
      window.removeEventListener('keydown', touch);
      window.removeEventListener('pointerdown', touch);
    };
  }, [deck]);
  const openBurst = (): void => {
    deck.hold();
    setBurst(true);
  };
  const free = (action: () => void) => () => !isBurst && action();
  useShortcut(
    ' ',
    free(() => deck.toggle()),
  );
  useShortcut(
    'b',
    free(() => deck.toggle()),
  );
  useShortcut(
    'ArrowRight',
    free(() => deck.goTo(state.round + 1)),
  );
  useShortcut(
    'PageDown',
    free(() => deck.goTo(state.round + 1)),
  );
  useShortcut(
    'ArrowLeft',
    free(() => deck.goTo(state.round)),
  );
  useShortcut(
    'PageUp',
    free(() => deck.goTo(state.round)),
  );
  const changeTempo = (by: number) => () =>
    void deck.changeTempo(by).then(
      (told) => told && toast(told),
      (error: Error) => toast.error(error.message),
    );
  useShortcut(
    'e',
    free(() => deck.holdAfterCombo()),
  );
  useShortcut('+', free(changeTempo(2)));
  useShortcut('-', free(changeTempo(-2)));
  useShortcut(
    'v',
    free(() => setMixer(!isMixer)),
  );
  useShortcut('u', free(marks.undo));
  useShortcut('t', free(openBurst));

  if (state.phase === 'failed') return <FloorNote title={state.failure} />;
  if (state.phase === 'loading') return <FloorNote title="Loading the voice" share={state.share} />;
  if (isBurst)
    return (
      <BurstPane run={run} fighters={fighters} deck={deck} outbox={outbox} onClose={() => setBurst(false)} />
    );
  if (state.phase === 'over')
    return <Over run={run} marks={marks} fighters={fighters} deck={deck} onBurst={openBurst} />;
  return (
    <div className="mat flex h-screen min-h-[640px] flex-col overflow-hidden">
      <Board run={run} deck={deck} state={state} book={book} />
      <MarkBar fighters={fighters} round={state.round} marks={marks} />
      {isMixer && (
        <div className="px-8">
          <Mixer desk={deck.desk} />
        </div>
      )}
      <FloorKeys
        state={state}
        deck={deck}
        waiting={waiting}
        canUndo={marks.canUndo}
        onUndo={marks.undo}
        onBurst={openBurst}
        onTempo={(by) => changeTempo(by)()}
        onMixer={() => setMixer(!isMixer)}
      />
      <Toaster position="top-right" />
    </div>
  );
}

function Over({
  run,
  marks,
  fighters,
  deck,
  onBurst,
}: Pick<RunOnDeckProps, 'run' | 'fighters' | 'deck'> & {
  marks: ReturnType<typeof useMarks>;
  onBurst: () => void;
}) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const seconds = deck.rounds.reduce((sum, round) => sum + round.duration, 0);
  const close = async (): Promise<void> => {
    try {
      await put(`runs/${run.id}/end`, {});
      await client.invalidateQueries();
      void navigate('/fighters');
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <div className="mat flex min-h-screen flex-col">
      <div className="flex flex-1 flex-col items-center justify-center gap-4 p-6 text-center">
        <p className="board text-7xl">That was the session</p>
        <p className="text-2xl text-quiet">
          {run.title} · {run.rounds.length} rounds · {clockText(seconds)}
        </p>
        <p className="max-w-xl text-quiet">
          Marks for the last round can still be set below. Closing writes the session into everybody’s log.
        </p>
        <div className="flex gap-3">
          {run.endedAt === null && (
            <Button weight="main" className="text-xl" onClick={() => void close()}>
              Close the session
            </Button>
          )}
          <Button className="text-xl" onClick={onBurst}>
            Ten-second burst
          </Button>
          <ButtonLink weight="bare" to="/">
            Today
          </ButtonLink>
        </div>
      </div>
      <MarkBar fighters={fighters} round={run.rounds.length - 1} marks={marks} />
      <Toaster position="top-right" />
    </div>
  );
}

function FloorNote({ title, share }: { title: string; share?: number }) {
  return (
    <div className="mat flex h-screen flex-col items-center justify-center gap-6 p-6 text-center">
      <p className="board text-5xl" role="status">
        {title}
      </p>
      {share !== undefined && (
        <div
          className="h-5 w-96 max-w-full bg-paper"
          role="progressbar"
          aria-label={title}
          aria-valuenow={Math.round(share * 100)}
          aria-valuemin={0}
          aria-valuemax={100}
        >
          <div className="h-full bg-tape" style={{ width: `${share * 100}%` }} />
        </div>
      )}
      <ButtonLink weight="bare" to="/floor">
        Leave the Floor
      </ButtonLink>
    </div>
  );
}
