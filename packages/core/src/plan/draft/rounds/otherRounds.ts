import { cleanWhenRepeated } from '../../../body/index.ts';
import { BPM_LIMITS } from '../../../units/index.ts';
import { workOf } from '../../roundWork.ts';
import { fillBlock, kindOf, lineInWords, usualBlock, type WrittenBlock } from '../../../rounds/index.ts';
import { fittingShape } from '../choice/fittingShape.ts';
import type { DraftClass } from '../draftedClass.ts';
import { fromLibrary } from './frame.ts';
import type { PlainRound } from '../plainRound.ts';

/** An answer to a call is short. */
const SHORT_ANSWER = 3;
/** What comes at no set time is done without looking out for height or a turn of the back. */
const SAFE = { noHighKicks: true, noSpins: true } as const;

/** A call at no set time, or the holder's sign, answered with a short line that everybody may do; null without one. */
export function reactionRound(of: DraftClass, nth: number): PlainRound | null {
  const { gym, theme, bounds, youth, turns, hasPads, lengths } = of;
  const lines = gym.combos
    .filter(({ gradeId }) => of.groups.some(({ gradeIds }) => gradeIds.includes(gradeId)))
    .flatMap(({ line, title, focus }) => {
      const shape = fittingShape(line, gym, { ...bounds, ...SAFE }, youth);
      if (!shape || shape.moves.length > SHORT_ANSWER) return [];
      return [{ line, moves: shape.moves.length, fit: theme.fits({ title, focus }, shape) }];
    })
    .sort((a, b) => b.fit - a.fit || a.moves - b.moves);
  const own = [...lines.map(({ line }) => line), ...listedMoves(of)];
  const line = own[nth];
  if (line === undefined) return null;
  const isHeld = turns !== null && hasPads;
  const said = lineInWords(line, gym.book, 'left');
  const work: WrittenBlock = {
    ...usualBlock('react', 'work'),
    ...{ line, call: isHeld ? '' : 'now', every: { min: 3, max: 8 }, regular: 15 },
    // Who waits for a sign tires soon: the turns are short.
    seconds: isHeld ? Math.min(45, lengths.turn) : lengths.work,
    ...(isHeld ? { kit: ['pads'] } : {}),
  };
  return {
    kind: isHeld ? 'pads' : 'combos',
    title: `React: ${said}`,
    work: [work],
    turns: isHeld ? turns : null,
    why: `${isHeld ? 'The holder shows at no set time' : 'The call comes at no set time'}; the answer, ${said}, is one that everybody has.`,
  };
}

/** Single moves of the lists, for a class whose combos are all long. */
function listedMoves({ groups, gym, youth, bounds }: DraftClass): string[] {
  return groups
    .flatMap(({ gradeIds }) => gradeIds.flatMap((id) => gym.techniques[id] ?? []))
    .flatMap(({ move }) =>
      move !== null && fittingShape(move, gym, { ...bounds, ...SAFE }, youth) ? [move] : [],
    );
}

/** Steps there and back, as many as the room takes. */
export function footworkRound(of: DraftClass, nth: number): PlainRound | null {
  const { bounds, lengths, theme } = of;
  const ways = [
    ['in', 'out'],
    ['left', 'right'],
  ] as const;
  const [there, back] = ways[nth % ways.length]!;
  if (bounds.floorSteps !== null && bounds.floorSteps < 1) return null;
  const usual = {
    ...usualBlock('footwork', 'work'),
    ...{ there, back, strike: '', steps: 2, seconds: lengths.work },
    room: bounds.floorSteps,
  };
  const work: WrittenBlock = { ...usual, bpm: Math.min(usual.bpm, cleanFor(usual, of)) };
  return {
    kind: 'technique',
    title: `Footwork, ${there} and ${back}`,
    work: [work],
    turns: null,
    why: theme.work.has('footwork')
      ? 'Of “footwork”: distance first, then the strikes.'
      : 'The feet before the hands.',
  };
}

/** The fastest tempo at which everybody does a block without combos of the book cleanly. */
function cleanFor(block: WrittenBlock, { gym, groups }: DraftClass): number {
  const { asked } = workOf(fillBlock(block, new Map()), gym.book, 'left', gym.factor);
  const paces = [gym.factor, ...groups.flatMap(({ people }) => people.map(({ pace }) => pace))];
  const clean = asked.flatMap(({ walk, beats }) =>
    paces.map((factor) => cleanWhenRepeated(walk, beats, { factor })?.bpm ?? Infinity),
  );
  return Math.max(BPM_LIMITS.min, Math.min(...clean));
}

/** Shadow with words of this class, from both leads. */
export function shadowRound(of: DraftClass, nth: number): PlainRound | null {
  const { lengths, theme } = of;
  const work: WrittenBlock = {
    ...usualBlock('free', 'work'),
    seconds: lengths.work,
    prompts: [...theme.words.slice(0, 3), 'Hands high', 'Move your head', 'Circle out', 'Change lead'].map(
      (word) => word[0]!.toUpperCase() + word.slice(1),
    ),
  };
  return {
    kind: 'shadow',
    title: nth === 0 ? 'Shadow, your own' : `Shadow, your own, ${nth + 1}`,
    work: [work],
    turns: null,
    why: 'Everybody puts together what they have learnt, from both leads.',
  };
}

/** Bursts as the gym measures them: ten seconds, as many as stay clean. */
export function burstRound({ lengths, groups, theme }: DraftClass): PlainRound {
  const bursts = groups.some(({ youth }) => youth !== null) ? 2 : 3;
  const work = Array.from({ length: bursts }, (_, i): WrittenBlock[] => [
    { ...usualBlock('burst', `burst-${i + 1}`), seconds: 10 },
    ...(i < bursts - 1
      ? [{ ...usualBlock('rest', `between-${i + 1}`), seconds: lengths.rest + 10, next: '' }]
      : []),
  ]).flat();
  return {
    kind: 'conditioning',
    title: bursts === 2 ? 'Two bursts' : 'Three bursts',
    work,
    turns: null,
    why: `${theme.work.has('test') ? 'The test: ' : 'The peak of the class: '}ten seconds, as many as stay clean, and the log knows who got faster.`,
  };
}

const EXERCISES = ['Squats', 'Press-ups', 'Step-ups on the spot', 'Plank', 'Lunges, in turn'] as const;

/** Strength by the clock, or what the library has for it. */
export function conditioningRound(of: DraftClass, nth: number): PlainRound {
  const { lengths, gym, bounds, youth, random } = of;
  const kept =
    nth === 0
      ? fromLibrary('conditioning', lengths.work * 1.5, { gym, floorSteps: bounds.floorSteps, youth })
      : null;
  const isFit = kept && kept.blocks.every(({ seconds }) => seconds <= lengths.most);
  if (kept && isFit && kept.blocks.every((block) => kindOf(block).stretches))
    return { kind: 'conditioning', title: kept.title, work: kept.blocks, turns: null, why: kept.why };
  const from = Math.floor(random() * EXERCISES.length);
  const pieces = [0, 1, 2].map((i) => EXERCISES[(from + i) % EXERCISES.length]!);
  const each = 5 * Math.round(lengths.work / 3 / 5);
  return {
    kind: 'conditioning',
    title: nth === 0 ? 'Strength' : `Strength, ${nth + 1}`,
    work: pieces.map((title, i) => ({
      ...usualBlock('condition', `exercise-${i + 1}`),
      ...{ title, seconds: each, reps: null },
    })),
    turns: null,
    why: `${pieces.join(', ')}: so that the last round is as clean as the first.`,
  };
}
