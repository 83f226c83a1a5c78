import { PACE_FACTORS, limbClock, walkStance, type Audience } from '../../body/index.ts';
import { parseLine, placeOnBeats, type BeatLine } from '../../line/index.ts';
import { seededLineText } from '../../line/testLines.ts';
import { STARTER_GRADES, isLegStrike, moveBook, starterBook } from '../../moves/index.ts';
import { seededRandom, toNumber } from '../../units/index.ts';
import { suits } from '../variants.ts';
import { easier, fitLine, harder, opposite, stepBack } from './index.ts';

const book = starterBook();
function line(text: string): BeatLine {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return parsed.line;
}
const ANYBODY: Audience = { grade: null, youth: null };
const EBB: Audience = { grade: { name: 'Ebb', rank: 0, order: STARTER_GRADES }, youth: null };
const MINNOWS: Audience = {
  grade: { name: 'Minnows', rank: 0, order: STARTER_GRADES },
  youth: { band: 'Minnows', headContact: false, knees: false, elbows: false, spins: false, jumps: false },
};
const walk = (text: string) => walkStance(line(text), book, 'left');
const own = (text: string) => walk(text).strokes.filter(({ stroke }) => stroke.by === 'fighter');
const clean = (text: string) => limbClock(walk(text), { factor: PACE_FACTORS.club }).fastestBpm;

/** Lines of every kind of the grammar; those that cannot be read are passed over. */
const LINES = Array.from({ length: 500 }, (_, seed) => seededLineText(seededRandom(9000 + seed))).filter(
  (text) => parseLine(text, book).ok,
);

describe('easier', () => {
  it.each([
    ['1-2* 3 . r:round>', ANYBODY, '1 2 3 . r:round'],
    ['1-2* 3 . r:round>', MINNOWS, '1@b 2@b 3@b r:round'],
    ['1 2> 1 2', EBB, '1 2 1 2'],
    // The same hand twice running would be harder, so the limbs stay and not the words.
    ['1 2> 2 1', EBB, '1 2 1 2'],
    ['f:push ^f:round@h 2', ANYBODY, 'f:push:2/1 f:round@h 2'],
    ['f:snap spinside [hold 2] 2', EBB, 'f:snap r:push [hold2] 2'],
    ['f:snap spinside [hold 2] 2', MINNOWS, 'f:snap r:push 2@b'],
    ['1 2 r:knee . 3', EBB, '1 2 3'],
    ['1 2 . r:knee', EBB, '1 2'],
    ['o:2* parry , 2*!', ANYBODY, 'o:2* parry . 2!'],
    ['r:round=^f:round 2', MINNOWS, 'r:round f:round 2@b'],
    ["f:round@b'-^f:hookkick@h", EBB, "f:round@b' push"],
    ['1-1 2> 3@b r:round@l*:3/2 2 . r:knee!', MINNOWS, '1@b 1@b 2@b 3@b r:round@l 2@b'],
    ['1-1 2> 3@b r:round@l*:3/2 2 . r:knee!', ANYBODY, '1 1 2 3@b r:round@l:2/1 2 . r:knee!'],
    ['1 2', ANYBODY, '1 2'],
  ])('%j for these people is %j', (text, audience, made) =>
    expect(easier(line(text), book, audience).line).toBe(made),
  );

  it('says each change once, and nothing where nothing changes', () => {
    expect(easier(line('1-2*-1-2*>'), book, ANYBODY).changes).toEqual([
      'No full power.',
      'No stepping through: the feet stay.',
      'Every stroke has a whole beat.',
    ]);
    expect(easier(line('1 . 2'), book, ANYBODY).changes).toEqual([]);
  });

  it('is easier in every way, whatever the line', () => {
    for (const text of LINES)
      for (const audience of [ANYBODY, EBB, MINNOWS]) {
        const made = easier(line(text), book, audience).line;
        if (made === '') continue;
        const wrong = own(made).flatMap(({ stroke }) => [
          ...(stroke.power === 'full' ? ['full power'] : []),
          ...(stroke.step === null ? [] : ['step']),
          ...(stroke.keptUp ? ['leg up'] : []),
        ]);
        if (own(made).some(({ beat }) => !Number.isInteger(toNumber(beat)))) wrong.push('broken rhythm');
        const waits = placeOnBeats(line(made)).items.some(({ item }) => ['rest', 'hold'].includes(item.kind));
        if (audience.youth && waits) wrong.push('wait');
        const highest = (each: string) => own(each).filter(({ level }) => level === 'head').length;
        if (highest(made) > highest(text)) wrong.push('higher');
        if (!suits(line(made), book, audience)) wrong.push('not for them');
        if (own(made).length > own(text).length) wrong.push('longer');
        if (wrong.length > 0) throw new Error(`${text} became ${made}: ${wrong.join(', ')}`);
      }
  });

  it('never needs a slower tempo than the line, up to an unhurried one', () => {
    for (const text of LINES) {
      const made = easier(line(text), book, EBB).line;
      const [before, after] = [clean(text), made === '' ? null : clean(made)];
      // Behind a wait, or from copy to copy, there is no gap that could be longer.
      if (before === null || after === null || /[.,\]{]/.test(made)) continue;
      if (after < Math.min(before, 100)) throw new Error(`${text} ${before} became ${made} ${after}`);
    }
  });
});

it('what somebody may not do changes by itself, with rhythm and power as they were', () => {
  expect(fitLine(line('1-2* . r:knee>'), book, MINNOWS).line).toBe('1@b-2@b*');
  expect(fitLine(line('1-2*'), book, ANYBODY)).toEqual({ line: '1-2*', changes: [] });
});

