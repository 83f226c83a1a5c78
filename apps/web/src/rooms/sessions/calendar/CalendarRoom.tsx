import { useQuery } from '@tanstack/react-query';
import {
  addMonths,
  eachDayOfInterval,
  endOfMonth,
  endOfWeek,
  format,
  isSameDay,
  isSameMonth,
  isToday,
  startOfMonth,
  startOfWeek,
} from 'date-fns';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { SessionSummary, ThemeView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { ButtonLink, Button } from '../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import { Gradings } from './Gradings.tsx';
import { Themes } from './Themes.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** A month of classes with the themes of its weeks. */
export function CalendarRoom() {
  const dates = useDates();
  const { data: sessions } = useQuery(queries.sessions());
  const { data: themes = [] } = useQuery(queries.themes());
  const [month, setMonth] = useState(() => startOfMonth(new Date()));
  if (!sessions) return null;
  const days = eachDayOfInterval({
    start: startOfWeek(month, dates.week),
    end: endOfWeek(endOfMonth(month), dates.week),
  });
  const weeks = Array.from({ length: days.length / 7 }, (_, i) => days.slice(i * 7, i * 7 + 7));
  return (
    <div className="mx-auto w-full max-w-6xl px-8 py-5">
      <header className="mb-4 flex flex-wrap items-center justify-between gap-3">
        <div className="flex flex-wrap items-center gap-1">
          <IconButton label="Month before" onClick={() => setMonth(addMonths(month, -1))}>
            <ChevronLeft size={20} />
          </IconButton>
          <Heading className="w-64 text-center text-3xl max-sm:w-auto max-sm:text-2xl" aria-live="polite">
            {format(month, 'MMMM yyyy')}
          </Heading>
          <IconButton label="Month after" onClick={() => setMonth(addMonths(month, 1))}>
            <ChevronRight size={20} />
          </IconButton>
          <Button weight="bare" onClick={() => setMonth(startOfMonth(new Date()))}>
            This month
          </Button>
        </div>
        <span className="flex flex-wrap gap-3">
          <a
            href="/api/calendar.ics"
            download
            className="inline-flex min-h-11 items-center px-2 underline decoration-rule underline-offset-4"
          >
            All dates as iCalendar
          </a>
          <ButtonLink to="/sessions/season">Season</ButtonLink>
          <ButtonLink to="/sessions">Back to the sessions</ButtonLink>
        </span>
      </header>
      <div className="grid items-start gap-8 lg:grid-cols-[1fr_18rem]">
        <table className="w-full table-fixed border-collapse">
          <thead>
            <tr>
              {weeks[0]!.map((day) => (
                <th key={day.toISOString()} className="pb-1 text-left text-sm font-semibold text-quiet">
                  {format(day, 'EEE')}
                </th>
              ))}
            </tr>
          </thead>
          {weeks.map((week) => (
            <tbody key={week[0]!.toISOString()}>
              <ThemeRow week={week} themes={themes} />
              <tr>
                {week.map((day) => (
                  <Day
                    key={day.toISOString()}
                    day={day}
                    isOther={!isSameMonth(day, month)}
                    sessions={sessions}
                  />
                ))}
              </tr>
            </tbody>
          ))}
        </table>
        <div className="space-y-6">
          <Themes themes={themes} month={month} />
          <Gradings />
        </div>
      </div>
    </div>
  );
}

/** A strip of tape over the days of a week that have a theme. */
function ThemeRow({ week, themes }: { week: readonly Date[]; themes: readonly ThemeView[] }) {
  const [first, last] = [format(week[0]!, 'yyyy-MM-dd'), format(week[6]!, 'yyyy-MM-dd')];
  const own = themes.filter((theme) => theme.from <= last && theme.until >= first);
  return own.map((theme) => {
    const starts = week.findIndex((day) => format(day, 'yyyy-MM-dd') >= theme.from);
    const ends = week.findLastIndex((day) => format(day, 'yyyy-MM-dd') <= theme.until);
    return (
      <tr key={theme.id}>
        {starts > 0 && <td colSpan={starts} />}
        <td
          colSpan={ends - starts + 1}
          className={`h-6 truncate border-t border-canvas px-2 text-sm font-semibold text-on-tape ${theme.until > last || theme.from < first ? 'bg-tape-right' : 'bg-tape'}`}
        >
          {theme.title}
        </td>
        {ends < 6 && <td colSpan={6 - ends} />}
      </tr>
    );
  });
}

function Day({
  day,
  isOther,
  sessions,
}: {
  day: Date;
  isOther: boolean;
  sessions: readonly SessionSummary[];
}) {
  const dates = useDates();
  const own = sessions.filter(
    ({ plannedFor }) => plannedFor !== null && isSameDay(new Date(plannedFor), day),
  );
  return (
    <td className={`h-20 border border-rule p-1 align-top ${isOther ? 'bg-hint/40' : 'bg-paper'}`}>
      <span
        className={`text-sm ${isToday(day) ? 'rounded bg-ink px-1.5 font-bold text-canvas' : 'text-quiet'}`}
      >
        <time dateTime={format(day, 'yyyy-MM-dd')}>{format(day, 'd')}</time>
      </span>
      <ul>
        {own.map((session) => (
          <li key={session.id}>
            <Link
              to={`/sessions/${session.id}`}
              className="block border-l-4 border-front px-1.5 py-0.5 text-sm leading-tight hover:bg-hint"
            >
              <span className="tabular text-quiet">{dates.tell(session.plannedFor!, 'time')}</span>{' '}
              <strong>{session.title}</strong>
            </Link>
          </li>
        ))}
      </ul>
    </td>
  );
}
