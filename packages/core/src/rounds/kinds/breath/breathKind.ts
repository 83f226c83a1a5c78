import { numberText, type Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { BREATH_FORMS } from '../../../calls/index.ts';
import type { Scene } from '../../scene.ts';
import type { BlockBase } from '../blockBase.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import { OPENING, sayAbout } from '../counting.ts';

/** A minute of breathing or of seeing the work before the eyes: everybody stands, the voice says when to breathe. */
export interface BreathBlock extends BlockBase {
  readonly kind: 'breath';
  /** Said at the start, such as "see the next round". */
  readonly title: string;
  readonly inSeconds: Seconds;
  /** The breath is kept for so long; 0 for not at all. */
  readonly holdSeconds: Seconds;
  readonly outSeconds: Seconds;
}

/** A phase of one breath. */
type Phase = keyof typeof BREATH_FORMS;

export const breathKind: BlockKind<BreathBlock> = {
  ...BY_THE_CLOCK,
  name: 'Breath',
  isPause: true,
  usual: (id) => ({
    kind: 'breath',
    id,
    seconds: 60,
    title: 'Slow breaths',
    inSeconds: 4,
    holdSeconds: 0,
    outSeconds: 6,
  }),
  tell: ({ title, inSeconds, holdSeconds, outSeconds }) =>
    `${title}: in ${numberText(inSeconds)}${holdSeconds > 0 ? `, kept ${numberText(holdSeconds)}` : ''}, out ${numberText(outSeconds)}`,
  texts: ({ title, holdSeconds }) => [
    title.toLowerCase(),
    ...BREATH_FORMS.in,
    ...(holdSeconds > 0 ? BREATH_FORMS.hold : []),
    ...BREATH_FORMS.out,
  ],
  scenes: scenesOfBreath,
  layOut: layOutBreath,
};

/**
 * The breaths of a block from its start: as many as fit whole behind the title.
 *
 * @example
 * breathPhases({ ...usualBlock('breath', 'b'), seconds: 14 }) // [{ at: 3, phase: 'in' }, { at: 7, phase: 'out' }]
 */
export function breathPhases({
  seconds,
  inSeconds,
  holdSeconds,
  outSeconds,
}: BreathBlock): { readonly at: Seconds; readonly phase: Phase }[] {
  const whole = inSeconds + holdSeconds + outSeconds;
  const count = Math.max(0, Math.floor((seconds - OPENING + 1e-9) / whole));
  return Array.from({ length: count }, (_, i) => OPENING + i * whole).flatMap((at) => [
    { at, phase: 'in' as const },
    ...(holdSeconds > 0 ? [{ at: at + inSeconds, phase: 'hold' as const }] : []),
    { at: at + inSeconds + holdSeconds, phase: 'out' as const },
  ]);
}

const PHASE_WORDS: Readonly<Record<Phase, string>> = {
  in: 'breathe in',
  hold: 'keep it',
  out: 'breathe out',
};

function scenesOfBreath(
  block: BreathBlock,
  { from, to }: { readonly from: Seconds; readonly to: Seconds },
): Scene[] {
  const phases = breathPhases(block);
  const endOf = (i: number): Seconds => from + (phases[i]?.at ?? to - from);
  return [
    { at: from, what: block.title, until: endOf(0) },
    ...phases.map(({ at, phase }, i) => ({
      at: from + at,
      what: PHASE_WORDS[phase],
      how: [block.title],
      until: endOf(i + 1),
    })),
  ];
}

function layOutBreath(block: BreathBlock, { from }: BlockTime, { layout }: LayOutContext): void {
  sayAbout(layout, block.id, {
    forms: [block.title.toLowerCase()],
    at: from + 0.2,
    priority: 'combo',
    slack: 1,
  });
  layout.cues.push({ at: from, kind: 'show', text: block.title, block: block.id });
  for (const { at, phase } of breathPhases(block))
    sayAbout(layout, block.id, { forms: BREATH_FORMS[phase], at: from + at, priority: 'count', slack: 0.8 });
}
