import type { ChartInks } from './chartInks.ts';

type Option = Record<string, unknown>;

/** Axes are the same in every picture: a line below, thin rules across. */
export const bottomAxis = ({ ink, quiet }: Pick<ChartInks, 'ink' | 'quiet'>, more: Option): Option => ({
  axisLine: { lineStyle: { color: ink } },
  splitLine: { show: false },
  ...more,
  axisLabel: { color: quiet, hideOverlap: true, ...(more['axisLabel'] as Option | undefined) },
});

export const sideAxis = ({ quiet, rule }: Pick<ChartInks, 'quiet' | 'rule'>, more: Option = {}): Option => ({
  type: 'value',
  splitLine: { lineStyle: { color: rule } },
  ...more,
  axisLabel: { color: quiet, ...(more['axisLabel'] as Option | undefined) },
});

/** A filled shape, and an open one, in one colour: they are told apart in black and white too. */
export const filled = (color: string): Option => ({ color, borderColor: color, borderWidth: 1.5 });
export const open = (color: string, canvas: string): Option => ({ ...filled(color), color: canvas });
