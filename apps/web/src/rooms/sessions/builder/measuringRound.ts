import type { AnyBlockDto, ComboView, RoundDto, TestView } from '@eurhythm/contract';
import { newBlock } from '../kinds/kinds.ts';
import { newRound } from './newRound.ts';

/** A combo is timed for so long, half from each lead. */
const COMBO_SECONDS = 60;
/** A class is measured in about so long. */
const MEASURE_SECONDS = 300;
/** A title has so many letters at most. */
const TITLE = 60;
const PHASES = {
  burst: 'conditioning',
  'combo-time': 'combos',
  reaction: 'pads',
  measure: 'technique',
} as const;

/**
 * The round in which a test is done: a burst of its length; the combo with its line, which the ear times; reactions. Null where the gym
 * has no combo of that line.
 */
export function measuringRound(
  test: Pick<TestView, 'title' | 'kind' | 'line' | 'seconds'>,
  combos: readonly Pick<ComboView, 'id' | 'line'>[],
  id: string,
): RoundDto | null {
  const work = measuringBlock(test, combos, id);
  if (!work) return null;
  const rest = newBlock('rest', `${id}-rest`, null);
  return { id, kind: PHASES[test.kind], title: test.title.slice(0, TITLE), blocks: [work, rest] };
}

function measuringBlock(
  { title, kind, line, seconds }: Parameters<typeof measuringRound>[0],
  combos: readonly Pick<ComboView, 'id' | 'line'>[],
  id: string,
): AnyBlockDto | null {
  switch (kind) {
    case 'burst':
      return { ...newBlock('burst', `${id}-work`, null), title, seconds } as AnyBlockDto;
    case 'combo-time': {
      const combo = combos.find((each) => each.line === line);
      const more = { seconds: COMBO_SECONDS, leadPlan: 'halves' };
      return combo ? ({ ...newBlock('combo', `${id}-work`, combo.id), ...more } as AnyBlockDto) : null;
    }
    case 'reaction':
      return newRound('reaction', id, null).blocks[0]!;
    // Read off while everybody is called in turn: time for it, with its name.
    case 'measure':
      return {
        ...newBlock('talk', `${id}-work`, null),
        title: title.slice(0, TITLE),
        seconds: MEASURE_SECONDS,
      } as AnyBlockDto;
    default:
      return kind satisfies never;
  }
}
