/** Short lines of starter moves that other rooms begin with: a line of the book is named here and nowhere else. */
export const STARTER_LINES = {
  kick: 'r:round',
  pair: '1 2',
  rearStraight: '2',
  stepIn: 'in',
  stepOut: 'out',
} as const;
