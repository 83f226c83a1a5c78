import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Pin } from './stripPicture.ts';
import type { StripScale } from './stripScales.ts';

/** A change of the line that is made on its strip. */
export type StripEdit =
  | { readonly kind: 'nudge'; readonly quarters: number }
  | { readonly kind: 'height'; readonly up: 1 | -1 }
  | { readonly kind: 'remove' };

export type OnStripEdit = (pin: Pin, edit: StripEdit) => void;

/** What a key on a pin asks for; null when it is no edit. */
export function editOfKey({ key, altKey }: KeyboardEvent<SVGGElement>): StripEdit | null {
  if (key === 'Delete' || key === 'Backspace') return { kind: 'remove' };
  if (!altKey) return null;
  if (key === 'ArrowLeft') return { kind: 'nudge', quarters: -1 };
  if (key === 'ArrowRight') return { kind: 'nudge', quarters: 1 };
  if (key === 'ArrowUp') return { kind: 'height', up: 1 };
  return key === 'ArrowDown' ? { kind: 'height', up: -1 } : null;
}

/** Dragging a pin: along the tape by quarter beats, up and down by heights, applied step by step. */
export function useDrag(pin: Pin, quarter: number, scale: StripScale, onEdit: OnStripEdit | undefined) {
  const from = useRef<{ x: number; y: number; quarters: number; heights: number } | null>(null);
  if (!onEdit) return {};
  const height = (scale.heights.head - scale.heights.low) / 2;
  return {
    style: { touchAction: 'none' },
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = { x: event.clientX, y: event.clientY, quarters: 0, heights: 0 };
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (!from.current) return;
      const quarters = Math.round((event.clientX - from.current.x) / quarter);
      const heights = Math.round((from.current.y - event.clientY) / height);
      if (quarters !== from.current.quarters)
        onEdit(pin, { kind: 'nudge', quarters: quarters - from.current.quarters });
      else if (heights !== from.current.heights)
        onEdit(pin, { kind: 'height', up: heights > from.current.heights ? 1 : -1 });
      from.current = { ...from.current, quarters, heights };
    },
    onPointerUp: () => {
      from.current = null;
    },
  };
}
