import type { Walk } from '@eurhythm/core/body';
import { toNumber } from '@eurhythm/core/units';
import type { BlockCombo, Cycle } from '@eurhythm/core/rounds';
import { comboName } from '@eurhythm/core/plan';
import { Strip } from '../../../strip/Strip.tsx';
import { useWidth } from '../../../strip/useWidth.ts';
import { useWalk, type ShownLine } from './StripArea.tsx';
import { useHallScale } from './useHallScale.ts';

interface LaneStripsProps extends ShownLine {
  readonly lanes: NonNullable<Cycle['lanes']>;
  readonly combos: ReadonlyMap<string, BlockCombo>;
}

/** Groups on one clock: what each of them does, side by side. */
export function LaneStrips({ lanes, combos, ...others }: LaneStripsProps) {
  return (
    <div
      className="grid min-h-[15rem] shrink-0 auto-cols-fr grid-flow-col gap-5 px-6 phone:grid-flow-row phone:px-2 flat:hidden"
      data-testid="lanes"
    >
      <Lane name="everybody else" {...others} />
      {lanes.map(({ group, combo }) => (
        <Lane key={group} name={group} {...others} combo={combos.get(combo)} isOwn />
      ))}
    </div>
  );
}

function Lane({
  name,
  cycle,
  combo,
  book,
  isNumbered,
  now,
  done,
  isOwn = false,
}: ShownLine & { readonly name: string; readonly isOwn?: boolean }) {
  const [ref, width] = useWidth<HTMLDivElement>(400);
  const scale = useHallScale();
  const line = isOwn ? combo?.line : (cycle?.line ?? combo?.line);
  const walk = useWalk(line, cycle?.lead ?? 'left', book);
  return (
    <section
      ref={ref}
      aria-label={name}
      className="flex min-w-0 flex-col overflow-hidden border-t-4 border-tape pt-1"
    >
      <h2 className="truncate font-text text-[1.75rem] leading-tight tracking-normal phone:text-base">
        {name} <span className="font-normal text-quiet">{comboName(combo)}</span>
      </h2>
      {walk && cycle && (
        <div className="mt-auto" style={{ zoom: scale }}>
          <Strip
            walk={walk}
            beats={cycle.beats}
            lead={cycle.lead}
            numbered={isNumbered ? book : null}
            size="lane"
            countsBeats={false}
            room={width / scale - 10}
            now={now}
            done={isOwn ? lastDone(walk, now) : done}
          />
        </div>
      )}
    </section>
  );
}

/** The last stroke of a lane's own line that is over; its strikes are no cues, since the clock is that of everybody else. */
function lastDone({ strokes }: Walk, now: number | null): number | null {
  return now === null ? null : (strokes.findLast(({ beat }) => toNumber(beat) <= now)?.index ?? null);
}
