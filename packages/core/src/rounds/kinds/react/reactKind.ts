import { walkStance, type Walk } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { STARTER_LINES, type Lead, type MoveBook } from '../../../moves/index.ts';
import { beatSeconds, pick, toNumber, type Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { callLead } from '../../callLead.ts';
import { AFTER_BELL } from '../counting.ts';
import type { BlockBase, Waits } from '../blockBase.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import { lineInWords } from '../combo/lineInWords.ts';
import { saidIn, sayInLine } from '../saidInLine.ts';

/** A call at random waits, to be answered with a line. */
export interface ReactBlock extends BlockBase {
  readonly kind: 'react';
  /** What is called; empty when the holder acts and nothing is said. */
  readonly call: string;
  readonly line: string;
  /** More calls, each with an answer of its own; which one comes cannot be foreseen. */
  readonly more?: readonly Reaction[] | undefined;
  /** From the end of an answer to the next call. */
  readonly every: Waits;
  /** So long the calls come regularly at first. */
  readonly regular: Seconds;
}

/** A call, or a sign of the holder, and the line that answers it. */
export interface Reaction {
  readonly call: string;
  readonly line: string;
}

/** From the start to the first call at least, and from the last one to the end. */
const BEFORE: Seconds = 3;
const AFTER: Seconds = 1;

export const reactKind: BlockKind<ReactBlock> = {
  ...BY_THE_CLOCK,
  name: 'React',
  usual: (id) => ({
    kind: 'react',
    id,
    seconds: 60,
    call: 'now',
    line: STARTER_LINES.pair,
    every: { min: 3, max: 7 },
    regular: 15,
  }),
  tell: (block) =>
    reactionsOf(block)
      .map(({ call, line }) => `${callName(call)}: ${line}`)
      .join(', '),
  worked: (block, _, { lead, book }) =>
    reactionsOf(block).map(({ call, line }) => `${callName(call)}: ${lineInWords(line, book, lead)}`),
  measures: (block) => ({
    kind: 'reaction',
    calls: [...new Set(reactionsOf(block).map(({ call }) => call.toLowerCase()))],
  }),
  written: ({ line, more = [] }) => [
    { field: 'line', line },
    ...more.map((each, i) => ({ field: `more.${i}.line`, line: each.line })),
  ],
  done: ({ line, more = [] }) => [line, ...more.map((each) => each.line)],
  texts: (block, book) =>
    reactionsOf(block).flatMap(({ call, line }) => [
      ...(call === '' ? [] : [call.toLowerCase()]),
      ...saidIn(line, book),
    ]),
  scenes: (_, { from }, { lead }) => [{ at: from, what: 'wait', how: [`${lead} lead`], isSurprise: true }],
  layOut: layOutReact,
  strikes: () => 'as-compiled',
};

const callName = (call: string): string => (call === '' ? 'the holder’s sign' : `“${call}”`);

/** All that may be called, the block's own first. */
function reactionsOf({ call, line, more = [] }: ReactBlock): readonly Reaction[] {
  return [{ call, line }, ...more];
}

/** From a call to the first strike of its answer, and the tempo at which it is given. */
const REACTION: Seconds = 0.4;
const ANSWER_BPM = 90;
/** The same call comes at most so often in a row. */
const MOST_IN_A_ROW = 3;

interface Answered extends Reaction {
  /** What the holder throws or shows; what the fighter answers stays his own. */
  readonly holder: string;
  /** From the call to the last strike. */
  readonly seconds: Seconds;
  readonly said: Walk['said'];
}

function answered({ call, line }: Reaction, book: MoveBook, lead: Lead): Answered {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return { call, line, holder: 'give the sign', seconds: REACTION, said: [] };
  const walk = walkStance(parsed.line, book, lead);
  const thrown = walk.strokes
    .filter(({ stroke }) => stroke.by === 'holder')
    .map(({ move }) => move.say.short);
  return {
    call,
    line,
    holder: thrown.length > 0 ? thrown.join(', ') : call === '' ? 'give the sign' : call.toLowerCase(),
    seconds: REACTION + toNumber(walk.beats) * beatSeconds(ANSWER_BPM),
    said: walk.said,
  };
}

/** "Go" and "relax" take turns: nobody relaxes twice. */
const PAIR = ['go', 'relax'];

function asPair(reactions: readonly Answered[]): readonly [Answered, Answered] | null {
  const [first, second] = PAIR.map((word) =>
    reactions.find(({ call }) => call.toLowerCase().trim() === word),
  );
  return reactions.length === 2 && first && second ? [first, second] : null;
}

/** A call, or the holder's own sign, after regular and then random waits; the wait counts from the end of the answer. */
function layOutReact(block: ReactBlock, time: BlockTime, context: LayOutContext): void {
  const { book, lead, random, layout } = context;
  callLead(lead, time.from + AFTER_BELL, block.id, context);
  const reactions = reactionsOf(block).map((reaction) => answered(reaction, book, lead));
  const { min, max } = block.every;
  const wait = (at: Seconds): Seconds =>
    at - time.from < block.regular ? (min + max) / 2 : min + random() * (max - min);
  const inPairs = asPair(reactions);
  const last: Answered[] = [];
  const from = time.from + Math.max(BEFORE, wait(time.from));
  for (let at = from; at < Math.min(time.to, time.workEnds) - AFTER;) {
    const before = last.at(-1);
    const isWorn = last.length === MOST_IN_A_ROW && last.every((each) => each === last[0]);
    const open = isWorn && reactions.length > 1 ? reactions.filter((each) => each !== last[0]) : reactions;
    const next = inPairs
      ? before === inPairs[0]
        ? inPairs[1]
        : inPairs[0]
      : open.length === 1
        ? open[0]!
        : pick(random, open);
    last.push(next);
    if (last.length > MOST_IN_A_ROW) last.shift();
    layout.cues.push({ at, kind: 'show', text: next.holder, block: block.id });
    if (next.call !== '')
      layout.calls.push({
        forms: [next.call.toLowerCase()],
        priority: 'trigger',
        place: { kind: 'centre', at },
        cue: { kind: 'call', block: block.id },
      });
    for (const { beat, words } of next.said) {
      const due = at + REACTION + toNumber(beat) * beatSeconds(ANSWER_BPM);
      if (due <= time.to) sayInLine(words, due, { block: block.id }, layout);
    }
    at += next.seconds + wait(at);
  }
}
