/** Colours and letters of the page that a picture stands on. */
export interface ChartInks {
  readonly ink: string;
  readonly quiet: string;
  readonly rule: string;
  readonly canvas: string;
  readonly front: string;
  readonly rear: string;
  readonly font: string;
}

/** Those of the place where an element stands. */
export function inksOf(element: Element): ChartInks {
  const style = getComputedStyle(element);
  const token = (name: string): string => style.getPropertyValue(`--color-${name}`).trim();
  return {
    ink: token('ink'),
    quiet: token('quiet'),
    rule: token('rule'),
    canvas: token('canvas'),
    front: token('front'),
    rear: token('rear'),
    font: style.fontFamily,
  };
}
