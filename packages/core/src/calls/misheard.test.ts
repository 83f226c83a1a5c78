import { misheard } from './index.ts';

describe('misheard', () => {
  it('leaves out what was understood each time', () => {
    expect(misheard([{ said: 'jab', heard: 'jab' }])).toEqual([]);
  });
  it('names what a call was taken for most, and puts the worst first', () => {
    const calls = [
      ...['in', 'in', 'ten', 'pin'].map((heard) => ({ said: 'pin', heard })),
      ...['five', 'five'].map((heard) => ({ said: 'nine', heard })),
    ];
    expect(misheard(calls)).toEqual([
      { said: 'nine', heard: 'five', times: 2, of: 2 },
      { said: 'pin', heard: 'in', times: 3, of: 4 },
    ]);
  });
  it('a call of which nothing was made out counts too', () => {
    expect(misheard([{ said: 'out', heard: '' }])).toEqual([{ said: 'out', heard: '', times: 1, of: 1 }]);
  });
});
