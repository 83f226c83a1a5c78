import type { CallWords } from '../../calls/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import { USUAL_COMBO_BLOCK, USUAL_FREE_BLOCK, type Block, type ComboBlock } from '../../rounds/index.ts';
import { BPM_LIMITS, type Seconds } from '../../units/index.ts';
import { techniqueRounds } from './draftTechnique.ts';
import type { DraftWish, DraftedRound, SessionDraft } from './draftWish.ts';
import { keptClean } from './keptClean.ts';
import { pickCombos, type DraftCombo, type PickedCombo } from './pickCombos.ts';
import { roundSeconds, type RoundLike } from '../plannedRound.ts';
import { demandsOf } from '../roundWork.ts';
import { fitSession, withLengths } from '../length/stretchLimits.ts';

/** Shares of a class that a coach would begin with (our own choice). */
const ROUND_OF_PADS: Seconds = 180;
const PAUSE: Seconds = 40;
/** A class shorter than this has no technique sets or conditioning of its own. */
const SHORT_CLASS = 25;
const COMBOS_PER_ROUND = 2;

/**
 * A session for a class, from the gym's own combos, technique lists and library: warm-up, technique that the combos need, a
 * combo built up from its parts, pads, shadow, conditioning, stretch; fitted to the minutes to the second where its limits
 * allow it. The same wish gives the same session.
 *
 * @example
 * draftSession({ minutes: 30, groups: [{ name: 'Ebb', combos: [], techniques: [] }], focus: null, floorSteps: null, kit: [], people: 4, library: [], words: 'numbers', prompts: [], factor: 1 }, book).rounds.length > 0 // true
 */
export function draftSession(wish: DraftWish, book: MoveBook): SessionDraft {
  const notes: string[] = [];
  const total = wish.minutes * 60;
  const isShort = wish.minutes < SHORT_CLASS;
  const [base, ...others] = wish.groups;
  const hasPads = wish.kit.length === 0 || wish.kit.some((item) => /pad|paddle|shield/i.test(item));
  if (!hasPads) notes.push('No pads at hand: the combos go into the air.');

  const opening = fromLibrary('warm-up', wish, book);
  const closing = fromLibrary('stretch', wish, book);
  const exercise = isShort ? null : fromLibrary('conditioning', wish, book);
  if (!opening)
    notes.push('The library has no warm-up that fits the room and the kit. Add your own before the class.');
  const framed = [opening, exercise, closing].reduce(
    (sum, round) => sum + (round ? roundSeconds(round) : 0),
    0,
  );
  const forCombos = Math.max(0, total - framed);
  const padRounds = Math.max(
    1,
    Math.min(8, Math.round((forCombos * (isShort ? 0.8 : 0.55)) / (ROUND_OF_PADS + PAUSE))),
  );
  const picked = base
    ? pickCombos(
        base.combos,
        { count: Math.min(8, padRounds + 1), focus: wish.focus, floorSteps: wish.floorSteps },
        book,
      )
    : [];
  if (picked.length === 0)
    notes.push('There is no combo of these grades that fits the floor. Write one, or choose another grade.');
  const lanes = others.flatMap((group) => {
    const own = pickCombos(
      group.combos,
      { count: COMBOS_PER_ROUND, focus: wish.focus, floorSteps: wish.floorSteps },
      book,
    );
    if (own.length === 0) notes.push(`${group.name} have no combo that fits; they do what the others do.`);
    return own.length === 0 ? [] : [{ group: group.name, combos: own.map(({ combo }) => combo) }];
  });

  const cleaned = cleanedBy(wish.factor, book, notes);
  const rounds: DraftedRound[] = [
    ...(opening ? [opening] : []),
    ...(isShort || !base ? [] : techniqueRounds(base, others, picked, wish, book)),
    ...buildUp(picked, wish, cleaned),
    ...padsOf(picked, padRounds, { lanes, hasPads, people: wish.people, words: wish.words, cleaned }),
    ...(isShort ? [] : [shadow(wish)]),
    ...(exercise ? [exercise] : []),
    ...(closing ? [closing] : []),
  ];
  const numbered = rounds.map((each, i) => withOwnIds(each, `round-${i + 1}`));
  const fit = fitSession(numbered, total);
  if (fit.missing !== 0)
    notes.push(
      `${Math.abs(Math.round(fit.missing))} s ${fit.missing > 0 ? 'stay empty' : 'are too much'}: nothing may be stretched or cut further.`,
    );
  return { rounds: withLengths(numbered, fit.changes), notes };
}

