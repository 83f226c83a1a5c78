import { PACE_FACTORS, findFindings, limbClock, walkStance, type Audience } from '../../body/index.ts';
import { parseLine, type BeatLine } from '../../line/index.ts';
import { STARTER_GRADES, starterBook } from '../../moves/index.ts';
import { suits } from '../../teach/index.ts';
import { cleanTempos } from '../../tempo/index.ts';
import { compose, type ComposeWish } from './compose.ts';

const book = starterBook();
function line(text: string): BeatLine {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return parsed.line;
}
const named = (lines: readonly string[]) => lines.map((each, i) => ({ name: `Drift ${i + 1}`, line: each }));
const GRADE: Audience = { grade: { name: 'Drift', rank: 2, order: STARTER_GRADES }, youth: null };
const CHILDREN: Audience = {
  grade: { name: 'Sprats', rank: 0, order: STARTER_GRADES },
  youth: { band: 'Sprats', headContact: false, knees: false, elbows: false, spins: false, jumps: false },
};
const TRAINED = ['1 2 3', '1-1 2@b', '2 3 2', '1 weave 4', '1 2 r:round@l', '7 2', '3 2 r:knee'];
const wish = (changes: Partial<ComposeWish> = {}): ComposeWish => ({
  ...{
    trained: named(TRAINED),
    others: [],
    audience: GRADE,
    bpm: 84,
    factor: PACE_FACTORS.club,
    strokes: null,
    must: null,
    count: 6,
  },
  ...changes,
});
const strokesOf = (text: string): string[] =>
  walkStance(line(text), book, 'left').strokes.map(
    ({ move, side, level }) => `${move.code} ${side} ${level}`,
  );

describe('new lines', () => {
  const seeds = [1, 2, 3, 4, 5];

  it('are made of what these people know, in strokes that they can do', () => {
    const known = new Set(TRAINED.flatMap(strokesOf));
    for (const seed of seeds) {
      const made = compose(wish(), book, seed);
      expect(made).toHaveLength(6);
      for (const each of made) {
        expect(strokesOf(each.line).filter((stroke) => !known.has(stroke))).toEqual([]);
        const walk = walkStance(line(each.line), book, 'left');
        expect(walk.comesHome).toBe(true);
        expect(limbClock(walk, { factor: PACE_FACTORS.club }).fastestBpm).toBeGreaterThanOrEqual(84);
        const settings = { factor: PACE_FACTORS.club, bpm: 84, audience: GRADE };
        const { findings } = findFindings(walk, book, settings);
        expect(findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
      }
    }
  });

  it("are clean as fast as the gym's own tempos say, at its own pace", () => {
    const cleanUpTo = cleanTempos(book);
    for (const factor of [PACE_FACTORS.sharp, PACE_FACTORS.novice])
      for (const each of compose(wish({ factor }), book, 2))
        expect(each.cleanBpm).toBe(cleanUpTo({ id: 'new', line: each.line, bpm: 84 }, factor));
  });

  it('are none that exist, nor the same idea twice', () => {
    const first = compose(wish(), book, 1).map((each) => each.line);
    expect(new Set(first).size).toBe(first.length);
    for (const each of first) expect(TRAINED).not.toContain(each);
    const again = compose(wish({ others: named(first) }), book, 1).map((each) => each.line);
    expect(again.filter((each) => first.includes(each))).toEqual([]);
  });

  it('are the same for a seed, and others for another', () => {
    const lines = seeds.map((seed) => compose(wish(), book, seed).map((each) => each.line));
    expect(compose(wish(), book, 1).map((each) => each.line)).toEqual(lines[0]);
    expect(new Set(lines.map((each) => each.join(' / '))).size).toBeGreaterThan(1);
  });

  it('work the limb that is trained least, and say so in numbers', () => {
    // One rear kick and one knee of nineteen strikes.
    const made = compose(wish(), book, 1);
    const limbs = made.flatMap((each) =>
      walkStance(line(each.line), book, 'left').strokes.map(({ limb }) => limb),
    );
    const legs = limbs.filter((limb) => limb.endsWith('leg')).length;
    expect(legs / limbs.length).toBeGreaterThan(3 / 19);
    const why = made.flatMap((each) => each.why);
    expect(why).toContain('Works the lead leg, which does 1 of 19 strikes in what they train.');
    for (const each of made) expect(each.why.at(-1)).toMatch(/^Nearest is Drift \d: |^Nothing like it/);
  });

  it('have the move and the number of strokes that are asked for', () => {
    for (const each of compose(wish({ must: 'knee', strokes: 4 }), book, 3)) {
      expect(strokesOf(each.line)).toHaveLength(4);
      expect(strokesOf(each.line).some((stroke) => stroke.startsWith('knee'))).toBe(true);
    }
    expect(compose(wish({ must: 'knee', strokes: 4 }), book, 3).length).toBeGreaterThan(0);
    expect(compose(wish({ must: 'wheel' }), book, 3)).toEqual([]);
  });

  it('have half beats only for people who train half beats', () => {
    const even = compose(wish({ trained: named(TRAINED.map((each) => each.replace('-', ' '))) }), book, 1);
    expect(even.some((each) => each.line.includes('-'))).toBe(false);
    const broken = seeds.flatMap((seed) => compose(wish(), book, seed).map((each) => each.line));
    expect(broken.some((each) => each.includes('-'))).toBe(true);
  });

  it('keep children off the head, and off what their band does not do', () => {
    for (const seed of seeds)
      for (const each of compose(wish({ audience: CHILDREN, bpm: 60 }), book, seed))
        expect([each.line, suits(line(each.line), book, CHILDREN)]).toEqual([each.line, true]);
  });

  it('are none where nothing more can be made, and a beginning where nothing is trained', () => {
    expect(compose(wish({ bpm: 299 }), book, 1)).toEqual([]);
    expect(compose(wish({ trained: named(['1']), audience: GRADE }), book, 1).length).toBeLessThan(6);
    expect(compose(wish({ trained: [], strokes: 3 }), book, 1).length).toBeGreaterThan(0);
  });
});
