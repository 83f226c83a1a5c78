import { useMemo } from 'react';
import { PACE_FACTORS } from '@eurhythm/core/body';
import { tempoWords } from '@eurhythm/core/plan';
import { comboOfRef } from '@eurhythm/core/rounds';
import type { ComboBlockDto } from '@eurhythm/contract';
import { useBook, useGym } from '../../../../server/gymData.ts';
import { Button } from '../../../../ui/buttons/Button.tsx';
import { useCombosById } from '../../useComboNames.ts';

const NO_LANES: NonNullable<ComboBlockDto['lanes']> = [];

interface TempoWordButtonsProps {
  readonly block: ComboBlockDto;
  onTempo(bpm: number): void;
}

/** Slow and full, as the book and the gym's pace make them for the combos of a block. */
export function TempoWordButtons({ block, onTempo }: TempoWordButtonsProps) {
  const book = useBook();
  const byId = useCombosById();
  const { school } = useGym();
  const { combos, lanes = NO_LANES } = block;
  const words = useMemo(() => {
    const refs = [...combos, ...lanes.flatMap((lane) => lane.combos)];
    const known = refs.flatMap((ref) => comboOfRef(ref, '', byId) ?? []);
    return tempoWords(known, book, PACE_FACTORS[school.pace]);
  }, [combos, lanes, byId, book, school.pace]);
  if (!words) return null;
  return (
    <div className="col-span-4 flex items-end gap-2">
      <Button onClick={() => onTempo(words.slow)}>Slow: {words.slow}</Button>
      <Button onClick={() => onTempo(words.full)}>Full: {words.full}</Button>
    </div>
  );
}
