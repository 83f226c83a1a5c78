import type { Move } from '@eurhythm/core/moves';
import type { MoveView, SaveMoveDto } from './moves.ts';

/** The move that a form describes. */
export function moveFromForm(code: string, form: SaveMoveDto): Move {
  const { sayLong, sayShort, side, forward, right, surface, target, easier, ...same } = form;
  return {
    ...same,
    code,
    say: { long: sayLong, short: sayShort },
    side: sideOf(side),
    step: { forward, right },
    surface: surface === '' ? null : surface,
    target: target === '' ? null : target,
    easier: easier ?? null,
    role: form.role ?? null,
  };
}

/** The form that describes a move. */
export function formFromMove(move: Move | MoveView): SaveMoveDto {
  const {
    code: _,
    say,
    side,
    step,
    surface,
    target,
    parts,
    faults,
    cautions,
    aliases,
    risks,
    retired: _retired,
    version: _version,
    ...same
  }: Move & Partial<Pick<MoveView, 'retired' | 'version'>> = move;
  return {
    ...same,
    sayLong: say.long,
    sayShort: say.short,
    side: choiceOf(side),
    forward: step.forward,
    right: step.right,
    surface: surface ?? '',
    target: target ?? '',
    parts: parts.map((part) => ({ ...part })),
    faults: [...faults],
    cautions: [...cautions],
    aliases: [...aliases],
    ...(risks ? { risks: risks.map((risk) => ({ ...risk })) } : {}),
  };
}

type SideChoice = SaveMoveDto['side'];

/** Each side of a move, as a form offers it. */
const SIDE_OF: Readonly<Record<SideChoice, Move['side']>> = {
  front: { kind: 'fixed', side: 'front' },
  rear: { kind: 'fixed', side: 'rear' },
  'free-front': { kind: 'free', usual: 'front' },
  'free-rear': { kind: 'free', usual: 'rear' },
  'over-front': { kind: 'directed', usual: 'front' },
  'over-rear': { kind: 'directed', usual: 'rear' },
  both: { kind: 'both' },
  none: { kind: 'none' },
};

const sideOf = (choice: SideChoice): Move['side'] => SIDE_OF[choice];

function choiceOf(side: Move['side']): SideChoice {
  switch (side.kind) {
    case 'fixed':
      return side.side;
    case 'free':
      return `free-${side.usual}`;
    case 'directed':
      return `over-${side.usual}`;
    default:
      return side.kind;
  }
}
