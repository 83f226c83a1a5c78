/** Size of a small line, in its own units. */
const WIDE = 180;
const HIGH = 28;
const EDGE = 4;

/** A line shows at least this part of its middle from top to bottom, so that noise looks as small as it is. */
const LEAST_PART = 0.4;

/** A course of a test in the height of a line of text, between its least and its most. */
export function SmallLine({
  values,
  textOf,
}: {
  values: readonly number[];
  textOf: (value: number) => string;
}) {
  if (values.length === 0) return <span className="text-sm text-quiet">no trial</span>;
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const x = (i: number): number =>
    values.length === 1 ? WIDE / 2 : EDGE + (i * (WIDE - 2 * EDGE)) / (values.length - 1);
  const middle = (low + high) / 2;
  const shown = Math.max(high - low, LEAST_PART * middle);
  const y = (value: number): number =>
    shown === 0 ? HIGH / 2 : HIGH / 2 - ((value - middle) * (HIGH - 2 * EDGE)) / shown;
  return (
    <span className="flex items-center gap-2">
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        className="h-7 w-44"
        role="img"
        aria-label={`${values.length} days, from ${textOf(values[0]!)} to ${textOf(values.at(-1)!)}`}
      >
        <polyline
          points={values.map((value, i) => `${x(i)},${y(value)}`).join(' ')}
          className="fill-none stroke-quiet"
          strokeWidth="1.5"
        />
        {values.map((value, i) => (
          <circle
            key={i}
            cx={x(i)}
            cy={y(value)}
            r={i === values.length - 1 ? 3.5 : 2}
            className="fill-ink"
          />
        ))}
      </svg>
      <span className="text-sm whitespace-nowrap text-quiet tabular">
        {high === low ? textOf(low) : `${textOf(low)} to ${textOf(high)}`}
      </span>
    </span>
  );
}
