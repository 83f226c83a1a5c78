import { Play, Square } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { isPause } from '@eurhythm/core/rounds';
import { roundSeconds, unrollRounds } from '@eurhythm/core/plan';
import type { SaveSessionDto } from '@eurhythm/contract';
import { Button } from '../../../ui/Button.tsx';
import { clockText } from '../../../ui/times.ts';
import { laneOf, lanesOf } from './lanes.ts';
import { useListening } from './useListening.ts';
import { sourceOf } from './usePlanned.ts';

interface SessionTimelineProps {
  readonly id: string;
  readonly session: SaveSessionDto;
  readonly chosen: number;
  comboName(id: string | undefined): string;
  onChoose(round: number): void;
}

/**
 * The whole session laid out to scale: a length of tape for each round's work, bare floor for its rest, a lane for each
 * group that does something of its own; and a place on it from which the session can be heard.
 */
export function SessionTimeline({ id, session, chosen, comboName, onChoose }: SessionTimelineProps) {
  const { rounds } = session;
  const held = useMemo(() => unrollRounds(rounds), [rounds]);
  const total = held.reduce((sum, round) => sum + roundSeconds(round), 0);
  if (total === 0) return null;
  return (
    <section aria-label="Timeline">
      <div className="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center">
        <span className="text-sm text-quiet">everybody</span>
        <div className="flex h-14">
          {held.map((round) => {
            const source = sourceOf(round.id, rounds);
            return (
              <button
                key={round.id}
                type="button"
                aria-pressed={source === chosen}
                onClick={() => onChoose(source)}
                className="relative flex min-w-0 overflow-hidden text-left"
                style={{ width: share(roundSeconds(round), total) }}
              >
                <span className="sr-only">Round {source + 1}:</span>
                <Blocks round={round} total={total} isChosen={source === chosen} />
              </button>
            );
          })}
        </div>
        {lanesOf(session, comboName).map((group) => (
          <Lane key={group} group={group} held={held} total={total} comboName={comboName} />
        ))}
        <span />
        <Minutes total={total} />
      </div>
      <Listen
        id={id}
        session={session}
        total={total}
        starts={startsOf(
          held,
          rounds.findIndex((_, i) => i === chosen),
          rounds,
        )}
      />
    </section>
  );
}

function share(seconds: number, total: number): string {
  return `${(100 * (Number.isFinite(seconds) ? seconds : 0)) / total}%`;
}

/** A block with a smaller share of the session has no room for its time. */
const LEAST_TOLD = 0.03;

const Blocks = memo(function Blocks({
  round,
  total,
  isChosen,
}: {
  round: SaveSessionDto['rounds'][number];
  total: number;
  isChosen: boolean;
}) {
  const whole = roundSeconds(round);
  const isOnBeat = ['pads', 'combos', 'technique'].includes(round.kind);
  return (
    <>
      {round.blocks.map((block) => (
        <span
          key={block.id}
          style={{ width: share(block.seconds, whole) }}
          className={`flex h-full min-w-0 items-end overflow-hidden border-r border-canvas ${
            isPause(block)
              ? 'bg-hint/60'
              : isOnBeat
                ? 'bg-tape text-[#22302c]'
                : 'bg-tape-right text-[#22302c]'
          } ${isChosen && block.kind !== 'rest' ? 'border-b-4 border-b-ink' : ''}`}
        >
          {block.kind !== 'rest' && block.seconds > LEAST_TOLD * total && (
            <span className="tabular truncate pb-1 pl-1.5 text-sm">{clockText(block.seconds)}</span>
          )}
        </span>
      ))}
      <span className="absolute inset-x-0 top-1 truncate px-1.5 text-sm leading-tight font-semibold text-[#22302c]">
        {round.title}
      </span>
    </>
  );
});

interface LaneProps {
  readonly group: string;
  readonly held: SaveSessionDto['rounds'];
  readonly total: number;
  comboName(id: string | undefined): string;
}

