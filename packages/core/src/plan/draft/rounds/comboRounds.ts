import { BPM_LIMITS, type Bpm } from '../../../units/index.ts';
import {
  USUAL_COMBO_BLOCK,
  usualBlock,
  type ComboRef,
  type WrittenBlock,
  type WrittenComboBlock,
} from '../../../rounds/index.ts';
import { isTooMuch } from '../choice/fittingShape.ts';
import type { DraftClass } from '../draftedClass.ts';
import type { PickedCombo } from '../choice/pickCombos.ts';
import type { PlainRound } from '../plainRound.ts';
import { comboName } from '../../comboName.ts';

/** Learning goes by parts: joined at this share of the tempo that it ends with. */
const JOINED = 0.85;
/** So much slower than its own tempo a group is told about. */
const MUCH_SLOWER = 0.85;

/** What each group does in one round. */
interface Chosen {
  readonly group: string;
  readonly people: DraftClass['groups'][number]['people'];
  readonly combos: readonly PickedCombo[];
  /** It has nothing of its own and does what the first group does. */
  readonly asTheFirst: boolean;
}

/** One combo of each group, learnt: by parts, joined on one count, then fast; null where nobody has one. */
export function partsRound(of: DraftClass): PlainRound | null {
  const chosen = choose(of, (queue, beside) => {
    const one = queue.takeToLearn(beside);
    return one ? [one] : [];
  });
  const [base] = chosen;
  if (!base) return null;
  const shared = sharedTempo(chosen, of);
  const joined = Math.max(BPM_LIMITS.min, Math.round(shared * JOINED));
  const name = nameOf(base.combos[0]!);
  return {
    kind: 'combos',
    title: `${name} by parts`,
    work: [
      {
        ...blockOf(chosen, of, joined),
        seconds: of.lengths.parts,
        tempo: { kind: 'build-up', fast: shared },
      },
    ],
    turns: null,
    hasSpin: spins(chosen),
    why: `${whyOf(chosen, ': by parts, joined, then fast')}. ${tempoWhy(chosen, shared)}`,
  };
}

/** Two combos of each group, on pads where there are any and somebody to hold them; null where nobody has one. */
export function comboRound(of: DraftClass, isPartnerWork: boolean): PlainRound | null {
  const chosen = choose(of, (queue, beside) => queue.take(of.bounds.isEven ? 1 : 2, beside));
  const [base] = chosen;
  if (!base) return null;
  const onPads = isPartnerWork && of.turns !== null;
  const names = base.combos.map(nameOf).join(' and ');
  // Children do one thing, rest, and do the other; adults change from one to the other at the call.
  const pieces = of.youth !== null && !onPads ? oneByOne(chosen) : [chosen];
  const work = pieces.flatMap((piece, i): WrittenBlock[] => [
    ...(i > 0 ? [{ ...usualBlock('rest', `between-${i}`), seconds: of.lengths.rest - 5, next: '' }] : []),
    {
      ...blockOf(piece, of, sharedTempo(piece, of)),
      id: i === 0 ? 'work' : `work-${i + 1}`,
      seconds: onPads ? of.lengths.turn : of.lengths.work,
      ...(onPads && of.hasPads ? { kit: ['pads'] } : {}),
    },
  ]);
  return {
    kind: onPads ? 'pads' : 'combos',
    title: onPads ? `Pads: ${names}` : names,
    work,
    turns: onPads ? of.turns : null,
    hasSpin: spins(chosen),
    why: `${whyOf(chosen)}. ${tempoWhy(chosen, sharedTempo(chosen, of))}`,
  };
}

const spins = (chosen: readonly Chosen[]): boolean =>
  chosen.some(({ combos }) => combos.some(({ shape }) => shape.hasSpin));

/** The first combo of each group, then the second; a group with one does it again. */
function oneByOne(chosen: readonly Chosen[]): Chosen[][] {
  const most = Math.max(...chosen.map(({ combos }) => combos.length));
  return Array.from({ length: most }, (_, i) =>
    chosen.map((each) => ({ ...each, combos: [each.combos[i] ?? each.combos.at(-1)!] })),
  );
}

/**
 * What each group does, the first as its own queue goes, the others with tempos that go with it. Who has nothing of its own does what the
 * first does where it may; else it is left out.
 */
