import type { PresentDto, SaveSheetDto, SheetView } from '@eurhythm/contract';

/** What is kept of a sheet, without whose it is and its version. */
export const sheetOf = ({ present, size, rotations, callsNames = false }: SheetView): SaveSheetDto => ({
  present,
  size,
  rotations,
  callsNames,
});

/** Somebody who is there from the first rotation to the last, with nothing ticked yet. */
export const justCame = (fighterId: string): PresentDto => ({ fighterId, from: 0, until: null, ticked: [] });
