import type { Lead } from '../moves/index.ts';
import { numberWord } from './numberWords.ts';

/*
 * Everything that the voice says in rounds in words of its own, once: what is laid out and what is fetched beforehand both
 * come from here.
 */

/** Said about the time of any round. */
export const TIME_PHRASES = {
  halfway: 'halfway',
  thirty: 'thirty seconds',
  ten: 'ten seconds',
  ready: 'ready',
  getReady: 'get ready',
  rest: 'rest',
  over: 'session over',
} as const;

/** What a rest says comes after it. */
export const nextPhrase = (title: string): string => `next, ${title.toLowerCase()}`;

/** What stands as the next thing of a rest that nothing follows. */
export const SESSION_OVER = TIME_PHRASES.over;

const CHANGE_WORDS = /^change\b/i;
/**
 * Whether a rest is there for people to change what they do.
 *
 * @example
 * tellsChange('change: holders work') // true
 */
export const tellsChange = (next: string): boolean => CHANGE_WORDS.test(next);
/**
 * What such a rest says.
 *
 * @example
 * changePhrase('change: holders work') // 'change, holders work'
 */
export const changePhrase = (next: string): string => next.toLowerCase().replace(/:/g, ',');

/** A change of lead, longest form first. */
export const switchForms = (lead: Lead): string[] => [`switch, ${lead} lead`, 'switch'];
export const SWITCH_BACK_FORMS: readonly string[] = ['switch back', 'switch'];

export const intensityPhrase = (percent: number): string =>
  percent >= 100 ? 'full power' : `${numberWord(Math.round(percent))} percent`;

/** Said when a group has done its own repetitions, fewer than those of the others. */
export const groupDoneForms = (group: string): string[] => [
  `${group.toLowerCase()} done`,
  group.toLowerCase(),
];

/** The other side of what was named before, longest form first. */
export const otherSideForms = (name: string): string[] => [`${name}, other side`, 'other side'];

/** A cue that a line speaks at its instant. */
export const saidPhrase = (words: string): string => words.toLowerCase();

/** A last repetition with a shout. */
export const shoutPhrase = (word: string): string => `${word}, shout`;

export const BREATH_FORMS = {
  in: ['breathe in', 'in'],
  hold: ['hold'],
  out: ['breathe out', 'out'],
} as const satisfies Readonly<Record<string, readonly string[]>>;

/** What may be said in any round, whatever its blocks are. */
export const ROUND_PHRASES: readonly string[] = [
  TIME_PHRASES.halfway,
  TIME_PHRASES.ten,
  TIME_PHRASES.rest,
  TIME_PHRASES.getReady,
  TIME_PHRASES.ready,
  ...[1, 2, 3, 4, 5].map(numberWord),
  ...switchForms('left'),
  ...switchForms('right'),
  ...SWITCH_BACK_FORMS,
];
