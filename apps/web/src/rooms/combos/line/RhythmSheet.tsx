import { RHYTHM_GRIDS } from '@eurhythm/core/formats';
import { BPM_LIMITS, beatSeconds, type Seconds } from '@eurhythm/core/units';
import type { RhythmQuery, RhythmView, TempoWay } from '@eurhythm/contract';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Sheet } from '../../../ui/panels/Panel.tsx';

/** A note that was moved by more than this was played, not written. */
const MOVED_SECONDS = 0.01;

/** Whether a file leaves something to choose: its track, its tempo, or the grid of what was played. */
export function asksSomething(rhythm: RhythmView): boolean {
  return rhythm.tracks.length > 1 || isOutside(rhythm.fileBpm) || movedMost(rhythm) > MOVED_SECONDS;
}

/** How far the note that moves most moves. */
function movedMost({ notes, bpm }: RhythmView): Seconds {
  const beats = notes.reduce((most, { played, written }) => Math.max(most, Math.abs(played - written)), 0);
  return beats * beatSeconds(bpm);
}

const isOutside = (bpm: number): boolean => bpm > BPM_LIMITS.max || bpm < BPM_LIMITS.min;

const GRID_NAMES: Readonly<Record<number, string>> = {
  1: 'whole beats',
  2: 'halves',
  3: 'thirds',
  4: 'quarters',
  6: 'sixths',
  8: 'eighths',
  12: 'twelfths',
  16: 'sixteenths',
};

interface RhythmSheetProps {
  readonly rhythm: RhythmView;
  readonly tempo: TempoWay;
  onChange(changes: RhythmQuery): void;
  onBegin(): void;
  onClose(): void;
}

/** How the rhythm of a file is to be taken, with what was played above what will be written. */
export function RhythmSheet({ rhythm, tempo, onChange, onBegin, onClose }: RhythmSheetProps) {
  const { tracks, track, grid, fileBpm, bpm } = rhythm;
  const moved = movedMost(rhythm);
  const grids = GRID_NAMES[grid] ? RHYTHM_GRIDS : [...RHYTHM_GRIDS, grid].sort((a, b) => a - b);
  return (
    <Sheet open title="The rhythm of this file" onClose={onClose}>
      <div className="space-y-4">
        {tracks.length > 1 && (
          <ChoiceField
            label="Track"
            value={String(track)}
            choices={tracks.map((each) => ({
              value: String(each.track),
              label: `${each.name || `Track ${each.track}`}, ${each.notes} notes`,
            }))}
            onChange={(value) => onChange({ track: Number(value) })}
          />
        )}
        {isOutside(fileBpm) && (
          <ChoiceField
            label={`The file goes at ${fileBpm} beats a minute; a combo at ${BPM_LIMITS.min} to ${BPM_LIMITS.max}`}
            value={tempo}
            choices={[
              { value: 'as-fast', label: 'as fast as it is, with other beats' },
              { value: 'nearest', label: 'the nearest tempo, with its own beats' },
            ]}
            onChange={(value) => onChange({ tempo: value })}
          />
        )}
        <ChoiceField
          label="Put the notes on"
          className="w-64"
          value={String(grid)}
          choices={grids.map((each) => ({
            value: String(each),
            label: GRID_NAMES[each] ?? `${each} parts of a beat`,
          }))}
          onChange={(value) => onChange({ grid: RHYTHM_GRIDS.find((each) => each === Number(value)) })}
        />
        <RhythmPicture rhythm={rhythm} />
        <p role="status">
          {bpm} beats a minute.{' '}
          {moved > MOVED_SECONDS
            ? `The note that moves most moves by ${Math.round(moved * 1000)} ms.`
            : 'Every note lies where it was.'}
        </p>
        <div className="flex gap-3">
          <Button weight="main" onClick={onBegin}>
            Begin with it
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </div>
      </div>
    </Sheet>
  );
}

const BEAT_WIDTH = 64;
const HEIGHT = 84;
const MARGIN = 14;

/** Above the line where the notes were played, on it where they will be written. */
function RhythmPicture({ rhythm: { notes, grid } }: Pick<RhythmSheetProps, 'rhythm'>) {
  const beats = Math.ceil((notes.at(-1)?.played ?? 0) + 0.5);
  const x = (beat: number): number => MARGIN + beat * BEAT_WIDTH;
  return (
    <figure>
      <div
        className="overflow-x-auto rounded-md bg-paper"
        tabIndex={0}
        role="group"
        aria-label="Played and written"
      >
        <svg width={x(beats) + MARGIN} height={HEIGHT} aria-hidden="true">
          {Array.from({ length: beats * grid + 1 }, (_, i) => (
            <line
              key={i}
              x1={x(i / grid)}
              x2={x(i / grid)}
              y1={i % grid === 0 ? 34 : 50}
              y2={66}
              className={i % grid === 0 ? 'stroke-quiet' : 'stroke-rule'}
              strokeWidth={i % grid === 0 ? 2 : 1}
            />
          ))}
          {notes.map(({ played, written }, i) => (
            <g key={i}>
              <line x1={x(played)} y1={18} x2={x(written)} y2={66} className="stroke-front" />
              <circle cx={x(played)} cy={18} r={4} className="fill-canvas stroke-front" strokeWidth={2} />
              <rect x={x(written) - 4} y={60} width={8} height={12} className="fill-rear" />
            </g>
          ))}
        </svg>
      </div>
      <figcaption className="pt-1 text-sm text-quiet">
        Rings: as played. Blocks: as written, on {GRID_NAMES[grid] ?? `${grid} parts of a beat`}.
      </figcaption>
    </figure>
  );
}
