import { unusualText, valueText } from '../index.ts';

const child = { low: 17, high: 21 };
const strikes = (value: number) => `${valueText('burst')(value)} strikes`;

it.each([
  [40, '40 strikes is 2.1 times the usual 19 strikes. Is it the right person, and the right test?'],
  [1900, '1900 strikes is 100 times the usual 19 strikes. Is it the right person, and the right test?'],
  [4, '4 strikes is 21 % of the usual 19 strikes. Is it the right person, and the right test?'],
  [25, ''],
  [14, ''],
])('%d of a child whose usual is 19', (value, text) => {
  expect(unusualText(value, child, strikes)).toBe(text);
});
it('asks nothing of somebody who was never measured', () => {
  expect(unusualText(40, null, strikes)).toBe('');
  expect(unusualText(40, { low: 0, high: 0 }, strikes)).toBe('');
});
