/** Words that say something of the move beside them. */
import type { Lead, Level, Side } from '../../moves/index.ts';
import type { Word } from './wordsOf.ts';

export const SIDE_WORDS: Readonly<Record<string, Side | Lead>> = {
  ...{ lead: 'front', front: 'front', rear: 'rear', back: 'rear' },
  ...{ left: 'left', right: 'right' },
};
export const LEVEL_WORDS: Readonly<Record<string, Level>> = {
  ...{ head: 'head', high: 'head', chin: 'head', face: 'head' },
  ...{
    body: 'body',
    middle: 'body',
    chest: 'body',
    belly: 'body',
    stomach: 'body',
    ribs: 'body',
    liver: 'body',
  },
  ...{ low: 'low', leg: 'low', thigh: 'low', legs: 'low' },
};
export const TIMES: Readonly<Record<string, number>> = { double: 2, triple: 3 };
export const POWER: Readonly<Record<string, 'full' | 'touch'>> = {
  hard: 'full',
  power: 'full',
  light: 'touch',
  touch: 'touch',
};
/** Words that say nothing by themselves. */
export const FILLERS: ReadonlySet<string> = new Set([
  'a',
  'an',
  'the',
  'your',
  'with',
  'now',
  'full',
  'hand',
  'off',
]);
export const HANDS: Readonly<Record<string, Lead>> = { lh: 'left', rh: 'right' };
/** Said of what the feet do while something else is done. */
export const JOINED: Readonly<Record<string, string>> = {
  stepping: 'step',
  sliding: 'slide',
  switching: 'switch',
  pivoting: 'pivot',
};

/** What was said before a name, and holds for it. */
export interface Before {
  side: Side | Lead | null;
  level: Level | null;
  feint: boolean;
  holder: boolean;
  conditional: boolean;
  keptUp: boolean;
  times: number;
  power: 'full' | 'touch' | null;
  joined: boolean;
  /** Where it begins. */
  from: Word | null;
}

export const nothing = (): Before => ({
  ...{ side: null, level: null, feint: false, holder: false, conditional: false, keptUp: false },
  ...{ times: 1, power: null, joined: false, from: null },
});
