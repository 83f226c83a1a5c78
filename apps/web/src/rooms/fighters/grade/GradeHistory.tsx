import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { WithdrawGradeDto, checkFields, type GradingView } from '@eurhythm/contract';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { TextField } from '../../../ui/fields/Field.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { Part, Plain, Sheet } from '../../../ui/panels/Panel.tsx';

interface GradeHistoryProps {
  readonly gradings: readonly GradingView[];
  readonly page: string;
}

/** The sheets that were signed, newest first; a grade that was passed by mistake is taken back here. */
export function GradeHistory({ gradings, page }: GradeHistoryProps) {
  const dates = useDates();
  const [wanted, setWanted] = useState<GradingView | null>(null);
  const tell = (day: string): string => dates.tell(`${day}T12:00`, 'long-dated');
  return (
    <Part title="Grades so far" className="pt-6">
      {gradings.length === 0 && <Plain>No sheet was signed here yet.</Plain>}
      <ul>
        {gradings.map((sheet) => (
          <li key={sheet.id} className="flex items-center justify-between gap-4 border-b border-rule py-1.5">
            <span>
              {tell(sheet.day)}: {sheet.grade}, {sheet.passed ? 'passed' : 'not yet'}. Signed by{' '}
              {sheet.signedBy}
              {sheet.secondExaminer && ` with ${sheet.secondExaminer}`}.
              {sheet.note !== '' && ` ${sheet.note}`}
              {sheet.reason && ` Passed although the sheet was not complete: ${sheet.reason}`}
              {sheet.withdrawn && (
                <strong className="block text-caution">
                  Taken back on {tell(sheet.withdrawn.day)} by {sheet.withdrawn.by}: {sheet.withdrawn.reason}
                </strong>
              )}
            </span>
            {sheet.passed && !sheet.withdrawn && (
              <Button weight="bare" className="no-print" onClick={() => setWanted(sheet)}>
                Take back
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Sheet
        open={wanted !== null}
        title={wanted ? `Take ${wanted.grade} back?` : ''}
        onClose={() => setWanted(null)}
      >
        {wanted && <WithdrawForm sheet={wanted} page={page} onDone={() => setWanted(null)} />}
      </Sheet>
    </Part>
  );
}

interface WithdrawFormProps {
  readonly sheet: GradingView;
  readonly page: string;
  onDone(): void;
}

function WithdrawForm({ sheet, page, onDone }: WithdrawFormProps) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [by, setBy] = useState('');
  const [reason, setReason] = useState('');
  const withdraw = useWrite<GradingView, WithdrawGradeDto>(
    (body) => putRequest(SUBJECTS.grading, `gradings/${sheet.id}/withdrawn`, body, { page }),
    {
      onSuccess: async ({ grade }) => {
        toast(`${grade} is taken back. The sheet stays in the history.`);
        await client.invalidateQueries();
        onDone();
      },
      onError: errors.showFailure,
    },
  );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const body = { by: by.trim(), day: format(new Date(), 'yyyy-MM-dd'), reason: reason.trim() };
    const wrong = checkFields(WithdrawGradeDto, body);
    errors.show(wrong);
    if (wrong.length === 0) withdraw.mutate(body);
  };
  return (
    <form onSubmit={submit} noValidate className="space-y-4">
      <p>The grade before it comes back, and the sheet stays in the history with who took it back and why.</p>
      <TextField
        label="Who takes it back"
        value={by}
        error={errors.of('by')}
        onChange={(e) => setBy(e.target.value)}
      />
      <TextField
        label="Why"
        value={reason}
        error={errors.of('reason')}
        onChange={(e) => setReason(e.target.value)}
      />
      <Button type="submit" weight="main" disabled={withdraw.isPending}>
        Take it back
      </Button>
    </form>
  );
}
