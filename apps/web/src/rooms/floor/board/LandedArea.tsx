import { analyseCombo } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { comboName } from '@eurhythm/core/plan';
import { cycleLength, type BlockCombo } from '@eurhythm/core/rounds';
import type { LandedDto } from '@eurhythm/contract';
import { Strip } from '../../../strip/Strip.tsx';
import { useWidth } from '../../../strip/useWidth.ts';
import { landedText } from '../listening/landedText.ts';
import type { Person } from './shown.ts';

interface LandedAreaProps {
  readonly landed: readonly LandedDto[];
  readonly combos: readonly BlockCombo[];
  readonly fighters: readonly Person[];
  readonly book: MoveBook;
}

/** So many strips have room on the board. */
const MOST = 4;
/** On a phone they stand one below the other. */
const NARROW = 640;

/** After a round: for each who was heard, the strip with a dot for every pin, early or late, and what landed in a sentence. */
export function LandedArea({ landed, combos, fighters, book }: LandedAreaProps) {
  const [ref, width] = useWidth<HTMLDivElement>(1100);
  const strips = landed.flatMap((each) => each.combos.map((combo) => ({ each, combo })));
  const isAlone = strips.length === 1 || width < NARROW;
  return (
    <section aria-label="What landed" className="min-h-[12rem] shrink-0 px-10 phone:px-4">
      <div
        ref={ref}
        className="grid gap-x-8 gap-y-1"
        style={{ gridTemplateColumns: isAlone ? '1fr' : '1fr 1fr' }}
      >
        {strips.slice(0, MOST).map(({ each, combo }) => (
          <LandedStrip
            key={`${each.fighterId} ${combo.combo} ${combo.lead}`}
            {...{ each, combo, book }}
            of={combos.find(({ id }) => id === combo.combo)}
            name={fighters.find(({ id }) => id === each.fighterId)?.name ?? ''}
            room={(isAlone ? width : width / 2 - 16) - 20}
            size={strips.length === 1 && width >= NARROW ? 'mat' : 'wall'}
          />
        ))}
      </div>
      <p className="text-base text-quiet">
        A dot left of its pin came early, right of it late, by so many hundredths of a second; × is missed.
      </p>
      {strips.length > MOST && (
        <p className="text-lg text-quiet">and {strips.length - MOST} more, under I on the coach’s device</p>
      )}
    </section>
  );
}

interface LandedStripProps {
  readonly each: LandedDto;
  readonly combo: LandedDto['combos'][number];
  readonly of: BlockCombo | undefined;
  readonly name: string;
  readonly book: MoveBook;
  readonly room: number;
  readonly size: 'mat' | 'wall';
}

function LandedStrip({ each, combo, of, name, book, room, size }: LandedStripProps) {
  const lead = combo.lead ?? 'left';
  const read = of && analyseCombo(of.line, book, lead);
  return (
    <div className="min-w-0">
      <p className="text-xl phone:text-base">
        <strong>{name.split(' ')[0]}</strong> {of && comboName(of)} · {landedText(each)}
      </p>
      {read?.ok && of && (
        <div className="overflow-hidden pb-6">
          <Strip
            walk={read.walk}
            beats={cycleLength(read.walk, lead, of)}
            lead={lead}
            size={size}
            room={room}
            landed={combo.strokes}
          />
        </div>
      )}
    </div>
  );
}
