import { HALF, ONE, QUARTER, equals } from '../units/index.ts';
import type { BeatLine, Entry, Gap, Item, Stroke } from './beatLine.ts';

const LEVEL_LETTER = { head: 'h', body: 'b', low: 'l' } as const;
const POWER_MARK = { touch: "'", normal: '', full: '*' } as const;
const STEP_MARK = { through: '>', back: '<' } as const;

/**
 * Writes a line in its one canonical spelling: parsing it again gives the same line.
 *
 * @example
 * formatLine(line('1 .-2')) // '1 . 2'
 */
export function formatLine(line: BeatLine): string {
  return (formatEntries(line.entries) + formatTail(line.tail)).trim();
}

function formatEntries(entries: readonly Entry[]): string {
  let text = '';
  for (const [position, { gap, comments, item }] of entries.entries()) {
    const mark = position === 0 ? '' : gap === null ? ' ' : formatGap(gap);
    const notes = comments.map((comment) => `# ${comment}`.trimEnd() + '\n').join('');
    text += mark + notes + formatItem(item);
  }
  return text;
}

function formatTail(comments: readonly string[]): string {
  return comments.map((comment, i) => (i === 0 ? ' ' : '\n') + `# ${comment}`.trimEnd()).join('');
}

function formatGap(gap: Gap): string {
  if (gap.kind === 'together') return '+';
  if (equals(gap.beats, ONE)) return ' ';
  if (equals(gap.beats, HALF)) return '-';
  if (equals(gap.beats, QUARTER)) return '=';
  return `:${gap.beats.n}/${gap.beats.d} `;
}

function formatItem(item: Item): string {
  switch (item.kind) {
    case 'stroke':
      return item.feint ? `(${formatStroke(item)})` : formatStroke(item);
    case 'rest':
      return equals(item.beats, HALF) ? ',' : '.';
    case 'free':
    case 'hold':
      return `[${item.kind}${item.beats}]`;
    case 'say':
      return `[say "${item.words}"]`;
    case 'group': {
      const tail = item.tail.length === 0 ? '' : formatTail(item.tail) + '\n';
      return `{${formatEntries(item.entries)}${tail}}x${item.times}`;
    }
    default:
      return item satisfies never;
  }
}

function formatStroke(stroke: Stroke): string {
  return [
    stroke.by === 'holder' ? 'o:' : '',
    stroke.conditional ? '?' : '',
    stroke.keptUp ? '^' : '',
    stroke.side === null ? '' : stroke.side === 'front' ? 'f:' : 'r:',
    stroke.word,
    stroke.level === null ? '' : `@${LEVEL_LETTER[stroke.level]}`,
    stroke.step === null ? '' : STEP_MARK[stroke.step],
    POWER_MARK[stroke.power],
    stroke.shout ? '!' : '',
  ].join('');
}
