/** Lines of a text, and the size of its letters. */
export interface FittedLines {
  readonly lines: readonly string[];
  /** Pixels. */
  readonly size: number;
}

/** Height of a line beside the size of its letters: they are all capitals. */
export const LINE_HEIGHT = 0.92;
/** So much of the place is used at the most. */
const FILLS = 0.96;

/**
 * A text as large as its place allows, on one line or on two.
 *
 * @param widthOf the width of a line whose letters are one pixel in size
 */
export function fittedLines(
  text: string,
  place: { readonly width: number; readonly height: number },
  widthOf: (line: string) => number,
): FittedLines {
  const words = text.split(' ');
  const ways = words.map((_, i) =>
    [words.slice(0, words.length - i).join(' '), words.slice(words.length - i).join(' ')].filter(
      (line) => line !== '',
    ),
  );
  const sizes = ways.map((lines): FittedLines => {
    const widest = Math.max(...lines.map(widthOf), Number.EPSILON);
    const size = FILLS * Math.min(place.height / (lines.length * LINE_HEIGHT), place.width / widest);
    return { lines, size };
  });
  return sizes.reduce((best, way) => (way.size > best.size ? way : best));
}
