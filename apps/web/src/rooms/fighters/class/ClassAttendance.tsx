import { howMany } from '@eurhythm/core/units';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { meanAttendance } from '@eurhythm/core/progress';
import { queries } from '../../../server/queries.ts';
import { Part } from '../../../ui/panels/Panel.tsx';
import { attendanceOption, attendanceTable } from '../pictures/attendanceOption.ts';
import type { Draw } from '../pictures/ChartFigure.tsx';
import { Picture } from '../pictures/Picture.tsx';

/** How many came to a class on average, week by week. */
export function ClassAttendance({ gradeId }: { gradeId?: string }) {
  const { data } = useQuery(queries.attended(gradeId));
  const weeks = useMemo(
    () => data?.map(({ week, people }) => ({ week, count: Math.round(10 * people) / 10 })) ?? [],
    [data],
  );
  const draw = useCallback<Draw>((inks, tellDay) => attendanceOption(weeks, inks, tellDay), [weeks]);
  if (!data || data.length === 0) return null;
  const { classes, people } = meanAttendance(data);
  const mean = people.toFixed(1);
  return (
    <Part
      title="Who came"
      aside={`${howMany(classes, 'class', 'classes')} in ${howMany(data.length, 'week')}, ${mean} people on average`}
    >
      <Picture
        draw={draw}
        label={`People in a class, by week: ${mean} on average over ${howMany(classes, 'class', 'classes')}.`}
        name="classes"
        className="h-40"
        table={() => attendanceTable(weeks, 'people in a class')}
        of="the weeks"
      />
    </Part>
  );
}
