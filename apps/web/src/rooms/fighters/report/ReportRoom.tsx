import { useQuery } from '@tanstack/react-query';
import { format, subWeeks } from 'date-fns';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { ReportView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { DayField } from '../../../ui/fields/DayFields.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { PaperCautions } from '../../../ui/panels/PaperCautions.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** A report is of a quarter of a year: its last four weeks against the eight before them. */
const WEEKS = 12;
const day = (at: Date): string => format(at, 'yyyy-MM-dd');

/** One page for a fighter or a parent, in plain words: what was trained, what changed for sure, what comes next. */
export function ReportRoom() {
  const { id = '' } = useParams();
  return <Reports asked={{ who: id }} back={{ to: `/fighters/${id}`, label: 'Back to the log' }} />;
}

/** The same for everybody of a grade, or for all who may train: a page each, printed at once. */
export function ClassReportsRoom() {
  const [search] = useSearchParams();
  const gradeId = search.get('grade');
  return (
    <Reports asked={gradeId ? { gradeId } : {}} back={{ to: '/fighters/class', label: 'Class progress' }} />
  );
}

interface ReportsProps {
  readonly asked: { readonly who?: string; readonly gradeId?: string };
  readonly back: { readonly to: string; readonly label: string };
}

function Reports({ asked, back }: ReportsProps) {
  const [from, setFrom] = useState(() => day(subWeeks(new Date(), WEEKS)));
  const [to, setTo] = useState(() => day(new Date()));
  const { data: reports } = useQuery(queries.reports({ ...asked, from, to }));
  return (
    <div className="mx-auto w-full max-w-3xl px-6 pt-8">
      <div className="no-print mb-6 flex flex-wrap items-end gap-3">
        <DayField label="From" value={from} onChange={setFrom} />
        <DayField label="to" value={to} onChange={setTo} />
        <Button weight="main" onClick={() => window.print()} disabled={!reports}>
          <Printer size={16} aria-hidden /> Print
        </Button>
        <ButtonLink to={back.to}>{back.label}</ButtonLink>
      </div>
      {reports?.length === 0 && <Plain>Nobody of this grade may train now.</Plain>}
      {reports?.map((report) => (
        <OneReport key={report.fighterId} report={report} from={from} to={to} />
      ))}
    </div>
  );
}

interface OneReportProps {
  readonly report: ReportView;
  readonly from: string;
  readonly to: string;
}

function OneReport({ report: { name, parts }, from, to }: OneReportProps) {
  const dates = useDates();
  const { data: gym } = useQuery(queries.gym());
  const tell = (when: string): string => dates.tell(`${when}T12:00:00`, 'long-dated');
  return (
    <article className="print-card not-first:mt-12 not-last:break-after-page">
      <p className="text-quiet">
        {gym?.name} · {tell(from)} to {tell(to)}
      </p>
      <Heading className="mb-4 border-b-2 border-ink pb-2 text-3xl">{name}</Heading>
      {parts.map(({ title, sentences }) => (
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
