import type { Move } from '@eurhythm/core/moves';
import type { SaveMoveDto } from './moves.ts';

/** The move that a form describes. */
export function moveFromForm(code: string, form: SaveMoveDto): Move {
  const { sayLong, sayShort, side, forward, right, surface, target, easier, ...same } = form;
  return {
    ...same,
    code,
    say: { long: sayLong, short: sayShort },
    side:
      side === 'front' || side === 'rear'
        ? { kind: 'fixed', side }
        : side === 'free-front'
          ? { kind: 'free', usual: 'front' }
          : side === 'free-rear'
            ? { kind: 'free', usual: 'rear' }
            : { kind: side },
    step: { forward, right },
    surface: surface === '' ? null : surface,
    target: target === '' ? null : target,
    easier: easier ?? null,
    role: form.role ?? null,
  };
}

/** The form that describes a move. */
export function formFromMove(move: Move): SaveMoveDto {
  const { code: _, say, side, step, surface, target, parts, faults, cautions, aliases, ...same } = move;
  return {
    ...same,
    sayLong: say.long,
    sayShort: say.short,
    side: side.kind === 'fixed' ? side.side : side.kind === 'free' ? `free-${side.usual}` : side.kind,
    forward: step.forward,
    right: step.right,
    surface: surface ?? '',
    target: target ?? '',
    parts: parts.map((part) => ({ ...part })),
    faults: [...faults],
    cautions: [...cautions],
    aliases: [...aliases],
  };
}
