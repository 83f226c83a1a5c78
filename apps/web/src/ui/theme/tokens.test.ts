import { readFileSync } from 'node:fs';

const css = readFileSync(new URL('./tokens.css', import.meta.url), 'utf8');

function colours(block: string): Map<string, string> {
  return new Map(
    [...block.matchAll(/--color-([a-z-]+): (#[0-9a-f]{6})/g)].map((match) => [match[1]!, match[2]!]),
  );
}

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}

function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light! + 0.05) / (dark! + 0.05);
}

const [planning, dark, mat] = css.split(/@media screen|\.mat \{/).map((block) => colours(block!));

describe.each([
  ['planning', planning!, 4.5],
  ['dark planning', dark!, 4.5],
  ['mat', mat!, 7],
])('%s colours', (_, tokens, least) => {
  it('holds the same tokens as the other surface', () => {
    expect([...tokens.keys()].sort()).toEqual([...planning!.keys()].sort());
  });
  it.each(['ink', 'quiet', 'front', 'rear', 'holder', 'caution', 'fine'])(
    '%s can be read on canvas and paper',
    (name) => {
      const needed = name === 'ink' ? Math.max(7, least) : name === 'quiet' || least === 4.5 ? least : 4.5;
      for (const ground of ['canvas', 'paper'])
        expect(contrast(tokens.get(name)!, tokens.get(ground)!)).toBeGreaterThanOrEqual(needed);
    },
  );
  it('parts what is under the pointer from the text on it', () => {
    expect(contrast(tokens.get('hint')!, tokens.get('ink')!)).toBeGreaterThanOrEqual(7);
    expect(contrast(tokens.get('hint')!, tokens.get('quiet')!)).toBeGreaterThanOrEqual(4.4);
  });
});

it('shows the beat numbers, and what is chosen, on both tapes', () => {
  for (const tape of ['tape', 'tape-right']) {
    for (const tokens of [planning!, dark!, mat!])
      expect(contrast(tokens.get(tape)!, tokens.get('on-tape')!)).toBeGreaterThan(4.5);
  }
});
