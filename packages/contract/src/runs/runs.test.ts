import { SaveAttemptDto, SaveTestDto, MarkResultDto, RunEventDto, StartRunDto } from '../index.ts';
import { sentencesOf } from '../rules/testSentences.ts';

const at = '2026-03-05T18:30:00Z';
const TIME = 'is written like 2026-03-05T18:30:00Z.';

describe('what a device writes of a run', () => {
  const start = sentencesOf(StartRunDto, { sessionId: 's', fighterIds: ['maja', 'rafi'], startedAt: at });
  it.each([
    [{}, []],
    [{ fighterIds: [] }, []],
    [{ fighterIds: ['maja', 'maja'] }, ['fighterIds: Each fighter stands in a run once.']],
    [
      { fighterIds: Array.from({ length: 101 }, (_, i) => `f${i}`) },
      ['fighterIds: A run holds at most 100 fighters.'],
    ],
    [{ startedAt: 'now' }, [`startedAt: The time ${TIME}`]],
  ])('a start with %j', (changes, sentences) => expect(start(changes)).toEqual(sentences));

  const event = sentencesOf(RunEventDto, { kind: 'start', at, round: 0, position: 0 });
  it.each([
    [{}, []],
    [{ kind: 'tempo', by: -200, position: 12.5 }, []],
    [{ round: undefined, position: undefined }, []],
    [{ round: -1 }, ['round: The round is a whole number from 0 to 1000.']],
    [{ round: 1.5 }, ['round: The round is a whole number from 0 to 1000.']],
    [{ position: 36_001 }, ['position: The position goes from 0 to 36000 seconds.']],
    [{ by: 201 }, ['by: The change of tempo goes from -200 to 200 beats a minute.']],
    [{ running: 'yes' }, ['running: Running is yes or no.']],
    [{ at: '2026-W10' }, [`at: The time ${TIME}`]],
  ])('an event with %j', (changes, sentences) => expect(event(changes)).toEqual(sentences));
  it('an event of a kind that there is not is reported with those that there are', () => {
    expect(event({ kind: 'stop' })[0]).toMatch(/^kind: What was done is one of: start, /);
  });

  const mark = sentencesOf(MarkResultDto, {
    round: 0,
    fighterId: 'maja',
    done: 'finished',
    quality: 'clean',
    at,
  });
  it.each([
    [{}, []],
    [{ quality: null }, []],
    [{ quality: undefined }, []],
    [{ done: 'half' }, ['done: What was done is one of: finished, part, sat-out.']],
    [{ quality: 'good' }, ['quality: How it was is one of: clean, loose, wild.']],
    [{ round: 1001 }, ['round: The round is a whole number from 0 to 1000.']],
  ])('a mark with %j', (changes, sentences) => expect(mark(changes)).toEqual(sentences));
});

describe('what is measured', () => {
  const test = sentencesOf(SaveTestDto, {
    title: 'Straight punches',
    kind: 'burst',
    line: '1 2',
    seconds: 10,
    direction: 'higher',
  });
  it.each([
    [{}, []],
    [{ line: null, kind: 'reaction', direction: 'lower' }, []],
    [{ seconds: 2 }, ['seconds: The time goes from 3 to 120 seconds.']],
    [{ kind: 'speed' }, ['kind: What is measured is one of: burst, combo-time, reaction, measure.']],
    [{ direction: 'up' }, ['direction: The better end is one of: higher, lower.']],
  ])('a test with %j', (changes, sentences) => expect(test(changes)).toEqual(sentences));

  const attempt = sentencesOf(SaveAttemptDto, {
    fighterId: 'maja',
    runId: null,
    testId: 'straights',
    lead: 'left',
    instants: [0.4, 0.8],
    at,
  });
  it.each([
    [{}, []],
    [{ instants: [] }, []],
    [{ testId: undefined, title: 'Straights', seconds: 10 }, []],
    [{ instants: [0.4, '0.8'] }, ['instants: The instants are a list of seconds.']],
    [{ instants: [NaN] }, ['instants: The instants are a list of seconds.']],
    [{ instants: Array(2001).fill(1) }, ['instants: An attempt holds at most 2000 instants.']],
    [{ lead: 'front' }, ['lead: The lead is one of: left, right.']],
  ])('an attempt with %j', (changes, sentences) => expect(attempt(changes)).toEqual(sentences));
  it('an attempt that names no test says what was done and for how long', () => {
    expect(attempt({ testId: undefined }).map((each) => each.split(':')[0])).toEqual(['title', 'seconds']);
  });
});
