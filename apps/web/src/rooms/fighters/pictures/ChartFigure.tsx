import { BarChart, CustomChart, LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';
import { Download } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';
import { Button } from '../../../ui/buttons/Button.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { saveAs, saveFile } from '../../../ui/saveAs.ts';
import { useTheme } from '../../../ui/theme/useTheme.ts';
import { inksOf, type ChartInks } from './chartInks.ts';

register([
  BarChart,
  CustomChart,
  LineChart,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
  SVGRenderer,
  CanvasRenderer,
]);

/** A picture that is taken away has this many points, each of two dots. */
const TAKEN = { width: 960, height: 480, devicePixelRatio: 2 } as const;

/** Draws a picture with these inks; days are written as the gym writes them. */
export type Draw = (inks: ChartInks, tellDay: (at: number | string) => string) => Record<string, unknown>;

export interface ChartFigureProps {
  /** The same from one drawing to the next as long as what it shows is. */
  readonly draw: Draw;
  /** The same in words. */
  readonly label: string;
  /** Of the files that are taken away. */
  readonly name: string;
  /** What it shows, as a file; put together when somebody takes it. */
  csv(): string;
  readonly className: string;
  /** It has so many marks that each of them as a thing of its own would be slow. */
  readonly isDense?: boolean;
  /** What stands beside the presses. */
  readonly children?: ReactNode;
}

function optionOf(draw: Draw, inks: ChartInks, dates: ReturnType<typeof useDates>): Record<string, unknown> {
  return {
    animation: false,
    textStyle: { fontFamily: inks.font, color: inks.quiet },
    ...draw(inks, (at) => dates.tell(at, 'short')),
  };
}

/** A picture to look at and to take away. */
export function ChartFigure({
  draw,
  label,
  name,
  csv,
  className,
  isDense = false,
  children,
}: ChartFigureProps) {
  const dates = useDates();
  const host = useRef<HTMLDivElement>(null);
  const theme = useTheme();
  useEffect(() => {
    const element = host.current!;
    const chart = init(element, null, { renderer: isDense ? 'canvas' : 'svg' });
    chart.setOption(optionOf(draw, inksOf(element), dates));
    // An observer tells the size once more at the beginning: a picture of that size stands already.
    const observer = new ResizeObserver(() => {
      const { clientWidth, clientHeight } = element;
      if (clientWidth !== chart.getWidth() || clientHeight !== chart.getHeight()) chart.resize();
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [draw, theme, dates, isDense]);
  const takePicture = (): void => {
    const chart = init(document.createElement('div'), null, { renderer: 'canvas', ...TAKEN });
    const inks = inksOf(host.current!);
    chart.setOption(optionOf(draw, inks, dates));
    const url = chart.getDataURL({ type: 'png', pixelRatio: 2, backgroundColor: inks.canvas });
    chart.dispose();
    saveAs(`${name}.png`, url);
  };
  const takeTable = (): void => saveFile(`${name}.csv`, csv(), 'text/csv');
  return (
    <>
      <div ref={host} className={className} role="img" aria-label={label} />
      <span className="no-print flex flex-wrap gap-1">
        <Button weight="bare" aria-label={`Picture of ${name}`} onClick={takePicture}>
          <Download size={16} aria-hidden /> Picture
        </Button>
        <Button weight="bare" aria-label={`Table of ${name}`} onClick={takeTable}>
          <Download size={16} aria-hidden /> Table
        </Button>
        {children}
      </span>
    </>
  );
}
