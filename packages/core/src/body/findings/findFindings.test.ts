import { parseLine } from '../../line/index.ts';
import { seededLineText } from '../../line/testLines.ts';
import { STARTER_GRADES, starterBook } from '../../moves/index.ts';
import { seededRandom } from '../../units/index.ts';
import { walkStance } from '../walkStance.ts';
import {
  RULES,
  STARTER_SCHOOL,
  findFindings,
  type BodyReport,
  type Finding,
  type FindingSettings,
  type Rule,
} from './index.ts';

const book = starterBook();
const minnows = {
  band: 'Minnows',
  headContact: false,
  knees: false,
  elbows: false,
  spins: false,
  jumps: false,
};
const forMinnows = { audience: { grade: null, youth: minnows } };
const forEbb = { audience: { grade: { name: 'Ebb', rank: 0, order: STARTER_GRADES }, youth: null } };

function report(text: string, settings: Partial<FindingSettings> = {}): BodyReport {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return findFindings(walkStance(parsed.line, book, 'left'), book, { factor: 1.25, bpm: 90, ...settings });
}
const findings = (text: string, settings: Partial<FindingSettings> = {}): readonly Finding[] =>
  report(text, settings).findings;
const rules = (text: string, settings: Partial<FindingSettings> = {}): Rule[] =>
  findings(text, settings).map((finding) => finding.rule);

/** For each rule: lines that must be found, and lines very like them that must not. */
const CASES: [Rule, string, string, Partial<FindingSettings>?][] = [
  ['too-fast', 'r:round-2', 'r:round 2', { bpm: 100 }],
  ['risk', '1 2@b', '1 2'],
  ['too-fast', 'f:round+r:round', 'f:round r:round', { bpm: 30 }],
  ['leg-in-air', 'f:round-^r:hookkick', 'f:round-^f:hookkick'],
  ['leg-in-air', 'r:round=sw', 'r:round sw', { bpm: 100 }],
  ['leg-in-air', 'r:round+in 1', 'r:round in-1', { bpm: null }],
  ['leg-in-air', 'r:round+sw', "r:round'+angle", { bpm: null }],
  ['leg-in-air', 'r:round+out', 'r:round+pivot', { bpm: null }],
  ['leg-in-air', 'r:round ^f:round', 'r:round ^r:round', { bpm: 60 }],
  ['limb-clash', '1+1@b', '1+2'],
  ['limb-clash', 'r:mid+r:grab', 'r:mid=r:grab'],
  ['too-fast', 'in+pivot', 'in+horse'],
  ['bare-entry', 'f:in', 'f:footfwd'],
  ['youth-contact', 'r:round@b=^f:round@b', 'r:round@b=^r:round@b', forMinnows],
  ['limb-clash', 'dpalm+2', 'in+2'],
  ['both-hands-away', '1+2', '1-2'],
  ['both-hands-away', 'dpalm', 'palm'],
  ['bare-entry', '1 in 2', '1 in-2'],
  ['bare-entry', 'skip . r:round', 'skip+cover . r:round'],
  ['same-turn-twice', '2 f:hookkick', '2 f:backfist'],
  ['same-turn-twice', '2-f:hookkick', '2 weave f:hookkick'],
  ['under-arm-open', 'f:high 2', 'r:high 2', { school: { ...STARTER_SCHOOL, frontHighBlock: 'avoided' } }],
  ['no-pivot', '8-spinhook', '8 spinhook'],
  ['no-pivot', '1 2>-back', '1 2-back'],
  ['stays-in-range', '1 grab-r:knee', '1 grab-r:knee shove'],
  ['stays-in-range', 'pin 2', 'pin 2<'],
  ['ends-other-lead', '1 2>', '1 2> sw'],
  ['side-untrained', '1 3 1', '1 3 2'],
  ['above-grade', '1 r:knee', '1 r:round', forEbb],
  ['youth-contact', '1@b r:knee', '1@b r:round@b', forMinnows],
  ['youth-contact', '1', '1@b', forMinnows],
  ['youth-contact', 'back', 'side', forMinnows],
  ['youth-contact', 'elbow@b', 'palm@b', forMinnows],
  ['needs-room', 'in-1 in-1 in-1', 'in-1 in-1 out', { school: { ...STARTER_SCHOOL, floorSteps: 2 } }],
  ['needs-room', 'in-1', 'in-1 out', { times: 6, school: { ...STARTER_SCHOOL, floorSteps: 4 } }],
  ['side-ignored', 'r:jab', 'jab'],
  ['side-ignored', 'f:sw', 'f:weave'],
  ['side-ignored', 'f:8', 'f:round'],
  ['side-ignored', 'r:cover', 'r:slip'],
  ['drifts', '1 in', '1 in-out'],
  ['drifts', '1 angle', '1 quarter'],
  ['too-fast', 'r:round', '1', { bpm: 120, cycleBeats: 1 }],
];

const ROWS = CASES.map(([rule, has, hasNot, settings]) => [rule, has, hasNot, settings ?? {}] as const);

