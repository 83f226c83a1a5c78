import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { STARTER_MOVES, STARTER_NUMBERS, moveBook, roleOf, starterBook, type Move } from '../moves/index.ts';
import { STARTER_SCHOOL, analyseCombo, findFindings } from './index.ts';

const ROOT = fileURLToPath(new URL('../../../../', import.meta.url));

/** Source files of the product, by their paths from its root, without tests, demo and library data. */
function sources(folder: string): string[] {
  return readdirSync(`${ROOT}${folder}`, { withFileTypes: true }).flatMap((entry) => {
    const path = `${folder}/${entry.name}`;
    if (entry.isDirectory())
      return ['node_modules', 'dist', '.build'].includes(entry.name) ? [] : sources(path);
    return /\.tsx?$/.test(entry.name) && !/\.test\.ts$/.test(entry.name) ? [path] : [];
  });
}

/** What a gym may write differently: its own data may name what it likes. */
const DATA = /^packages\/core\/src\/moves\/|^apps\/server\/src\/(demo|library)\//;
/** Codes that are words of English or of the line notation too; they count where they are compared with a code. */
const PLAIN = new Set(
  STARTER_MOVES.map(({ code }) => code).filter((code) =>
    readFileSync(`${ROOT}packages/core/src/line/parseLine.ts`, 'utf8').includes(`'${code}'`),
  ),
);

describe('the starter book', () => {
  const files = ['packages', 'apps'].flatMap(sources).filter((path) => !DATA.test(path));
  const codes = STARTER_MOVES.map(({ code }) => code);

  it('is searched for in the whole product', () => {
    expect(files.length).toBeGreaterThan(250);
    expect(files.some((path) => path.endsWith('findFindings.ts'))).toBe(true);
  });
  it.each(codes)('no rule outside the book asks for the code %s', (code) => {
    const asked = new RegExp(
      // a code that is compared or looked up, in either order
      `(?:code|word|\\.get\\(|(?<!timeCalls)\\.has\\(|findMove\\([^)]*)\\)?\\s*(?:[!=]==|,|\\()?\\s*'${code}'|'${code}'\\s*[!=]==`,
    );
    const found = files.filter((path) => asked.test(readFileSync(`${ROOT}${path}`, 'utf8')));
    expect(PLAIN.has(code) ? found.filter((path) => !path.includes('/line/')) : found).toEqual([]);
  });
});

describe('a part in the rules', () => {
  const own = (code: string, from: string, changes: Partial<Move>): Move => ({
    ...STARTER_MOVES.find((move) => move.code === from)!,
    code,
    name: code,
    aliases: [],
    ...changes,
  });
  const rulesOf = (line: string, moves: readonly Move[]): string[] => {
    const book = moveBook([...STARTER_MOVES, ...moves], STARTER_NUMBERS);
    const analysis = analyseCombo(line, book, 'left');
    if (!analysis.ok) throw new Error(analysis.errors[0]!.message);
    const { findings } = findFindings(analysis.walk, book, {
      factor: 1,
      bpm: 60,
      school: { ...STARTER_SCHOOL, frontHighBlock: 'avoided' },
    });
    return findings.map(({ rule }) => rule);
  };
  const clinch = STARTER_MOVES.find((move) => roleOf(move) === 'clinch')!;
  const block = STARTER_MOVES.find((move) => roleOf(move) === 'high-block')!;

  it('is what an own clinch is known by, whatever it is called', () => {
    expect(rulesOf('1 2 collar', [own('collar', clinch.code, {})])).toContain('stays-in-range');
    expect(rulesOf('1 2 collar', [own('collar', 'hook', {})])).not.toContain('stays-in-range');
    expect(rulesOf('1 2 collar', [own('collar', 'hook', { role: 'clinch' })])).toContain('stays-in-range');
  });
  it('is not given by a code alone: an own kick that is called like a block keeps its arms', () => {
    const kick = own('high', 'round', { role: null });
    const others = STARTER_MOVES.filter((move) => move.code !== 'high');
    const book = moveBook([...others, kick], STARTER_NUMBERS);
    const analysis = analyseCombo('f:high 2', book, 'left');
    if (!analysis.ok) throw new Error(analysis.errors[0]!.message);
    const { findings } = findFindings(analysis.walk, book, {
      factor: 1,
      bpm: 60,
      school: { ...STARTER_SCHOOL, frontHighBlock: 'avoided' },
    });
    expect(findings.map(({ rule }) => rule)).not.toContain('under-arm-open');
    expect(rulesOf(`f:${block.code} 2`, [])).toContain('under-arm-open');
  });
  it('is held by the starter book for each rule that needs one', () => {
    const roles = new Set([...starterBook().moves.values()].flatMap((move) => roleOf(move) ?? []));
    for (const role of ['step-in', 'clinch', 'guard', 'high-block', 'evasion'] as const)
      expect(roles).toContain(role);
  });
});
