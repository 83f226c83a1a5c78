import type { SaveSheetDto, SheetView } from '@eurhythm/contract';

/** What is kept of a sheet, without whose it is and its version. */
export const sheetOf = ({ present, size, rotations, callsNames = false }: SheetView): SaveSheetDto => ({
  present,
  size,
  rotations,
  callsNames,
});