describe('findings', () => {
  it.each(ROWS)('%s: finds it in %j and not in %j', (rule, has, hasNot, settings) => {
    expect(rules(has, settings)).toContain(rule);
    expect(rules(hasNot, settings)).not.toContain(rule);
  });

  it('has a case for every rule', () => {
    expect(new Set(CASES.map(([rule]) => rule))).toEqual(new Set(RULES));
  });

  it.each(ROWS)('%s can be muted: %j', (rule, has, _, settings) => {
    const school = { ...(settings.school ?? STARTER_SCHOOL), muted: [rule] };
    expect(rules(has, { ...settings, school })).not.toContain(rule);
  });

  it('points at the place in the text and says one sentence or two', () => {
    const [finding] = findings('1 2 r:round-2 3', { bpm: 110 });
    expect(finding).toMatchObject({
      rule: 'too-fast',
      severity: 'caution',
      from: 4,
      to: 13,
      strokes: [2, 3],
    });
    expect(finding!.message).toMatch(
      /^110 a minute is too fast from the round kick to the cross: the kicking foot .* \d+ is the fastest clean tempo\.$/,
    );
  });

  it('tells the heaviest first, and a repeated group once', () => {
    const found = findings('{2 f:hookkick}x4 f:round+r:round');
    expect(found[0]!.severity).toBe('cannot');
    // from the first to the second, and from the second to the first of the next copy
    expect(found.filter((finding) => finding.rule === 'same-turn-twice')).toHaveLength(2);
  });

  it.each([
    [
      'r:jab',
      'The `r:` changes nothing here: `jab`, the jab, is always done with the front side. Did you mean `cross`?',
    ],
    [
      'f:2',
      'The `f:` changes nothing here: `2`, the cross, is always done with the rear side. Did you mean `1`?',
    ],
    [
      'f:4',
      'The `f:` changes nothing here: `4`, the hook, is always done with the rear side. Did you mean `3`?',
    ],
    [
      'f:8',
      'The `f:` changes nothing here: `8`, the round kick, is always done with the rear side. Did you mean `f:round`?',
    ],
    ['f:jab', 'The `f:` changes nothing here: `jab`, the jab, is always done with the front side.'],
    ['f:sw', 'The `f:` changes nothing here: `sw`, the switch, has no side.'],
    ['r:dpalm', 'The `r:` changes nothing here: `dpalm`, the double palm, takes both sides at once.'],
  ])('%s says that its side is not needed, and what was perhaps meant', (text, message) => {
    expect(findings(text).find(({ rule }) => rule === 'side-ignored')?.message).toBe(message);
  });
  it('says after how many times through a line leaves the floor', () => {
    const school = { ...STARTER_SCHOOL, floorSteps: 4 };
    expect(findings('1 in-2', { school }).find(({ rule }) => rule === 'drifts')?.message).toBe(
      'Ends 1 step forward of where it began. After 4 times through it leaves this floor of 4. In a round, twice there and twice back keeps the place.',
    );
    expect(rules('1 in-2 out', { school })).not.toContain('drifts');
  });
  it('says when it is too fast only because it is repeated', () => {
    const { repeat, fastestBpm, limit, findings: found } = report('r:round', { bpm: 200, cycleBeats: 2 });
    expect([fastestBpm, limit]).toEqual([null, null]);
    expect(repeat).toMatchObject({ beats: 2, fastestBpm: 133, limit: { fromStroke: 0, toStroke: 0 } });
    expect(found[0]!.message).toBe(
      '200 a minute is too fast from the round kick to the round kick of the next time through: the same leg has to come back before it goes again. 133 is the fastest clean tempo while it is repeated every 2 beats.',
    );
  });
  it('finds nothing wrong with plain combos of the demo gym', () => {
    for (const line of ['1 2', '1 2 3', '1 2 3 2', '7 . 2', '1 weave 3-2', '3 2-r:knee'])
      expect(rules(line, { bpm: 80 })).toEqual([]);
  });

  it('stays inside the text for any line', () => {
    for (let seed = 0; seed < 1500; seed++) {
      const text = seededLineText(seededRandom(seed));
      for (const { from, to, strokes, message } of findings(text, {
        ...forMinnows,
        bpm: 40 + (seed % 160),
      })) {
        if (!(from >= 0 && from < to && to <= text.length && strokes.length > 0 && /[.?]$/.test(message)))
          throw new Error(`${message} in ${text}`);
      }
    }
  });
});

describe('a risk that the book tells', () => {
  const reported = (text: string): string[] => {
    const parsed = parseLine(text, book);
    if (!parsed.ok) throw new Error(text);
    return findFindings(walkStance(parsed.line, book, 'left'), book, {
      factor: 1.25,
      bpm: 60,
    }).findings.flatMap((finding) =>
      finding.risk ? [`${finding.risk.move} ${finding.from}-${finding.to}`] : [],
    );
  };
  it('is reported at each use that it is meant for, and at no other', () => {
    expect(reported('1 2@b 2 2@b')).toEqual(['cross 2-5', 'cross 8-11']);
    expect(reported('1 2')).toEqual([]);
  });
  it('is reported about a gym’s own move, by side, and not when it is muted', () => {
    const hook = book.moves.get('hook')!;
    const withRisk = (muted: boolean) => {
      const own = { text: 'Own.', severity: 'caution' as const, side: 'rear' as const, level: null, muted };
      const other = { ...book, moves: new Map([...book.moves, ['hook', { ...hook, risks: [own] }]]) };
      const parsed = parseLine('3 4', other);
      if (!parsed.ok) throw new Error('3 4');
      return findFindings(walkStance(parsed.line, other, 'left'), other, { factor: 1.25, bpm: 60 }).findings;
    };
    expect(withRisk(false)).toMatchObject([
      {
        rule: 'risk',
        severity: 'caution',
        message: 'Own.',
        strokes: [1],
        risk: { move: 'hook', text: 'Own.' },
      },
    ]);
    expect(withRisk(true)).toEqual([]);
  });
  it('is quiet where the gym mutes all of them', () => {
    expect(findings('2@b', { school: { ...STARTER_SCHOOL, muted: ['risk'] } })).not.toContainEqual(
      expect.objectContaining({ rule: 'risk' }),
    );
  });
});
