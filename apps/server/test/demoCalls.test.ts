import { heldRounds } from '@eurhythm/core/plan';
import { isAboutCall, type CompiledRound, type Cue } from '@eurhythm/core/rounds';
import { roundSeed } from '@eurhythm/core/run';
import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();

/** Every round of the demonstration as it is held, compiled. */
async function demoRounds(): Promise<{ name: string; round: CompiledRound }[]> {
  const { items } = (await call('GET', 'sessions')).body;
  const rounds: { name: string; round: CompiledRound }[] = [];
  for (const { id } of items) {
    const session = (await call('GET', `sessions/${id}`)).body;
    for (const { id: roundId, title, blocks, timeCalls } of heldRounds<any>(session.rounds)) {
      const { status, body } = await call('POST', 'rounds/compile', {
        blocks,
        lead: session.lead,
        seed: roundSeed(id, roundId),
        ...(session.word ? { word: session.word } : {}),
        ...(timeCalls ? { timeCalls } : {}),
      });
      expect([title, status]).toEqual([title, 200]);
      rounds.push({ name: `${session.title}: ${title}`, round: body });
    }
  }
  return rounds;
}

const strokeOf = ({ block, combo, stroke }: Cue): string => `${block} ${combo} ${stroke}`;

/** Strokes of a fighter that land by themselves and are called in no time through, in blocks that call their strokes. */
function neverCalled({ cues }: CompiledRound): string[] {
  const called = new Set(
    cues.flatMap((cue) => (cue.kind === 'call' && cue.clip && cue.stroke !== undefined ? strokeOf(cue) : [])),
  );
  const calls = new Set(
    cues.flatMap((cue) =>
      cue.kind === 'call' && cue.clip && cue.stroke !== undefined ? `${cue.block} ${cue.combo}` : [],
    ),
  );
  // A change of lead is called as one.
  const strikes = cues.filter(
    (cue) =>
      cue.kind === 'strike' &&
      calls.has(`${cue.block} ${cue.combo}`) &&
      cue.limb !== 'holder' &&
      cue.limb !== 'feet',
  );
  const alone = strikes.filter((cue, i) => strikes[i - 1]?.at !== cue.at);
  return [
    ...new Set(
      alone.filter((cue) => !called.has(strokeOf(cue))).map((cue) => `${cue.text}: ${strokeOf(cue)}`),
    ),
  ];
}

describe('the calls of the demonstration', () => {
  it('is done nowhere faster than a body does it cleanly at the pace of the gym', async () => {
    const fast = (await demoRounds()).flatMap(({ name, round }) =>
      round.findings
        .filter(({ rule }) => rule === 'tempo-too-fast')
        .map(({ message }) => `${name}: ${message}`),
    );
    expect(fast).toEqual([]);
  });
  it('are lost in one of a hundred at the most, and no stroke in every time through', async () => {
    const rounds = await demoRounds();
    const said = rounds.flatMap(({ round }) => round.cues.filter(({ clip }) => clip)).length;
    const lost = rounds.flatMap(({ name, round }) =>
      round.findings
        .filter(({ rule }) => rule === 'call-dropped')
        .map(({ message }) => `${name}: ${message}`),
    );
    expect(said).toBeGreaterThan(1000);
    expect(lost.length / (said + lost.length)).toBeLessThanOrEqual(0.01);
    expect(rounds.flatMap(({ name, round }) => neverCalled(round).map((each) => `${name}: ${each}`))).toEqual(
      [],
    );
  });
  it('of each combo at its own tempo, called stroke by stroke, are all said', async () => {
    const { items } = (await call('GET', 'combos')).body;
    expect(items.length).toBeGreaterThan(10);
    for (const { id, grade, number, bpm } of items)
      for (const words of ['numbers', 'names']) {
        const block = { kind: 'combo', id: 'c', seconds: 90, combos: [{ comboId: id }], bpm, words };
        const blocks = [{ ...block, calls: 'on-beat', leadPlan: 'halves', cyclesEach: 4 }];
        const asked = { blocks, lead: 'left', seed: 7, timeCalls: ['end-bell'] };
        const { findings } = (await call('POST', 'rounds/compile', asked)).body as CompiledRound;
        const lost = findings.filter(isAboutCall).map(({ message }) => message);
        expect([grade, number, words, lost]).toEqual([grade, number, words, []]);
      }
  });
  it('of the starter library are all said', async () => {
    for (const { title, rounds } of (await call('GET', 'library')).body.items)
      for (const { blocks, timeCalls } of rounds) {
        const asked = { blocks, lead: 'left', seed: 7, ...(timeCalls ? { timeCalls } : {}) };
        const { findings } = (await call('POST', 'rounds/compile', asked)).body as CompiledRound;
        expect([title, findings.filter(isAboutCall).map(({ message }) => message)]).toEqual([title, []]);
      }
  });
});
