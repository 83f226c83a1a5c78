import type { ComboAnalysis, Finding } from '@eurhythm/core/body';

export interface LineTextProps {
  readonly value: string;
  readonly analysis: ComboAnalysis | null;
  /** A new line is typed at once. */
  readonly takesFocus: boolean;
  readonly findings: readonly Finding[];
  onChange(line: string): void;
  onHear(): void;
  /** A stretch of the text to show as chosen. */
  readonly chosen: { readonly from: number; readonly to: number } | null;
}

/** The frame of the line, the same before it can be written in and after. */
export const LINE_BOX =
  'rounded-md border-2 border-ink bg-paper focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-front';
