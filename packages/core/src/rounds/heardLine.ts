import { walkStance } from '../body/index.ts';
import { ABOUT_SPOKEN, hear, type ClipLibrary, type HeardStroke, type StrokeWords } from '../calls/index.ts';
import { parseLine } from '../line/index.ts';
import { type Lead, type MoveBook, type Side } from '../moves/index.ts';
import { beatSeconds, toNumber, type Bpm, type Seconds } from '../units/index.ts';
import { compileRound } from './compileRound.ts';
import { atOnce, isForFighter, spokenOf } from './kinds/combo/strokeFormsOf.ts';
import { usualBlock, type Block } from './kinds/registry.ts';

/** How a line is called to a fighter. */
export interface Calling {
  readonly lead: Lead;
  readonly bpm: Bpm;
  readonly words: StrokeWords;
}

/** What is done at one instant of a line, and what of it somebody knows who only hears its call. */
export interface HeardInstant {
  /** Place of its first stroke in the line. */
  readonly stroke: number;
  /** The call; null where nothing is said. */
  readonly said: string | null;
  /** What a listener does, stroke by stroke: "left hand: jab, head". */
  readonly understood: readonly string[];
  /** What of the line he does not do. */
  readonly missed: readonly string[];
  /** What he does that is not in the line. */
  readonly wrong: readonly string[];
}

/** Beats and seconds beside two times through: what is announced, and a bar before and behind each. */
const MORE_BEATS = 16;
const OPENING: Seconds = 12;

/**
 * A line as a fighter understands it from its calls alone, instant by instant, on the beat and at its tempo; none where it cannot be
 * read. The calls of its second time through are looked at: no announcement is in their way.
 *
 * @param library the clips of the voice; without them a voice of usual length
 *
 * @example
 * heardLine('1 . 2', book, { lead: 'left', bpm: 60, words: 'names' })[0].understood // ['left hand: jab, head']
 */
export function heardLine(
  line: string,
  book: MoveBook,
  { lead, bpm, words }: Calling,
  library: ClipLibrary = ABOUT_SPOKEN,
): HeardInstant[] {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return [];
  const { beats } = walkStance(parsed.line, book, lead);
  const combo = { id: 'line', grade: '', number: 1, title: '', line, beatsPerBar: 4 };
  const block = {
    ...usualBlock('combo', 'line'),
    combos: [combo],
    seconds: OPENING + (2 * toNumber(beats) + MORE_BEATS) * beatSeconds(bpm),
    bpm,
    words,
    calls: 'on-beat',
    leadPlan: 'as-set',
    cyclesEach: 3,
  } as Block;
  const { cues, cycles } = compileRound({ blocks: [block], lead, seed: 1 }, book, library);
  const cycle = cycles[1] ?? cycles[0];
  if (!cycle) return [];
  const said = new Map(
    cues.flatMap((cue) =>
      cue.cycle === cycle.cycle && cue.clip && cue.stroke !== undefined
        ? [[cue.stroke, cue.text] as const]
        : [],
    ),
  );
  return atOnce(walkStance(parsed.line, book, cycle.lead).strokes.filter(isForFighter)).map((strokes) => {
    const [first] = strokes;
    const { index, before } = first!;
    const text = said.get(index) ?? null;
    const heard = text === null ? [] : hear(text, book, { words, lead: before.lead }).strokes;
    const understood = heard.map((stroke) => inWords(stroke, book, before.lead));
    const written = strokes.map((stroke) => {
      const { move, ...spoken } = spokenOf(stroke);
      return inWords({ code: move.code, ...spoken }, book, before.lead);
    });
    return {
      stroke: index,
      said: text,
      understood,
      missed: written.filter((each) => !understood.includes(each)),
      wrong: understood.filter((each) => !written.includes(each)),
    };
  });
}

/** What is done, with what, where to: "left hand: jab, head". */
function inWords(
  { code, side, level, feint, travel, isConditional }: HeardStroke,
  book: MoveBook,
  lead: Lead,
): string {
  const move = book.moves.get(code)!;
  const limb = move.limb === 'hand' || move.limb === 'leg' ? ` ${move.limb}` : '';
  const done = side === null ? '' : `${ofBody(side, lead)}${limb}: `;
  const more = [level, travel, feint ? 'only shown' : '', isConditional ? 'if the last one landed' : ''];
  return [`${done}${move.name.toLowerCase()}`, ...more.filter((each) => each)].join(', ');
}

const ofBody = (side: Side, lead: Lead): string =>
  (side === 'front') === (lead === 'left') ? 'left' : 'right';
