/** Rows of the bench's table, and how times are taken and reported. */
export const rows = [];
export const row = (what, value, note = '') => rows.push({ what, value, note });

export function spread(milliseconds) {
  const took = [...milliseconds].sort((a, b) => a - b);
  return { median: took[took.length >> 1], p95: took[Math.floor(took.length * 0.95)] };
}

/** Median and 95th percentile of the milliseconds that `work` takes. */
export function timed(work, times) {
  for (let i = 0; i < Math.min(20, times); i++) work();
  return spread(
    Array.from({ length: times }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );
}
export const ms = (x) => `${x.toFixed(x < 1 ? 3 : 1)} ms`;
export const both = ({ median, p95 }) => `${ms(median)}, p95 ${ms(p95)}`;

export function printTable() {
  const widths = ['what', 'value'].map((column) => Math.max(...rows.map((each) => each[column].length)));
  for (const { what, value, note } of rows)
    console.log(`${what.padEnd(widths[0])}  ${value.padEnd(widths[1])}  ${note}`);
}
