import { CAUTIONS } from '@eurhythm/contract';
import { oneTurn } from '@eurhythm/core/plan';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import { GET_READY, handoutOf, lineInWords, type HandoutLine } from '@eurhythm/core/rounds';
import { clockText } from '@eurhythm/core/units';
import escapeHtml from 'escape-html';
import type { PlayedSession } from './playedSession.ts';

/** A page that prints on one or two sheets, in black and white: rounds with their times, lines in words with boxes to tick, cautions. */
export function homeworkSheet({ title, seconds, rounds }: PlayedSession, book: MoveBook, lead: Lead): string {
  const rows = rounds.map(({ title: name, at, round, written }, i) => {
    // The time to get ready belongs to the sound, not to the round.
    const ready = i === 0 ? GET_READY : 0;
    const combos = new Map(round.combos.map((combo) => [combo.id, combo]));
    const lines = oneTurn(written).flatMap((block) =>
      handoutOf(block, combos).map(
        (line) => `<div>${handoutHtml(line, (text) => lineInWords(text, book, lead))}</div>`,
      ),
    );
    return `<tr><td class="box"></td><td>${clockText(at + ready)}</td><td><b>${escapeHtml(name)}</b>${lines.join('')}</td><td>${clockText(round.duration - ready)}</td></tr>`;
  });
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<title>${escapeHtml(title)}</title>
<style>
  body { font: 12pt/1.4 sans-serif; margin: 18mm; color: #000; }
  h1 { font-size: 20pt; margin: 0 0 4mm; }
  table { width: 100%; border-collapse: collapse; }
  td, th { border-bottom: 0.3mm solid #000; padding: 2mm; text-align: left; vertical-align: top; }
  .box { width: 6mm; }
  .box::before { content: ""; display: block; width: 5mm; height: 5mm; border: 0.4mm solid #000; }
  .line::before { content: ""; display: inline-block; width: 3.5mm; height: 3.5mm; margin: 0 2mm; border: 0.3mm solid #000; }
  tr { break-inside: avoid; }
  footer { margin-top: 6mm; font-size: 10pt; border: 0.4mm solid #000; padding: 3mm; }
</style>
<h1>${escapeHtml(title)}</h1>
<p>${clockText(seconds - GET_READY)} in all, after ${GET_READY} s to get ready. Play session.wav; tick a box when a round is done.</p>
<table><thead><tr><th></th><th>from</th><th>round</th><th>time</th></tr></thead><tbody>
${rows.join('\n')}
</tbody></table>
<footer>${CAUTIONS.map((caution) => `<div>${escapeHtml(caution)}</div>`).join('')}</footer>
</html>
`;
}

function handoutHtml(
  { who = '', name, text, lines, time = '' }: HandoutLine,
  inWords: (line: string) => string,
): string {
  const combo = name === undefined ? '' : `<b>${escapeHtml(name)}</b> `;
  const own = `${who === '' ? '' : `${escapeHtml(who)}: `}${combo}${escapeHtml(text)}`;
  const codes = lines.map((line) => `<span class="line">${escapeHtml(inWords(line))}</span>`);
  return [own, ...codes, ...(time === '' ? [] : [time])].join(' ');
}
