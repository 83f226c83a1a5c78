import { existsSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import * as body from './body/index.ts';
import * as calls from './calls/index.ts';
import { lettersVoice } from './calls/testLibrary.ts';
import * as formats from './formats/index.ts';
import * as home from './home/index.ts';
import * as lines from './line/index.ts';
import * as moves from './moves/index.ts';
import * as plan from './plan/index.ts';
import * as progress from './progress/index.ts';
import * as rounds from './rounds/index.ts';
import * as run from './run/index.ts';
import * as sound from './sound/index.ts';
import * as speed from './speed/index.ts';
import * as strikes from './strikes/index.ts';
import * as simulation from './simulation/index.ts';
import * as tempo from './tempo/index.ts';
import * as teach from './teach/index.ts';
import * as units from './units/index.ts';

const ROOT = fileURLToPath(new URL('./', import.meta.url));

interface Documented {
  readonly name: string;
  /** What the example writes and what comes out, as text. */
  readonly claims: readonly (readonly [written: string, comesOut: string])[];
  /** Numbers that it is given of which its comment gives no unit. */
  readonly withoutUnit: readonly string[];
}

/** Every function that core exports, with the claims of its `@example`. */
function documentedFunctions(): Documented[] {
  const folders = readdirSync(ROOT)
    .map((folder) => `${ROOT}${folder}/index.ts`)
    .filter((path) => existsSync(path));
  const program = ts.createProgram(folders, {
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    allowImportingTsExtensions: true,
    noEmit: true,
    noLib: true,
  });
  const checker = program.getTypeChecker();
  const found = new Map<ts.Symbol, Documented>();
  for (const path of folders) {
    const folder = checker.getSymbolAtLocation(program.getSourceFile(path)!);
    for (const exported of folder ? checker.getExportsOfModule(folder) : []) {
      const own = exported.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(exported) : exported;
      const declared = own.declarations?.[0];
      if (!declared || !ts.isFunctionDeclaration(declared)) continue;
      const tags = ts.getJSDocTags(declared).filter((tag) => tag.tagName.text === 'example');
      const claims = tags.flatMap((tag) => claimsOf(ts.getTextOfJSDocComment(tag.comment) ?? ''));
      const withoutUnit = declared.parameters
        .filter((each) => isNumber(each) && ts.getJSDocParameterTags(each).length === 0)
        .map((each) => `${own.name}: ${each.name.getText()}`);
      found.set(own, { name: own.name, claims, withoutUnit });
    }
  }
  return [...found.values()];
}

/** Whether a parameter is a number, or a list of them; types as Seconds or Bpm give their unit themselves. */
function isNumber({ type, initializer }: ts.ParameterDeclaration): boolean {
  if (!type) return initializer !== undefined && ts.isNumericLiteral(initializer);
  return /^(readonly )?number\b(\[\])?( \| null)?$/.test(type.getText());
}

/** "f(1) // 2", or what comes out on the next line. */
function claimsOf(example: string): (readonly [string, string])[] {
  const claims: [string, string][] = [];
  let written = '';
  for (const line of example.split('\n').map((each) => each.trim())) {
    const [code = '', out] = line.startsWith('//') ? ['', line.slice(2)] : line.split(' // ');
    written += `${code}\n`;
    if (out === undefined) continue;
    claims.push([written.trim(), out.trim()]);
    written = '';
  }
  return claims;
}

const book = moves.starterBook();
function line(text: string): lines.BeatLine {
  const parsed = lines.parseLine(text, book);
  if (!parsed.ok) throw new Error(parsed.errors[0]!.message);
  return parsed.line;
}
const voice = lettersVoice();
const combo = { id: 'a', grade: 'Ebb', number: 1, title: 'A', line: '1 2 3', beatsPerBar: 4 };
const filled = (kind: rounds.BlockKindName): rounds.Block =>
  rounds.fillBlock(rounds.usualBlock(kind, 'b'), new Map());
const round = rounds.compileRound(
  {
    blocks: [{ ...rounds.usualBlock('combo', 'c'), seconds: 60, combos: [combo] } as rounds.Block],
    lead: 'left',
    seed: 1,
  },
  book,
  voice,
);

/** A fighter of whom nothing is known, and words for what a grade asks. */
const noFacts: progress.GradeFacts = {
  ...{ clean: [], trials: [], rounds: [], sessions: [], shown: [], gradedOn: null },
};
const noReportFacts: progress.ReportFacts = {
  ...{
    trained: progress.tally([]),
    combos: [],
    courses: [],
    grade: null,
    behind: [],
    up: [],
    due: [],
    goals: [],
  },
};
/** A gym with one grade, one combo and nobody in it, and a log that knows nothing. */
const gym: plan.DraftGym = {
  ...{ book, retired: [], youth: [], techniques: {}, asked: {}, library: [], people: [], kit: [] },
  grades: [{ id: 'ebb', name: 'Ebb', band: 'adults' }],
  combos: [{ ...combo, gradeId: 'ebb', bpm: 80, focus: [] }],
  ...{ words: 'numbers', floorSteps: null, factor: 1.25 },
};
const log: plan.DraftLog = { setsOf: () => [], daysAgo: () => null, dueWith: () => [], recent: [] };
const words: progress.GradeWords = { combo: String, test: String, value: String };

/**
 * What examples may name beside core itself: the starter `book`, a `line` read with it and its `walk` from the left lead, a
 * `voice` that needs a moment for each letter, a `combo`, a block `filled` as a coach begins it, and a compiled `round`; a `gym` and its `log`.
 */
const SCOPE: Readonly<Record<string, unknown>> = {
  ...{ ...units, ...moves, ...lines, ...body, ...teach, ...sound, ...calls },
  ...{
    ...rounds,
    ...tempo,
    ...plan,
    ...run,
    ...home,
    ...strikes,
    ...simulation,
    ...speed,
    ...progress,
    ...formats,
  },
  ...{ book, line, voice, combo, filled, round, noFacts, noReportFacts, words, gym, log },
  walk: (text: string) => body.walkStance(line(text), book, 'left'),
};

const valueOf = (code: string): unknown =>
  new Function(...Object.keys(SCOPE), `return (${code})`)(...Object.values(SCOPE));

const FUNCTIONS = documentedFunctions();

describe('the examples of core', () => {
  it('stand at every function that others use', () => {
    expect(FUNCTIONS.length).toBeGreaterThan(180);
    expect(FUNCTIONS.filter(({ claims }) => claims.length === 0).map(({ name }) => name)).toEqual([]);
  });
  it('say of each number that is given in which unit it is', () => {
    expect(FUNCTIONS.flatMap(({ withoutUnit }) => withoutUnit)).toEqual([]);
  });
  it.each(FUNCTIONS.map(({ name, claims }) => [name, claims] as const))(
    '%s does what it says',
    (_, claims) => {
      for (const [written, comesOut] of claims) expect(valueOf(written)).toEqual(valueOf(comesOut));
    },
  );
});
