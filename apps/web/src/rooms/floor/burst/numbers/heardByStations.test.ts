import type { Listener, Take } from '../../../../floor/listening/Listening.ts';
import { attemptOf, classBurst, heardBy, withCount } from './classBurst.ts';
import { heardByStations } from './heardByStations.ts';

const listener = (more: Partial<Listener>): Listener => ({
  id: 's1',
  name: 'pad',
  fighterIds: ['ines'],
  source: 'sensor',
  device: 'pad-1',
  detector: null,
  leastStrength: null,
  status: '',
  ...more,
});
const take = (of: Partial<Listener>, at: readonly number[], more: Partial<Take> = {}): Take => ({
  listener: listener(of),
  round: 1000,
  onsets: at.map((each) => ({ at: each })),
  from: 0,
  isDropped: false,
  time: 0,
  ...more,
});
const heardOf = (...takes: readonly Take[]) => heardByStations({ of: () => [...takes] }, 10);

describe('a burst of the class that stations hear', () => {
  it('is what each heard of the one who stands there, within the time', () => {
    const heard = heardOf(take({}, [1, 2, 3, 10.5]), take({ id: 's2', fighterIds: ['suda'] }, [0.5]));
    expect([...heard].map(([id, { onsets }]) => [id, onsets.length])).toEqual([
      ['ines', 3],
      ['suda', 1],
    ]);
  });
  it('is nobody’s where two stand, where it was only tried, and where the station came too late', () => {
    const two = take({ fighterIds: ['ines', 'suda'] }, [1]);
    const tried = take({ source: null }, [1]);
    const late = take({}, [8], { from: 5 });
    expect(heardOf(two, tried, late).size).toBe(0);
  });
  it('leaves out the bells of the class where a microphone hears them', () => {
    const heard = heardOf(take({ source: 'microphone' }, [0.01, 1, 2, 10]));
    expect(heard.get('ines')!.onsets.map(({ at }) => at)).toEqual([1, 2]);
  });
  it('of one fighter at two stations is the one that heard more', () => {
    const heard = heardOf(take({}, [1]), take({ id: 's2', device: 'pad-2' }, [1, 2]));
    expect(heard.get('ines')!.device).toBe('pad-2');
  });
  it('becomes a trial as it was heard, until somebody tells a number', () => {
    const what = { title: 'Two straights', seconds: 10 };
    const burst = classBurst([{ fighterId: 'ines', what, lead: 'left' }], 'now', () => 'a');
    const heard = heardOf(take({}, [1, 2, 3])).get('ines')!;
    const taken = heardBy(burst, 'ines', heard);
    expect(taken.trials[0]).toMatchObject({ count: 3 });
    expect(attemptOf(taken.trials[0]!, 'run')).toMatchObject({
      measured: 'sensor',
      instants: [1, 2, 3],
      heard,
    });
    const corrected = withCount(taken, 0, 5);
    expect(attemptOf(corrected.trials[0]!, 'run')).toMatchObject({
      measured: 'partner',
      said: 5,
      instants: [],
    });
    // What is reported is not taken back by what was heard.
    expect(heardBy(corrected, 'ines', heard).trials[0]!.count).toBe(5);
  });
});
