import { linkRounds, usualBlock, workUntil } from './index.ts';

const work = (id: string, seconds: number) => ({ ...usualBlock('free', id), seconds });
const rest = (id: string, seconds: number) => ({ ...usualBlock('rest', id), seconds });
const [round] = linkRounds([
  { id: 'a', title: 'Pads', blocks: [work('w', 60), rest('r', 30), work('v', 60), rest('s', 30)] },
]);

it('before the first bell nobody has worked', () => {
  expect(workUntil(round!.blocks, 0)).toBeNull();
  expect(workUntil(round!.blocks, 9.9)).toBeNull();
  expect(workUntil(round!.blocks, 10)).toBe(0);
});
it('counts work alone: neither getting ready nor a rest within', () => {
  expect(workUntil(round!.blocks, 22)).toBe(12);
  expect(workUntil(round!.blocks, 85)).toBe(60);
  expect(workUntil(round!.blocks, 110)).toBe(70);
  expect(workUntil(round!.blocks, 500)).toBe(120);
});
