import { useMemo } from 'react';
import { needsReading, readWords, type WordsRead } from '@eurhythm/core/calls';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import { useDebounced } from '../../../ui/useDebounced.ts';

/** Nothing is asked about a word that is still being typed. */
const RESTS_FOR = 350;

/** What is typed as words and not in the notation, read as a line; null where there is nothing to read. */
export function useWordsRead(text: string, book: MoveBook, lead: Lead): WordsRead | null {
  const rested = useDebounced(text, RESTS_FOR);
  return useMemo(() => {
    if (!needsReading(text, book)) return null;
    const read = readWords(text, book, lead);
    return read.line !== null || rested === text ? read : null;
  }, [text, rested, book, lead]);
}
