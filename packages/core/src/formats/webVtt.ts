import type { Cue } from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';

/** A call stays on the screen a little after it was said, but not into the next one. */
const STAYS: Seconds = 0.6;

const two = (n: number): string => String(n).padStart(2, '0');

/** "00:01:02.500" */
function timestamp(seconds: Seconds): string {
  const ms = Math.max(0, Math.round(seconds * 1000));
  const rest = Math.floor(ms / 1000);
  return `${two(Math.floor(rest / 3600))}:${two(Math.floor(rest / 60) % 60)}:${two(rest % 60)}.${String(ms % 1000).padStart(3, '0')}`;
}

/** On one line, since an empty one ends a caption; with the signs of markup written out. */
const escaped = (text: string): string =>
  text.replace(/\s+/g, ' ').replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/** A round with the instant at which it begins in the file. */
export interface PlacedRound {
  readonly at: Seconds;
  readonly title: string;
  readonly cues: readonly Cue[];
}

/**
 * The spoken calls of rounds that follow each other, as WebVTT captions (W3C), in order, none over another.
 *
 * @example
 * webVtt([]).trim() // 'WEBVTT'
 */
export function webVtt(rounds: readonly PlacedRound[]): string {
  const calls = rounds
    .flatMap(({ at, cues }) =>
      cues.flatMap(({ clip, text }) =>
        clip ? [{ from: at + clip.start, to: at + clip.start + clip.seconds + STAYS, text }] : [],
      ),
    )
    .sort((a, b) => a.from - b.from);
  const captions = calls.map(({ from, to, text }, i) => {
    const end = Math.min(to, calls[i + 1]?.from ?? to);
    return `${i + 1}\n${timestamp(from)} --> ${timestamp(end)}\n${escaped(text)}\n`;
  });
  return ['WEBVTT\n', ...captions].join('\n');
}