function choose(
  { groups, gym }: DraftClass,
  take: (queue: DraftClass['groups'][number]['queue'], beside: Bpm | null) => readonly PickedCombo[],
): Chosen[] {
  let first: readonly PickedCombo[] | null = null;
  const own = groups.map(({ queue }) => {
    const beside = first && Math.min(...first.map(({ tempo }) => tempo.bpm));
    const combos = take(queue, beside);
    if (combos.length > 0) first ??= combos;
    return combos;
  });
  const base: readonly PickedCombo[] = first ?? [];
  const chosen = groups.flatMap(({ name: group, people, youth }, i): Chosen[] => {
    const combos = own[i]!;
    if (combos.length > 0) return [{ group, people, combos, asTheFirst: false }];
    const mayDo = youth === null || !base.some(({ combo }) => isTooMuch(combo.line, youth, gym.book));
    return mayDo && base.length > 0 ? [{ group, people, combos: base, asTheFirst: true }] : [];
  });
  return [...chosen.filter((each) => !each.asTheFirst), ...chosen.filter((each) => each.asTheFirst)];
}

/** A tempo that is clean for everybody of every group in what they do. */
function sharedTempo(chosen: readonly Chosen[], { cleanUpTo, gym }: DraftClass): Bpm {
  let bpm = Math.min(...chosen.flatMap(({ combos }) => combos.map(({ tempo }) => tempo.bpm)));
  for (;;) {
    const clean = Math.min(
      ...chosen.flatMap(({ combos, people }) =>
        combos.flatMap(({ combo }) =>
          [gym.factor, ...people.map(({ pace }) => pace)].map((pace) => cleanUpTo(combo, pace, bpm)),
        ),
      ),
    );
    if (clean >= bpm) return bpm;
    bpm = clean;
  }
}

function blockOf(
  chosen: readonly Chosen[],
  { groups, gym, bounds }: DraftClass,
  bpm: Bpm,
): WrittenComboBlock {
  const [base, ...others] = chosen;
  // One combo alone: with two, each would come from its own lead only.
  const even = bounds.isEven ? ({ leadPlan: 'each', cyclesEach: 1 } as const) : {};
  const combosOf = (each: Chosen): ComboRef[] =>
    each.combos.map(({ combo, changed }) =>
      changed === null ? { comboId: combo.id } : { line: combo.line, title: combo.title },
    );
  const lanes = others
    .filter((each) => !each.asTheFirst)
    .map((each) => ({ group: each.group, combos: combosOf(each) }));
  return {
    ...USUAL_COMBO_BLOCK,
    ...even,
    ...{ id: 'work', combos: combosOf(base!), bpm, words: gym.words },
    ...(lanes.length > 0 ? { lanes } : {}),
    ...(chosen.length < groups.length ? { who: chosen.map(({ group }) => group) } : {}),
  };
}

const nameOf = ({ combo }: PickedCombo): string => (combo.grade === '' ? combo.title : comboName(combo));

/** Why the first group does it, and what the others do meanwhile. */
function whyOf(chosen: readonly Chosen[], how = ''): string {
  const [base, ...others] = chosen.filter((each) => !each.asTheFirst);
  const each = base!.combos.map(
    (picked) => `${nameOf(picked)} ${picked.why}${picked.changed ? ` (${picked.changed})` : ''}`,
  );
  const meanwhile = others.map(({ group, combos }) => `${group}: ${combos.map(nameOf).join(' and ')}`);
  return [`${each.join('; ')}${how}`, ...meanwhile].join('. ');
}

/** Who sets the tempo, and which group goes slower than it could. */
function tempoWhy(chosen: readonly Chosen[], shared: Bpm): string {
  const owns = chosen.map(({ group, combos }) => ({
    group,
    slowest: combos.reduce((a, b) => (b.tempo.bpm < a.tempo.bpm ? b : a)),
  }));
  const { slowest } = owns.reduce((a, b) => (b.slowest.tempo.bpm < a.slowest.tempo.bpm ? b : a));
  const held = owns.filter(({ slowest: own }) => shared < MUCH_SLOWER * own.tempo.bpm);
  const slow =
    held.length === 0
      ? ''
      : ` ${held.map(({ group, slowest: own }) => `${group} could go at ${own.tempo.bpm}`).join(', ')}; one clock for all.`;
  return `${shared} bpm: ${slowest.tempo.sentence}${slow}`;
}
