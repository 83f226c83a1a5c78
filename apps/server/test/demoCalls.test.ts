import { heldRounds } from '@eurhythm/core/plan';
import type { CompiledRound, Cue } from '@eurhythm/core/rounds';
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
});
