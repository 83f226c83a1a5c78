/** The computation by itself: lines, the limb clock, rounds. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { both, row, timed } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [
  { starterBook },
  { analyseCombo, findFindings },
  { compileRound, wantedTexts },
  { clipLibrary, VOICE_RATES },
] = await Promise.all([core('moves'), core('body'), core('rounds'), core('calls')]);

const book = starterBook();
const line = '1-1 2> 3@b r:round@l*:3/2 2 . r:knee!';
row('parse and walk, 7 strokes', both(timed(() => analyseCombo(line, book, 'left'), 2000)));
const forty = `{${line} sw}x5`;
row('parse and walk, 40 strokes', both(timed(() => analyseCombo(forty, book, 'left'), 1000)));
row(
  'analyse 40 strokes with clock and findings',
  both(
    timed(() => {
      const analysis = analyseCombo(forty, book, 'left');
      findFindings(analysis.walk, book, { factor: 1.25, bpm: 92 });
    }, 1000),
  ),
);
row('parse a faulty line', both(timed(() => analyseCombo('1 rund (3 kross-42', book, 'left'), 1000)));

const combo = (id, text) => ({
  id,
  grade: 'Flood',
  number: 4,
  title: 'Low gate',
  line: text,
  beatsPerBar: 4,
});
const work = (id, seconds) => ({
  kind: 'combo',
  id,
  seconds,
  combos: [combo('a', line), combo('b', '1-2 3')],
  bpm: 92,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'halves',
  cyclesEach: 4,
});
const clips = wantedTexts([work('w', 60)], book).flatMap((text) =>
  VOICE_RATES.map((rate) => ({
    id: `${text}${rate}`,
    text,
    rate,
    seconds: (0.2 + text.length * 0.05) / rate,
    centre: 0.08,
  })),
);
const library = clipLibrary(clips);
const plan = (blocks) => ({ blocks, lead: 'left', seed: 1 });
const three = plan([work('w', 180), { kind: 'rest', id: 'r', seconds: 40, next: '' }]);
const hour = plan(Array.from({ length: 20 }, (_, i) => work(`w${i}`, 180)));
row(
  'compile a round of 3 minutes',
  both(timed(() => compileRound(three, book, library), 200)),
  `${compileRound(three, book, library).cues.length} cues`,
);
row(
  'compile an hour of work',
  both(timed(() => compileRound(hour, book, library), 20)),
  `${compileRound(hour, book, library).cues.length} cues`,
);

const gap = (id) => ({ kind: 'rest', id, seconds: 60, next: '' });
const lesson = plan(Array.from({ length: 20 }, (_, i) => [work(`w${i}`, 120), gap(`r${i}`)]).flat());
row(
  'compile a class of an hour, a third of it rest',
  both(timed(() => compileRound(lesson, book, library), 20)),
  `${compileRound(lesson, book, library).cues.length} cues`,
);
const steady = (id) => ({ ...work(id, 120), calls: 'lead-in' });
const called = plan(Array.from({ length: 20 }, (_, i) => [steady(`w${i}`), gap(`r${i}`)]).flat());
row(
  'the same with only the combos called',
  both(timed(() => compileRound(called, book, library), 20)),
  `${compileRound(called, book, library).cues.length} cues`,
);
