import { useState } from 'react';
import { toast } from 'sonner';
import { HALF, ONE } from '@eurhythm/core/units';
import { useBook, useGym } from '../../../server/gymData.ts';
import type { OnStripEdit } from '../../../strip/stripEdits.ts';
import type { Pin } from '../../../strip/stripPicture.ts';
import { useStable } from '../../../ui/useStable.ts';
import { editedLine, lineWithMove } from './editedLine.ts';

interface ChosenPlace {
  /** Which pin of the strip; −1 for a place in the text alone. */
  readonly index: number;
  readonly from: number;
  readonly to: number;
}

/** Edits of a line that are made on its strip or from the palette, and the place that is chosen for them. */
export function useLineEdits(line: string, change: (line: string) => void) {
  const book = useBook();
  const { school } = useGym();
  const [chosen, setChosen] = useState<ChosenPlace | null>(null);
  return {
    chosen,
    choosePlace: useStable(({ from, to }: { from: number; to: number }) =>
      setChosen({ index: -1, from, to }),
    ),
    choosePin: useStable(({ index, from, to }: Pin) => setChosen({ index, from, to })),
    /** Puts a move behind the chosen pin, or at the end. */
    put: useStable((word: string): void => {
      const from = chosen && chosen.index >= 0 ? chosen.from : null;
      const next = lineWithMove(line, book, from, word, school.rhythm === 'broken' ? HALF : ONE);
      if (next === null) toast.error('The line has a fault or is full. Mend it first; nothing is lost.');
      else change(next);
    }),
    editPin: useStable<Parameters<OnStripEdit>, void>((pin, edit) => {
      const next = editedLine(line, book, pin.from, edit);
      if (next !== null) change(next);
    }),
  };
}