/** What one group does to the same clock: its own combos or counts, and the bonus while slower groups go on. */
const Lane = memo(function Lane({ group, held, total, comboName }: LaneProps) {
  return (
    <>
      <span className="truncate text-sm text-quiet">{group}</span>
      <ol aria-label={`Lane of ${group}`} className="flex h-7 border-t border-rule">
        {held.flatMap((round) =>
          round.blocks.map((block) => {
            const lane = laneOf(block, group, comboName);
            return (
              <li
                key={`${round.id}/${block.id}`}
                style={{ width: share(block.seconds, total) }}
                title={lane === null ? undefined : `${round.title}: ${lane.text}`}
                className="flex min-w-0 overflow-hidden text-sm leading-7"
              >
                {lane && (
                  <>
                    <span
                      className="min-w-0 truncate bg-front/15 px-1.5"
                      style={{ width: `${100 * lane.share}%` }}
                    >
                      {lane.text.replaceAll(`${group} `, '')}
                    </span>
                    {lane.share < 1 && (
                      <span className="min-w-0 flex-1 truncate bg-[repeating-linear-gradient(135deg,var(--color-rule)_0_3px,transparent_3px_8px)] pl-1 text-quiet">
                        bonus
                      </span>
                    )}
                  </>
                )}
              </li>
            );
          }),
        )}
      </ol>
    </>
  );
});

function Minutes({ total }: { total: number }) {
  const every = [1, 2, 5, 10, 15, 30].find((minutes) => total / 60 / minutes <= 10) ?? 60;
  const marks = Array.from({ length: Math.ceil(total / 60 / every) }, (_, i) => i * every);
  return (
    <div className="tabular relative mt-0.5 h-5 text-sm text-quiet" aria-hidden="true">
      {marks.map((minute) => (
        <span key={minute} className="absolute" style={{ left: share(minute * 60, total) }}>
          {minute}
          {minute === 0 ? ' min' : ''}
        </span>
      ))}
    </div>
  );
}

function startsOf(held: SaveSessionDto['rounds'], chosen: number, rounds: SaveSessionDto['rounds']): number {
  let at = 0;
  for (const round of held) {
    if (sourceOf(round.id, rounds) === chosen) return at;
    at += roundSeconds(round);
  }
  return 0;
}

/** A place of the session, and a button that lets it be heard from there. */
function Listen({
  id,
  session,
  total,
  starts,
}: {
  id: string;
  session: SaveSessionDto;
  total: number;
  starts: number;
}) {
  const listening = useListening(id, session);
  const [place, setPlace] = useState<{ readonly of: number; readonly at: number } | null>(null);
  // A round that is chosen moves the place to its start; moving the place by hand keeps it there.
  const wanted = place?.of === starts ? place.at : starts;
  const at = Math.min(total, listening.at ?? wanted);
  return (
    <div className="mt-1 grid grid-cols-[5.5rem_minmax(0,1fr)_auto] items-center gap-x-0">
      <span className="tabular text-sm">{clockText(at)}</span>
      <input
        type="range"
        aria-label="Place in the session"
        aria-valuetext={clockText(at)}
        className="h-11 w-full accent-ink"
        min={0}
        max={Math.floor(total)}
        step={5}
        value={at}
        onChange={(e) => {
          setPlace({ of: starts, at: Number(e.target.value) });
          if (listening.state === 'playing') listening.listen(Number(e.target.value));
        }}
      />
      <Button
        weight="bare"
        disabled={listening.state === 'loading'}
        onClick={() => (listening.state === 'playing' ? listening.stop() : listening.listen(wanted))}
      >
        {listening.state === 'playing' ? <Square size={16} aria-hidden /> : <Play size={16} aria-hidden />}
        {listening.state === 'playing'
          ? 'Stop'
          : listening.state === 'loading'
            ? 'Getting the voice'
            : `Listen from ${clockText(wanted)}`}
      </Button>
    </div>
  );
}
