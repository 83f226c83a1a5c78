import { howMany } from '@eurhythm/core/units';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { readCodeOf } from '@eurhythm/core/home';
import type { FighterView, HomeReportView } from '@eurhythm/contract';
import { putRequest, deleteRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useWrite } from '../../sync/useSync.ts';
import { useDates } from '../../ui/fields/dates.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { TextField } from '../../ui/fields/Field.tsx';
import { Fold } from '../../ui/panels/Fold.tsx';
import { codeInFile } from './codeInFile.ts';

/** A file that a page for home makes is far smaller. */
const MOST_BYTES = 20_000;

interface HomeReportsProps {
  readonly fighter: FighterView;
  readonly reports: readonly HomeReportView[];
}

/** What the fighter says was done at home: the code is typed, or its file is dropped here. Nobody of the gym saw it. */
export function HomeReports({ fighter, reports }: HomeReportsProps) {
  const { id } = fighter;
  const client = useQueryClient();
  const dates = useDates();
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  const take = useWrite<HomeReportView, string>(
    (code) => putRequest(SUBJECTS.home, `fighters/${id}/home/${code}`, {}, { page: `/fighters/${id}` }),
    {
      onSuccess: async () => {
        setTyped('');
        await client.invalidateQueries();
      },
      onError: (error) => setWrong(error.message),
    },
  );
  const remove = useWrite<unknown, string>(
    (code) => deleteRequest(SUBJECTS.home, `fighters/${id}/home/${code}`),
    {
      onSuccess: () => client.invalidateQueries(),
      onError: (error) => toast.error(error.message),
    },
  );
  /** What is mistyped, or somebody else's, is reported at once, also without the server. */
  const enter = (text: string): void => {
    const read = readCodeOf(fighter, text);
    if (!read.ok) return setWrong(read.message);
    setWrong('');
    take.mutate(read.report.code);
  };
  const drop = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const code = file.size > MOST_BYTES ? null : codeInFile(await file.text());
    if (code === null) setWrong('This is no file from a page for home.');
    else enter(code);
  };
  return (
    <Fold
      title="At home"
      aside={reports.length === 0 ? 'nothing yet' : `${reports.length} reported, not seen`}
    >
      <form
        className="flex flex-wrap items-start gap-3 py-3"
        onSubmit={(event) => {
          event.preventDefault();
          enter(typed);
        }}
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          void drop(event.dataTransfer.files[0]);
        }}
      >
        <TextField
          label="Code from home"
          className="min-w-56 flex-1"
          value={typed}
          error={wrong === '' ? undefined : wrong}
          hint="or drop its file here"
          onChange={(event) => {
            setTyped(event.target.value);
            setWrong('');
          }}
        />
        <Button type="submit" className="mt-6" disabled={take.isPending}>
          Log it
        </Button>
        <label className="mt-6 inline-flex min-h-11 cursor-pointer items-center px-2 underline underline-offset-4">
          Choose a file
          <input
            type="file"
            accept="application/json,.json"
            className="sr-only"
            onChange={(event) => {
              void drop(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
      </form>
      <ul aria-label="At home">
        {reports.map((report) => (
          <li
            key={report.id}
            className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-2"
          >
            <span>
              {dates.tell(report.at, 'short')} · {report.title} · {tellHome(report)}
            </span>
            <Button weight="bare" onClick={() => remove.mutate(report.id)}>
              Take out
            </Button>
          </li>
        ))}
      </ul>
    </Fold>
  );
}

function tellHome({ finished, rounds, effort, bursts }: HomeReportView): string {
  return [
    `${finished} of ${howMany(rounds, 'round')}`,
    ...(effort === null ? [] : [`effort ${effort}`]),
    ...bursts.map(({ lead, count }) => `${count} in ten seconds, ${lead} lead`),
  ].join(' · ');
}