/** A block of combos no faster than is clean; where it was to be, that is noted with the title of its round. */
type Cleaned = (block: ComboBlock, title: string) => ComboBlock;

/** Nothing is proposed faster than a body does it cleanly at the pace of the gym. */
const cleanedBy =
  (factor: number, book: MoveBook, notes: string[]): Cleaned =>
  (drafted, title) => {
    const { block, changed } = keptClean(drafted, book, factor);
    if (changed)
      notes.push(
        `“${title}” goes up to ${changed.to} bpm instead of ${changed.from}: that is the fastest clean tempo at the gym’s pace.`,
      );
    return block;
  };

function withOwnIds(round: DraftedRound, id: string): DraftedRound {
  return {
    ...round,
    id,
    series: null,
    blocks: round.blocks.map((block, i) => ({ ...block, id: `${id}-${i + 1}` })),
  };
}

function fromLibrary(kind: RoundLike['kind'], wish: DraftWish, book: MoveBook): DraftedRound | null {
  const has = new Set(wish.kit.map((item) => item.toLowerCase()));
  const found = wish.library.find(
    (round) =>
      round.kind === kind &&
      round.blocks.every(
        (block) =>
          (wish.kit.length === 0 || (block.kit ?? []).every((item) => has.has(item.toLowerCase()))) &&
          (wish.floorSteps === null || demandsOf(block, book).floor <= wish.floorSteps),
      ),
  );
  return found ? { ...found, why: `“${found.title}” from the library fits the room and the kit.` } : null;
}

function comboBlock(combos: readonly DraftCombo[], words: CallWords, seconds: Seconds): ComboBlock {
  const bpm = Math.min(...combos.map((combo) => combo.bpm));
  return { ...USUAL_COMBO_BLOCK, id: 'work', seconds, combos, bpm, words };
}

const nameOf = ({ grade, number }: DraftCombo): string => `${grade} ${number}`.trim();

/** The first combo is learnt: by parts, joined on one count, fast. */
function buildUp([first]: readonly PickedCombo[], { words }: DraftWish, cleaned: Cleaned): DraftedRound[] {
  if (!first) return [];
  const { combo, why } = first;
  const title = `${nameOf(combo)}, built up`;
  const fast = Math.min(BPM_LIMITS.max, Math.round(combo.bpm * 1.1));
  const block: ComboBlock = {
    ...comboBlock([combo], words, ROUND_OF_PADS),
    tempo: { kind: 'build-up', fast },
  };
  return [
    round('combos', title, cleaned(block, title), `${nameOf(combo)} ${why}; by parts, joined, then fast.`),
  ];
}

interface PadsPlan {
  readonly lanes: NonNullable<ComboBlock['lanes']>;
  readonly hasPads: boolean;
  readonly people: number;
  readonly words: CallWords;
  readonly cleaned: Cleaned;
}

function padsOf(
  picked: readonly PickedCombo[],
  count: number,
  { lanes, hasPads, people, words, cleaned }: PadsPlan,
): DraftedRound[] {
  if (picked.length === 0) return [];
  const inAir = !hasPads || people === 1;
  return Array.from({ length: count }, (_, i) => {
    const own = [
      picked[i % picked.length]!,
      ...(picked.length > 1 ? [picked[(i + 1) % picked.length]!] : []),
    ].slice(0, COMBOS_PER_ROUND);
    const combos = own.map(({ combo }) => combo);
    const block: ComboBlock = {
      ...comboBlock(combos, words, ROUND_OF_PADS),
      ...(lanes.length > 0 ? { lanes } : {}),
      ...(inAir ? {} : { kit: ['pads'] }),
    };
    const others = lanes.map((lane) => `${lane.group} have their own`);
    const why = [...own.map(({ combo, why: because }) => `${nameOf(combo)} ${because}`), ...others].join(
      '; ',
    );
    const title = combos.map(nameOf).join(' and ');
    return round(inAir ? 'combos' : 'pads', title, cleaned(block, title), `${why}.`);
  });
}

function shadow({ prompts }: DraftWish): DraftedRound {
  const block: Block = { ...USUAL_FREE_BLOCK, id: 'work', prompts };
  return round(
    'shadow',
    'Shadow, your own',
    block,
    'Everybody puts together what they have learnt, from both leads.',
  );
}

function round(kind: RoundLike['kind'], title: string, work: Block, why: string): DraftedRound {
  return {
    id: kind,
    kind,
    title: title.slice(0, 60),
    blocks: [work, { kind: 'rest', id: 'rest', seconds: PAUSE, next: '' }],
    why,
  };
}
