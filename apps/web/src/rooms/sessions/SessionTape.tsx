import { isPause } from '@eurhythm/core/rounds';
import type { RoundDto } from '@eurhythm/contract';
import { clockText } from '../../ui/times.ts';
import { roundSeconds } from './newRound.ts';

interface SessionTapeProps {
  readonly rounds: readonly RoundDto[];
  readonly chosen: number;
  onChoose(round: number): void;
}

/** The whole session laid out to scale: a length of tape for each round's work, bare floor for its rest. */
export function SessionTape({ rounds, chosen, onChoose }: SessionTapeProps) {
  const total = rounds.reduce((sum, round) => sum + roundSeconds(round), 0);
  if (total === 0) return null;
  const share = (seconds: number): string => `${(100 * seconds) / total}%`;
  const marks = Array.from(
    { length: Math.floor(total / 60 / markEvery(total)) + 1 },
    (_, i) => i * markEvery(total),
  );
  return (
    <div>
      <div className="flex h-16">
        {rounds.map((round, i) => (
          <button
            key={round.id}
            type="button"
            aria-pressed={i === chosen}
            onClick={() => onChoose(i)}
            className="flex min-w-0 overflow-hidden text-left"
            style={{ width: share(roundSeconds(round)) }}
          >
            {round.blocks.map((block) => (
              <span
                key={block.id}
                style={{ width: `${(100 * block.seconds) / roundSeconds(round)}%` }}
                className={`block h-full overflow-hidden px-2 py-1 ${
                  isPause(block)
                    ? 'bg-hint/60'
                    : round.kind === 'pads' || round.kind === 'combos' || round.kind === 'technique'
                      ? 'bg-tape text-[#22302c]'
                      : 'bg-tape-right text-[#22302c]'
                } ${i === chosen && block.kind !== 'rest' ? 'outline-3 -outline-offset-3 outline-ink' : ''}`}
              >
                {block.kind !== 'rest' && (
                  <>
                    <span className="sr-only">Round {i + 1}:</span>
                    <span className="block truncate text-sm leading-tight font-semibold">{round.title}</span>
                    <span className="tabular text-sm">{clockText(block.seconds)}</span>
                  </>
                )}
              </span>
            ))}
          </button>
        ))}
      </div>
      <div className="tabular relative mt-0.5 h-5 text-sm text-quiet" aria-hidden="true">
        {marks.map((minute) => (
          <span key={minute} className="absolute" style={{ left: share(minute * 60) }}>
            {minute}
            {minute === 0 ? ' min' : ''}
          </span>
        ))}
      </div>
    </div>
  );
}

/** Minutes between two marks, so that about ten fit. */
function markEvery(total: number): number {
  return [1, 2, 5, 10, 15, 30].find((minutes) => total / 60 / minutes <= 10) ?? 60;
}
