import { resultFault, type TrialKind } from '@eurhythm/core/speed';
import {
  LEADS,
  type FighterView,
  type SaveAttemptDto,
  type SaveTestDto,
  type TestView,
} from '@eurhythm/contract';

/** What each kind of test is called where one is made. */
export const KIND_CHOICES: readonly { readonly value: TrialKind; readonly label: string }[] = [
  { value: 'measure', label: 'A number you read off: height, balance, distance, push-ups' },
  { value: 'burst', label: 'As many as fit into a time' },
  { value: 'combo-time', label: 'How long a combo takes' },
  { value: 'reaction', label: 'How soon an answer comes' },
];

/** A test as a coach would begin it. */
export function newTest(): SaveTestDto {
  return {
    title: '',
    kind: 'measure',
    line: null,
    seconds: 10,
    direction: 'higher',
    unit: 'cm',
    sides: 'side',
  };
}

/** The test with what another kind of it needs. */
export function ofKind(test: SaveTestDto, kind: TrialKind): SaveTestDto {
  const isTime = kind === 'combo-time' || kind === 'reaction';
  return {
    ...test,
    kind,
    direction: isTime ? 'lower' : 'higher',
    unit: kind === 'measure' ? (test.unit ?? 'cm') : null,
    sides: kind === 'measure' ? (test.sides ?? 'side') : 'lead',
    line: kind === 'combo-time' ? test.line : null,
  };
}

/** In what the results of a test are written by hand. */
export const unitOf = ({ kind, unit }: Pick<SaveTestDto, 'kind' | 'unit'>): string =>
  kind === 'measure' ? (unit ?? '') : kind === 'burst' ? 'times' : 's';

/** A test in a few words: “more is better, cm, each side”. */
export function testWords(test: SaveTestDto): string {
  const { kind, seconds, direction, sides } = test;
  const what = {
    measure: `read off, ${unitOf(test)}`,
    burst: `as many as fit into ${seconds} s`,
    'combo-time': 'how long it takes, s',
    reaction: 'how soon it comes, s',
  }[kind];
  const each = { lead: 'from each lead', side: 'each side', none: 'once' }[sides ?? 'lead'];
  return `${what}, ${each}; ${direction === 'higher' ? 'more' : 'less'} is better`;
}

/** A result that somebody wrote down, as it is kept; or why it cannot be. */
export function writtenResult(
  value: number,
  test: TestView,
  of: Pick<SaveAttemptDto, 'fighterId' | 'lead' | 'at'>,
): SaveAttemptDto | string {
  const fault = resultFault(value, { title: test.title, unit: unitOf(test) });
  if (fault !== null) return fault;
  if (test.kind === 'burst' && !Number.isInteger(value)) return 'How many is a whole number.';
  const result =
    test.kind === 'burst' ? { said: value } : test.kind === 'measure' ? { result: value } : { time: value };
  return { ...of, testId: test.id, instants: [], measured: 'by-hand', ...result };
}

/** From which leads, or of which sides, a fighter has results; those of a test without sides stand with the own lead. */
export const leadsOf = (
  { sides }: Pick<SaveTestDto, 'sides'>,
  { lead }: Pick<FighterView, 'lead'>,
): readonly ('left' | 'right')[] => (sides === 'none' ? [lead] : LEADS);
