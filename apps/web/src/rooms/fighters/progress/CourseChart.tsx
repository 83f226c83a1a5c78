import { ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { CanvasRenderer, SVGRenderer } from 'echarts/renderers';
import { Download } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { CourseView } from '@eurhythm/contract';
import { Button } from '../../../ui/Button.tsx';
import { useDates } from '../../../ui/dates.ts';
import { saveAs } from '../../../ui/saveAs.ts';
import { useTheme } from '../../../ui/useTheme.ts';
import { inksOf } from './chartInks.ts';
import { courseOption } from './courseOption.ts';
import { toldValue } from '@eurhythm/core/progress';
import { courseCsv } from './courseText.ts';

register([ScatterChart, GridComponent, MarkAreaComponent, TooltipComponent, SVGRenderer, CanvasRenderer]);

/** A picture that is taken away has this many points, each of two dots. */
const TAKEN = { width: 960, height: 480, devicePixelRatio: 2 } as const;

/** A test over time with its trials and the usual range, to look at and to take away. */
export function CourseChart({ courses, name }: { courses: readonly CourseView[]; name: string }) {
  const dates = useDates();
  const host = useRef<HTMLDivElement>(null);
  const theme = useTheme();
  const tellDay = (at: number): string => dates.tell(at, 'short');
  useEffect(() => {
    const element = host.current!;
    const chart = init(element, null, { renderer: 'svg' });
    chart.setOption(courseOption(courses, inksOf(element), (at) => dates.tell(at, 'short')));
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(element);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [courses, theme, dates]);
  const takePicture = (): void => {
    const element = document.createElement('div');
    const chart = init(element, null, { renderer: 'canvas', ...TAKEN });
    const inks = inksOf(host.current!);
    chart.setOption(courseOption(courses, inks, tellDay));
    const url = chart.getDataURL({ type: 'png', pixelRatio: 2, backgroundColor: inks.canvas });
    chart.dispose();
    saveAs(`${name}.png`, url);
  };
  const takeTable = (): void => {
    const url = URL.createObjectURL(new Blob([courseCsv(courses)], { type: 'text/csv' }));
    saveAs(`${name}.csv`, url);
    setTimeout(() => URL.revokeObjectURL(url), 1000);
  };
  return (
    <>
      <div ref={host} className="h-64" role="img" aria-label={toldCourses(courses)} />
      <div className="flex flex-wrap gap-1">
        <Button weight="bare" onClick={takePicture}>
          <Download size={16} aria-hidden /> Picture
        </Button>
        <Button weight="bare" onClick={takeTable}>
          <Download size={16} aria-hidden /> Table
        </Button>
      </div>
    </>
  );
}

/** The same in words. */
function toldCourses(courses: readonly CourseView[]): string {
  return courses
    .map(({ title, kind, lead, trials, best, usual }) => {
      const told = toldValue(kind);
      const range = usual ? `, usually ${told(usual.low)} to ${told(usual.high)}` : '';
      return `${title}, ${lead} lead: ${trials} trials, best ${told(best)}${range}.`;
    })
    .join(' ');
}