describe('harder', () => {
  const lines = (text: string, audience = ANYBODY): string[] =>
    harder(line(text), book, audience).map((each) => each.line);

  it('is one thing at a time, each of its own kind first', () => {
    const ways = harder(line('1 2 r:round'), book, ANYBODY);
    expect(ways.slice(0, 4).map((way) => [way.line, ...way.changes])).toEqual([
      ['1 2 turnround', 'Round kick becomes turning round kick.'],
      ['1 2-r:round', 'The round kick comes half a beat sooner.'],
      ['1 2 r:round@h', 'The round kick goes to the head.'],
      ['1 2 r:round*', 'The round kick goes in with full power.'],
    ]);
    expect(clean(ways[0]!.line)).toBeLessThan(clean('1 2 r:round')!);
  });

  it('stays within the grade and the band', () => {
    expect(lines('1 2 r:round', EBB)).not.toContain('1 2 turnround');
    for (const text of ['1 2 r:round', '7 . 2', '1@b 2@b r:push'])
      for (const made of lines(text, MINNOWS))
        // What was wrong before is not mended here, and nothing is added to it.
        expect([made, suits(line(text), book, MINNOWS) && !suits(line(made), book, MINNOWS)]).toEqual([
          made,
          false,
        ]);
    expect(lines('1@b 2@b', MINNOWS).some((made) => made.includes('*'))).toBe(false);
  });

  it('keeps pauses, conditions, words and the holder, and brings no new trouble', () => {
    const text = '1 [say "wait"] . o:2 parry ?2 . 3';
    for (const made of lines(text)) {
      expect(made).toMatch(/\[say "wait"\] \. o:2 parry \?/);
      expect(made).toMatch(/ \. [^ ]+$/);
    }
    expect(lines(text).length).toBeGreaterThan(3);
    for (const made of lines('f:push ^f:round 2')) expect(made).not.toMatch(/\^f:round@h/);
  });

  it('gives lines that can be read and done, whatever the line', () => {
    for (const text of LINES.slice(0, 120))
      for (const made of lines(text))
        expect([text, made, clean(made) === null && own(made).length > 1]).toEqual([text, made, false]);
  });
});

describe('opposite', () => {
  it.each([
    ['1 2 r:round', '2 1 f:round'],
    ['1-2* 3 . r:round>', '2-1* 4 . f:round>'],
    ['slip 2 3@b', 'r:slip 1 4@b'],
    ['in jab left f:upper', 'in cross right upper'],
    ['f:push ^round@h 2', 'r:push ^round@h 1'],
    ['sw 1 [hold 2] {3 4}x2', 'sw 2 [hold2] {4 3}x2'],
    ['o:2 mid 3', 'o:1 r:mid 4'],
  ])('%j is %j', (text, other) => expect(opposite(line(text), book)).toEqual({ line: other, changes: [] }));

  it('names what the book has on one side only', () => {
    expect(opposite(line('o:1 parry over'), book)).toEqual({
      line: 'o:2 parry over',
      changes: [
        'The parry stays as it is: the book has it on one side only.',
        'The overhand stays as it is: the book has it on one side only.',
      ],
    });
  });

  it('uses the other limb on the same beat, and comes back to the line', () => {
    for (const text of LINES) {
      const turned = opposite(line(text), book);
      if (turned.changes.length > 0) continue;
      const [before, after] = [walk(text).strokes, walk(turned.line).strokes];
      expect(after.map(({ beat }) => toNumber(beat))).toEqual(before.map(({ beat }) => toNumber(beat)));
      if (/[<>]|threeq|\^/.test(text)) continue; // where the feet change, so does what front means
      for (const [i, { limb, move }] of after.entries())
        if (move.limb === 'hand' || move.limb === 'leg')
          if (limb === before[i]!.limb && limb !== 'holder')
            throw new Error(`${text} became ${turned.line}: ${limb} twice`);
      const again = opposite(line(turned.line), book).line;
      expect(walk(again).strokes.map(({ limb }) => limb)).toEqual(before.map(({ limb }) => limb));
    }
  });
});

describe('the way back', () => {
  it.each([
    ['in 1 2>', 'out 1 2<'],
    ['1 r:round> 2', '1 r:round out 2'],
    ['f:push>', 'f:push out'],
    ['in+r:push 2>', 'r:push out 2<'],
    ['in r:round 1', 'r:round out 1'],
    ['in 1-r:round', 'out 1-r:round'],
    ['2>-r:round', '2< r:round'],
    ['out r:push', 'in r:push'],
  ])('%j is %j', (text, back) => expect(stepBack(line(text), book).line).toBe(back));

  it('never kicks while leaving', () => {
    for (const text of LINES) {
      const back = stepBack(line(text), book);
      const strokes = own(back.line);
      for (const [i, { move, stroke, beat }] of strokes.entries()) {
        if (!isLegStrike(move)) continue;
        const leaves = strokes
          .slice(0, i)
          .some(
            (other) =>
              (other.stroke.step === 'back' || other.move.step.forward < 0) &&
              !isLegStrike(other.move) &&
              toNumber(beat) === toNumber(other.beat),
          );
        if (stroke.step === 'back' || leaves) throw new Error(`${text} goes back as ${back.line}`);
      }
    }
  });

  it('says what a book without a step out cannot turn round', () => {
    const without = moveBook(
      [...book.moves.values()].filter(({ step }) => step.forward >= 0),
      [...book.numbers.values()],
    );
    const parsed = parseLine('in f:push>', without);
    if (!parsed.ok) throw new Error(parsed.errors[0]!.message);
    expect(stepBack(parsed.line, without).kept).toEqual(['push kick', 'step in']);
  });
});
