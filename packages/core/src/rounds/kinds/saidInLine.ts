import { walkStance, type Walk } from '../../body/index.ts';
import { saidPhrase } from '../../calls/index.ts';
import { parseLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import type { Seconds } from '../../units/index.ts';
import type { Cue, Layout } from '../cue.ts';

/** The cues that a line speaks, with their beats; none of a line that cannot be read. */
export function saidBeats(line: string, book: MoveBook): Walk['said'] {
  const parsed = parseLine(line, book);
  return parsed.ok ? walkStance(parsed.line, book, 'left').said : [];
}

/** The texts of the same, as the voice says them. */
export function saidIn(line: string, book: MoveBook): string[] {
  return saidBeats(line, book).map(({ words }) => saidPhrase(words));
}

/** A cue that the line speaks: from its instant on, or a moment later where a stroke is called there. */
const SAID_LATE: Seconds = 0.6;

/** Asks for a cue that a line speaks at its instant. */
export function sayInLine(
  words: string,
  at: Seconds,
  ids: Pick<Cue, 'block' | 'combo' | 'cycle'>,
  layout: Layout,
): void {
  layout.calls.push({
    forms: [saidPhrase(words)],
    priority: 'prompt',
    place: { kind: 'start', at: Math.max(0, at), latest: Math.max(0, at) + SAID_LATE },
    cue: { kind: 'call', ...ids },
  });
}
