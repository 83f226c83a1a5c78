import type { SaveAttemptDto } from '@eurhythm/contract';
import { KeptTakes, type KeptTrial } from './KeptTakes.ts';
import type { Listener, Take } from './Listening.ts';

const trial = (fighterId: string, title: string, instants: readonly number[]): SaveAttemptDto => ({
  fighterId,
  title,
  kind: 'combo-time',
  line: '1-2',
  lead: 'left',
  seconds: 10,
  at: '2026-03-05T18:30:00Z',
  instants: [...instants],
  measured: 'microphone',
});

const bag: Listener = {
  id: 'bag',
  name: 'bag',
  fighterIds: ['ines', 'oskar'],
  source: 'microphone',
  device: '',
  detector: null,
  leastStrength: null,
  status: '',
};
const take = (change: Partial<Take> = {}): Take => ({
  listener: bag,
  round: 0,
  onsets: [],
  from: 0,
  isDropped: false,
  time: 0,
  ...change,
});

/** Keeps takes, and tells what is in the log then and how much was written for it. */
function book() {
  const log = new Map<string, SaveAttemptDto>();
  let ids = 0;
  let writes = 0;
  const kept = new KeptTakes({
    newId: () => `${(ids += 1)}`,
    put: ({ id, attempt }: KeptTrial) => void (log.set(id, attempt), (writes += 1)),
    takeOut: (id) => void (log.delete(id), (writes += 1)),
  });
  const keep = (takes: readonly Take[], ...trials: SaveAttemptDto[]): number => {
    const before = writes;
    kept.keep(0, takes, () => trials);
    return writes - before;
  };
  return { kept, log, keep };
}
const entries = (log: ReadonlyMap<string, SaveAttemptDto>) => Object.fromEntries(log);

describe('what is kept of takes', () => {
  const [ebb, flow] = [trial('ines', 'Ebb', [1]), trial('ines', 'Flow', [2])];

  it('is put right under its ids, as of when it was; what is no trial any more goes, and what is new comes', () => {
    const { log, keep } = book();
    keep([take()], ebb, flow);
    const later = { ...trial('ines', 'Flow', [2, 2.4]), at: '2026-03-05T18:31:00Z' };
    keep([take({ onsets: [{ at: 2.4 }] })], later, trial('ines', 'Gale', [5]));
    expect(entries(log)).toEqual({ 2: trial('ines', 'Flow', [2, 2.4]), 3: trial('ines', 'Gale', [5]) });
  });
  it('is not written again where nothing more is known, or what is known comes to the same', () => {
    const { keep } = book();
    const first = take();
    expect(keep([first], ebb, flow)).toBe(2);
    expect(keep([{ ...first, listener: { ...bag, status: 'It is gone.' } }], trial('ines', 'Gale', []))).toBe(
      0,
    );
    expect(keep([take({ onsets: [{ at: 3 }] })], ebb, flow)).toBe(0);
  });
  it('comes also from a listener of whom nothing was known when the round ended', () => {
    const { log, keep } = book();
    keep([]);
    keep([take()], ebb);
    expect(entries(log)).toEqual({ 1: ebb });
  });
  it('goes where it was somebody else, and comes again where it was they after all', () => {
    const { log, keep } = book();
    keep([take()], ebb);
    keep([take({ isDropped: true })]);
    expect(log.size).toBe(0);
    keep([take()], ebb);
    expect([...log.values()]).toEqual([ebb]);
  });
  it('is what somebody counted by hand, whenever they did, and stays so', () => {
    const { kept, log, keep } = book();
    const first = take();
    kept.count(first, 'ines', 7);
    const counted = { ...ebb, instants: [], said: 7, measured: 'by-hand' as const };
    const trialsOf = (each: Take) => (kept.countsOf(each).get('ines') === 7 ? [counted] : [ebb, flow]);
    kept.keep(0, [first], trialsOf);
    expect(entries(log)).toEqual({ 1: counted });
    const other = book();
    other.keep([first], ebb, flow);
    other.kept.count(first, 'ines', 7);
    other.keep([first], counted);
    expect(entries(other.log)).toEqual({ 1: counted });
    expect(keep([first], counted)).toBe(0);
  });
  it('stays as it is of an earlier time through the round', () => {
    const { log, keep } = book();
    keep([take()], ebb);
    keep([take({ time: 1 })], flow);
    expect(entries(log)).toEqual({ 1: ebb, 2: flow });
  });
});
