import { Tip } from '../../../ui/panels/Tip.tsx';
import { Play, Square } from 'lucide-react';
import { Fragment, memo, useMemo, useState } from 'react';
import { isPause, type NameOf, isRest } from '@eurhythm/core/rounds';
import { roundSeconds, sourceOf, unrollRounds } from '@eurhythm/core/plan';
import type { RoundDto, SaveSessionDto } from '@eurhythm/contract';
import { Button } from '../../../ui/buttons/Button.tsx';
import { SliderField } from '../../../ui/fields/SliderField.tsx';
import { clockText } from '@eurhythm/core/units';
import { laneOf } from '../kinds/kinds.ts';
import { lanesOf } from './lanes.ts';
import { useListening } from './useListening.ts';

interface SessionTimelineProps {
  readonly id: string;
  readonly session: SaveSessionDto;
  readonly chosen: number;
  comboName: NameOf;
  onChoose(round: number): void;
}

/**
 * The whole session laid out to scale: a length of tape for each round's work, bare floor for its rest, a lane for each
 * group that does something of its own; and a place on it from which the session can be heard.
 */
export const SessionTimeline = memo(function SessionTimeline(props: SessionTimelineProps) {
  const { id, session, chosen, comboName, onChoose } = props;
  const { rounds } = session;
  const held = useMemo(() => unrollRounds(rounds), [rounds]);
  const total = held.reduce((sum, round) => sum + roundSeconds(round), 0);
  if (total === 0) return null;
  // In whole tens, so that a second more does not draw every block anew.
  const least = Math.round((LEAST_TOLD * total) / 10) * 10;
  return (
    <section aria-label="Timeline">
      <div className="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center">
        <span className="text-sm text-quiet">everybody</span>
        <div className="flex h-14">
          {held.map((round) => {
            const source = sourceOf(round.id, rounds);
            return (
              <RoundOnTape
                key={round.id}
                round={round}
                source={source}
                isChosen={source === chosen}
                least={least}
                onChoose={onChoose}
              />
            );
          })}
        </div>
        {lanesOf(session, comboName).map((group) => (
          <Fragment key={group}>
            <span className="truncate text-sm text-quiet">{group}</span>
            <div role="list" aria-label={`Lane of ${group}`} className="flex h-7 border-t border-rule">
              {held.map((round) => (
                <RoundInLane key={round.id} round={round} group={group} comboName={comboName} />
              ))}
            </div>
          </Fragment>
        ))}
        <span />
        <Minutes total={total} />
      </div>
      <Listen id={id} session={session} total={total} starts={startsOf(held, chosen, rounds)} />
    </section>
  );
});

/** A block with a smaller share of the session has no room for its time. */
const LEAST_TOLD = 0.03;

/** As wide as its time is long, beside its neighbours. */
function asLong(seconds: number): { flex: string } {
  return { flex: `${Number.isFinite(seconds) ? seconds : 0} 0 0` };
}

/** Each phase has its shade of tape: work on the beat is ochre, the more the harder it is; the rest is green. */
const SHADES: Readonly<Record<RoundDto['kind'], string>> = {
  'warm-up': 'bg-[color-mix(in_srgb,var(--color-tape-right)_45%,white)]',
  technique: 'bg-[color-mix(in_srgb,var(--color-tape)_40%,white)]',
  combos: 'bg-[color-mix(in_srgb,var(--color-tape)_70%,white)]',
  pads: 'bg-tape',
  shadow: 'bg-[color-mix(in_srgb,var(--color-tape-right)_75%,white)]',
  conditioning: 'bg-tape-right',
  stretch: 'bg-[color-mix(in_srgb,var(--color-tape-right)_30%,white)]',
};

interface RoundOnTapeProps {
  readonly round: RoundDto;
  /** Place of the round in the session that it stands for. */
  readonly source: number;
  readonly isChosen: boolean;
  /** Shorter blocks do not tell their time. */
  readonly least: number;
  onChoose(round: number): void;
}

