import { analyseCombo, findFindings, PACE_FACTORS } from '@eurhythm/core/body';
import { sessionSeconds } from '@eurhythm/core/plan';
import { evaluateTrial } from '@eurhythm/core/speed';
import { starterBook } from '@eurhythm/core/moves';
import {
  SaveComboDto,
  SaveFighterDto,
  SaveSessionDto,
  checkFields,
  withRightLength,
} from '../../../../packages/contract/src/index.ts';
import { DEMO_WEEKS, demoLog } from './demoLog.ts';
import { COMBOS, FIGHTERS } from './saltmarsh.ts';
import { FULL_CLASS } from './saltmarshClass.ts';
import { demoGrades } from './saltmarshGrades.ts';
import { SESSIONS } from './saltmarshSessions.ts';

const now = new Date('2026-03-05T12:00:00Z');
const log = demoLog(now);
const DAY = 86_400_000;
const weekOf = (at: Date): number =>
  Math.floor((at.getTime() - (now.getTime() - DEMO_WEEKS * 7 * DAY)) / (7 * DAY));

describe('the demo gym', () => {
  it('keeps to the rules of every form', () => {
    for (const { id: _, story: __, ...fighter } of FIGHTERS)
      expect(checkFields(SaveFighterDto, fighter)).toEqual([]);
    for (const { id: _, ...combo } of COMBOS) expect(checkFields(SaveComboDto, combo)).toEqual([]);
    for (const { id: _, inDays: __, ...session } of [...SESSIONS, FULL_CLASS])
      expect(checkFields(SaveSessionDto, session)).toEqual([]);
  });
  it('has a class of an hour, to the second', () => {
    expect(sessionSeconds(FULL_CLASS.rounds)).toBe(3600);
    for (const { blocks } of FULL_CLASS.rounds)
      for (const block of blocks)
        expect(withRightLength(block, starterBook(), PACE_FACTORS.club)).toEqual(block);
  });
  it('has combos that can be read, none of which a body cannot do', () => {
    for (const { line, bpm } of COMBOS) {
      const analysis = analyseCombo(line, starterBook(), 'left');
      if (!analysis.ok) throw new Error(`${line}: ${analysis.errors[0]!.message}`);
      const { findings } = findFindings(analysis.walk, starterBook(), { factor: PACE_FACTORS.club, bpm });
      expect(findings.filter((finding) => finding.severity === 'cannot')).toEqual([]);
    }
  });
});

describe('the demo log', () => {
  it('is the same for the same day', () => {
    expect(demoLog(now)).toEqual(log);
  });
  it('covers eight weeks and never the future', () => {
    const weeks = new Set(log.runs.map((run) => weekOf(run.startedAt)));
    expect(weeks.size).toBeGreaterThanOrEqual(DEMO_WEEKS);
    for (const run of log.runs) expect(run.startedAt.getTime()).toBeLessThan(now.getTime());
  });
  it('has each fighter at most once in a round, and nobody who was not there', () => {
    const runs = new Map(log.runs.map((run) => [run.id, run]));
    const seen = new Set<string>();
    for (const { runId, round, fighterId } of log.results) {
      const key = `${runId}/${round}/${fighterId}`;
      expect(seen.has(key)).toBe(false);
      seen.add(key);
      expect(runs.get(runId)!.fighterIds).toContain(fighterId);
    }
  });
  it('tells the stories: an absence, a slower lead, a rise', () => {
    const straights = (id: string, lead: 'left' | 'right', from: number, to: number): number => {
      const counts = log.attempts
        .filter(
          (each) =>
            each.fighterId === id &&
            each.testId === 'two-straights' &&
            each.lead === lead &&
            weekOf(each.at) >= from &&
            weekOf(each.at) < to,
        )
        .map((each) => each.instants.length);
      return counts.reduce((sum, count) => sum + count, 0) / counts.length;
    };
    const present = new Set(
      log.runs.filter((run) => run.fighterIds.includes('leilani')).map((run) => weekOf(run.startedAt)),
    );
    expect([2, 3].some((week) => present.has(week) && present.has(week + 1) && present.has(week - 1))).toBe(
      false,
    );
    expect(straights('tomasz', 'right', 0, 9) / straights('tomasz', 'left', 0, 9)).toBeLessThan(0.85);
    expect(straights('sanne', 'left', 5, 9)).toBeGreaterThan(straights('sanne', 'left', 0, 3));
  });
});

describe('what everybody trains', () => {
  const gradeOf = new Map(COMBOS.map(({ id, gradeId }) => [id, gradeId]));
  it('is of the own grade, for children too', () => {
    for (const run of log.runs)
      for (const { gradeId, id } of FIGHTERS.filter((each) => run.fighterIds.includes(each.id))) {
        const group = run.groupOf![id]!;
        const own = log.combos.filter(({ runId, groupName }) => runId === run.id && groupName === group);
        const base = log.combos.filter(({ runId, groupName }) => runId === run.id && groupName === '');
        const places = new Set(own.map(({ round, block }) => `${round}/${block}`));
        const done = [...own, ...base.filter(({ round, block }) => !places.has(`${round}/${block}`))];
        expect(new Set(done.map(({ comboId }) => gradeOf.get(comboId)))).toEqual(new Set([gradeId]));
      }
  });
  it('is what they are asked for', () => {
    const trained = new Set(log.combos.map(({ comboId }) => comboId));
    for (const { comboId } of demoGrades(now, trained).recalls) expect(trained).toContain(comboId);
  });
  it('is done at tempos that are clean', () => {
    for (const { rounds } of log.runs)
      for (const block of rounds.flatMap(({ blocks }) => blocks))
        if (block.kind === 'combo')
          for (const { comboId } of [...block.combos, ...block.lanes!.flatMap(({ combos }) => combos)]) {
            const analysis = analyseCombo(
              COMBOS.find(({ id }) => id === comboId)!.line,
              starterBook(),
              'left',
            );
            if (!analysis.ok) throw new Error(comboId);
            const { findings } = findFindings(analysis.walk, starterBook(), {
              factor: PACE_FACTORS.club,
              bpm: block.bpm,
            });
            expect(findings.filter(({ severity }) => severity === 'cannot')).toEqual([]);
          }
  });
});

describe('what was heard in the demo gym', () => {
  const combos = log.attempts.filter(({ id }) => id.endsWith('-combo'));
  it('is a trial of the own grade’s combo in every class, with all that it was worked out from', () => {
    expect(combos.length).toBeGreaterThan(100);
    for (const { heard, value, count } of combos) {
      expect(heard!.due!.length).toBeGreaterThan(7);
      expect(heard!.onsets.length).toBeGreaterThanOrEqual(count);
      expect(evaluateTrial({ kind: 'combo-time', seconds: 10 }, heard!).value).toBe(value);
    }
  });
  it('tells of somebody who gets faster over the weeks', () => {
    const times = combos.filter(({ fighterId }) => fighterId === 'ines').map(({ value }) => value!);
    const mean = (some: readonly number[]) => some.reduce((sum, each) => sum + each, 0) / some.length;
    const half = times.length >> 1;
    expect(mean(times.slice(half))).toBeLessThan(mean(times.slice(0, half)));
  });
  it('is one burst by microphone, the others by taps', () => {
    const ways = new Map(log.attempts.map(({ testId, measured = 'taps' }) => [testId, measured]));
    expect([ways.get('round-kicks'), ways.get('two-straights')]).toEqual(['microphone', 'taps']);
  });
});
