import { starterBook } from '@eurhythm/core/moves';
import type { RunView } from '@eurhythm/contract';
import { endedBursts, numbersToAsk } from './plannedBursts.ts';

const book = starterBook();
const people = [
  { id: 'ines', lead: 'left' },
  { id: 'oskar', lead: 'right' },
  { id: 'lumi', lead: 'left' },
] as const;
const burst = (id: string, more = {}) => ({
  kind: 'burst',
  id,
  seconds: 10,
  title: 'Two straights',
  ...more,
});
const rest = { kind: 'rest', id: 'rest', seconds: 20 };
const runOf = (blocks: object[], more = {}) =>
  ({ rounds: [{ blocks }], partners: [], groups: [], ...more }) as unknown as RunView;
const asked = (run: RunView, until: number) =>
  endedBursts(run, 0, until, people, book).flatMap(({ block, asked: numbers }) =>
    numbers.map(({ fighterId, what, lead }) => `${block} ${fighterId} ${what.title} ${lead}`),
  );

describe('endedBursts', () => {
  it('asks everybody from his own lead, and nobody before the bell', () => {
    const run = runOf([rest, burst('b')]);
    expect(asked(run, 29)).toEqual([]);
    expect(asked(run, 29.8)).toEqual([
      'b ines Two straights left',
      'b oskar Two straights right',
      'b lumi Two straights left',
    ]);
  });
  it('asks each group for its own technique', () => {
    const groups = [{ name: 'Minnows', fighterIds: ['lumi'] }];
    const own = burst('b', { groups: [{ group: 'Minnows', line: 'f:push' }] });
    expect(asked(runOf([own], { groups }), Infinity)).toEqual([
      'b ines Two straights left',
      'b oskar Two straights right',
      'b lumi push kick left',
    ]);
  });
  it('asks of those who stand together the one who works', () => {
    const turns = [
      ['work', 'hold'],
      ['hold', 'work'],
    ];
    const partners = [{ round: 0, groups: [{ members: ['ines', 'oskar'], turns }] }];
    const run = runOf([burst('b'), { ...rest, id: 'turn.1' }, burst('b.t2')], { partners });
    expect(asked(run, 12)).toEqual(['b ines Two straights left']);
    expect(asked(run, Infinity)).toEqual(['b ines Two straights left', 'b.t2 oskar Two straights right']);
  });
});

describe('numbersToAsk', () => {
  const run = runOf([burst('b'), rest]);
  const ask = (until: number, before: readonly string[], isOver: boolean, here = people.slice(0)) => {
    const { asked, kept } = numbersToAsk(
      endedBursts(run, 0, until, here, book),
      before,
      (block) => `0/${block}`,
      // Something listens to Ines and to Oskar, and heard only Ines.
      {
        listensTo: (id) => id !== 'lumi',
        isUnheard: (id) => isOver && id !== 'ines',
      },
    );
    return { asked: asked.map(({ fighterId }) => fighterId), kept };
  };

  it('asks of those to whom nothing listens at the bell, and of who was not heard when the round is over, once', () => {
    const atBell = ask(12, [], false);
    expect(atBell.asked).toEqual(['lumi']);
    const again = ask(15, atBell.kept, false);
    expect(again.asked).toEqual([]);
    const over = ask(Infinity, again.kept, true);
    expect(over.asked).toEqual(['oskar']);
    expect(ask(Infinity, over.kept, true).asked).toEqual([]);
  });
  it('asks nobody for a burst that was over before he came', () => {
    const atBell = ask(12, [], false, people.slice(0, 1));
    expect(ask(Infinity, atBell.kept, true).asked).toEqual([]);
  });
});
