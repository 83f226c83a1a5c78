import type { Lead, Side } from '@eurhythm/core/moves';

export type HeadShape = 'round' | 'wedge' | 'spike' | 'bar' | 'foot';

export interface Pin {
  readonly index: number;
  readonly x: number;
  /** Centre of the head. */
  readonly y: number;
  readonly shape: HeadShape;
  readonly side: Side | null;
  readonly by: 'fighter' | 'holder';
  readonly feint: boolean;
  readonly power: 'touch' | 'normal' | 'full';
  readonly shout: boolean;
  /** Kept up from the pin before it. */
  readonly keptUp: boolean;
  /** Where its foot lands of a strike that steps; null where it stays, and for a step itself. */
  readonly step: 'through' | 'back' | null;
  /** How far along the tape its hand holds on; null where it lets go at once. */
  readonly holdsTo: number | null;
  readonly label: string;
  /** So many pixels higher than usual stands its label, for it does not fit beside its neighbours'. */
  readonly rise: number;
  readonly from: number;
  readonly to: number;
}

export interface TapePiece {
  readonly from: number;
  readonly to: number;
  readonly lead: Lead;
}

export interface StripPicture {
  readonly width: number;
  readonly height: number;
  readonly tapeY: number;
  readonly beatWidth: number;
  readonly xOfBeat: (beat: number) => number;
  readonly pins: readonly Pin[];
  readonly pieces: readonly TapePiece[];
  readonly notches: readonly { readonly x: number; readonly beat: number | null }[];
  /** Heads of the fighter's strikes in order, for the line of levels. */
  readonly levels: readonly { readonly x: number; readonly y: number }[];
}
