import type { Lead, StanceKind } from '../moves/index.ts';

/** Where and how a fighter stands at an instant. */
export interface FighterState {
  /** Which foot is in front. */
  readonly lead: Lead;
  /** Degrees away from the opponent, clockwise from above, −180 < facing ≤ 180; 0 faces the opponent. */
  readonly facing: number;
  /** Steps from the start: toward the opponent, and to the fighter's right as it stood at the start. */
  readonly place: { readonly forward: number; readonly right: number };
  /** The leg that has not come down since it kicked. */
  readonly raised: 'left' | 'right' | null;
  /** The hand that has hold of the partner since a grab or a pin, until it does something else. */
  readonly holding: 'left' | 'right' | null;
  readonly stance: StanceKind;
}

/**
 * @example
 * startState('left').lead // 'left'
 */
export function startState(lead: Lead): FighterState {
  return {
    lead,
    facing: 0,
    place: { forward: 0, right: 0 },
    raised: null,
    holding: null,
    stance: 'fighting',
  };
}
