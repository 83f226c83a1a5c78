import { Passage } from './Passage.ts';

/** A round that stood at 0 when the page's clock stood at 50, and was looked at four times a second. */
function running(until: number): Passage {
  const passage = new Passage();
  passage.stands(0, null, 49.9);
  for (let now = 50; now <= until; now += 0.25) passage.stands(0, now - 50, now);
  return passage;
}

describe('where in a round a strike lay', () => {
  it('is told of one that was just heard, and of one that is told ten seconds late', () => {
    const passage = running(62);
    expect(passage.at(61.9, 62)).toBe(11.9);
    expect(passage.at(52.5, 62)).toBe(2.5);
  });
  it('is nowhere before the round began, and while it stands still', () => {
    const passage = running(52);
    expect(passage.at(49.9, 50.2)).toBeNull();
    passage.stands(0, null, 52.5);
    expect(passage.at(52.4, 52.5)).toBeNull();
  });
  it('is not guessed where the round stopped, was put elsewhere, or is another one since', () => {
    const passage = running(56);
    passage.stands(0, null, 57);
    passage.stands(0, 6.1, 58);
    expect([passage.at(53, 59), passage.at(58.2, 59)]).toEqual([null, 6.3]);
    passage.stands(0, 30, 59.5);
    expect([passage.at(58.2, 59.5), passage.at(58.6, 59.5)]).toEqual([null, 29.1]);
    const other = running(56);
    other.stands(1, 6.25, 56.25);
    expect(other.at(54, 56.25)).toBeNull();
  });
});
