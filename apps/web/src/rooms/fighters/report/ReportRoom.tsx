import { useQuery } from '@tanstack/react-query';
import { format, subWeeks } from 'date-fns';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useParams } from 'react-router';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/Button.tsx';
import { DayField } from '../../../ui/DayFields.tsx';
import { useDates } from '../../../ui/dates.ts';
import { PaperCautions } from '../../../ui/PaperCautions.tsx';
import { reportOf } from './reportOf.ts';

/** A report is usually of a quarter of a year. */
const WEEKS = 12;
const day = (at: Date): string => format(at, 'yyyy-MM-dd');

/** One page for a fighter or a parent, in plain words: what was trained, what changed clearly, what comes next. */
export function ReportRoom() {
  const { id = '' } = useParams();
  const dates = useDates();
  const [from, setFrom] = useState(() => day(subWeeks(new Date(), WEEKS)));
  const [to, setTo] = useState(() => day(new Date()));
  const { data: gym } = useQuery(queries.gym());
  const { data: log } = useQuery(queries.fighterLog(id));
  const { data: progress } = useQuery(queries.fighterProgress(id, { from, to }));
  if (!gym || !log) return null;
  const report = progress && reportOf(log, progress, from, to);
  const tell = (when: string): string => dates.tell(`${when}T12:00:00`, 'long-dated');
  return (
    <article className="print-card mx-auto w-full max-w-3xl px-6 pt-8">
      <div className="no-print mb-6 flex flex-wrap items-end gap-3">
        <DayField label="From" value={from} onChange={setFrom} />
        <DayField label="to" value={to} onChange={setTo} />
        <Button weight="main" onClick={() => window.print()}>
          <Printer size={16} aria-hidden /> Print
        </Button>
        <ButtonLink to={`/fighters/${id}`}>Back to the log</ButtonLink>
      </div>
      <p className="text-quiet">
        {gym.name} · {tell(from)} to {tell(to)}
      </p>
      <h1 className="mb-4 border-b-2 border-ink pb-2 text-3xl">{log.fighter.name}</h1>
      {report?.map(({ title, sentences }) => (
        <section key={title} className="break-inside-avoid pb-4">
          <h2 className="text-xl">{title}</h2>
          <ul className="list-disc pl-5">
            {sentences.map((sentence) => (
              <li key={sentence}>{dates.inSentence(sentence)}</li>
            ))}
          </ul>
        </section>
      ))}
      <PaperCautions />
    </article>
  );
}