const RoundOnTape = memo(function RoundOnTape({
  round,
  source,
  isChosen,
  least,
  onChoose,
}: RoundOnTapeProps) {
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={() => onChoose(source)}
      className="relative flex min-w-0 overflow-hidden text-left"
      style={asLong(roundSeconds(round))}
    >
      <span className="sr-only">Round {source + 1}:</span>
      {round.blocks.map((block) => (
        <span
          key={block.id}
          style={asLong(block.seconds)}
          className={`flex h-full min-w-0 items-end overflow-hidden border-r border-canvas ${
            isPause(block) ? 'bg-hint/60' : `${SHADES[round.kind]} text-on-tape`
          } ${isChosen && !isRest(block) ? 'border-b-4 border-b-ink' : ''}`}
        >
          {!isRest(block) && block.seconds > least && (
            <span className="flex h-6 min-w-0 flex-wrap content-start overflow-hidden text-sm leading-5">
              <span className="h-6 w-0.5" />
              <span className="tabular px-1">{clockText(block.seconds)}</span>
            </span>
          )}
        </span>
      ))}
      {/* What does not fit whole wraps out of sight: a number, a title, or neither. */}
      <span className="absolute inset-x-0 top-1 flex h-5 flex-wrap content-start gap-x-1.5 overflow-hidden px-1 text-sm leading-5 font-semibold text-on-tape">
        <span aria-hidden="true" className="h-5 w-0" />
        <span aria-hidden="true" className="tabular whitespace-nowrap">
          {source + 1}
        </span>
        <span className="whitespace-nowrap">{round.title}</span>
      </span>
    </button>
  );
});

interface RoundInLaneProps {
  readonly round: RoundDto;
  readonly group: string;
  comboName: NameOf;
}

/** What does not fit whole wraps out of sight; the tip tells it. */
const FITS_OR_IS_HIDDEN = 'flex h-7 min-w-0 flex-wrap content-start overflow-hidden';

/** What one group does in a round to the same clock: its own combos or counts, and the bonus while slower groups go on. */
const RoundInLane = memo(function RoundInLane({ round, group, comboName }: RoundInLaneProps) {
  return (
    <span role="listitem" className="flex min-w-0" style={asLong(roundSeconds(round))}>
      {round.blocks.map((block) => {
        const lane = laneOf(block, group, comboName);
        return (
          <Tip key={block.id} text={lane === null ? undefined : `${round.title}: ${lane.text}`}>
            <span style={asLong(block.seconds)} className="flex min-w-0 overflow-hidden text-sm leading-7">
              {lane && (
                <>
                  <span
                    className={`${FITS_OR_IS_HIDDEN} bg-front/15`}
                    style={{ width: `${100 * lane.share}%` }}
                  >
                    <span className="h-7 w-0.5" />
                    <span className="px-1 whitespace-nowrap">{lane.short}</span>
                  </span>
                  {lane.share < 1 && (
                    <span
                      className={`${FITS_OR_IS_HIDDEN} flex-1 bg-[repeating-linear-gradient(135deg,var(--color-rule)_0_3px,transparent_3px_8px)] text-quiet`}
                    >
                      <span className="h-7 w-0.5" />
                      <span className="px-1">bonus</span>
                    </span>
                  )}
                </>
              )}
            </span>
          </Tip>
        );
      })}
    </span>
  );
});

function Minutes({ total }: { total: number }) {
  const every = [1, 2, 5, 10, 15, 30].find((minutes) => total / 60 / minutes <= 10) ?? 60;
  const marks = Array.from({ length: Math.ceil(total / 60 / every) }, (_, i) => i * every);
  return (
    <div className="tabular relative mt-0.5 h-5 text-sm text-quiet" aria-hidden="true">
      {marks.map((minute) => (
        <span key={minute} className="absolute" style={{ left: `${(6000 * minute) / total}%` }}>
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
      <SliderField
        label="Place in the session"
        valueText={clockText(at)}
        min={0}
        max={Math.floor(total)}
        step={5}
        value={at}
        onChange={(to) => {
          setPlace({ of: starts, at: to });
          if (listening.state === 'playing') listening.listen(to);
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
