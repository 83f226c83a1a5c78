import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { toast } from 'sonner';
import type { GradeCheckView, MarkShownDto } from '@eurhythm/contract';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { useDates } from '../../../ui/fields/dates.ts';

/** The check list of a grade: what the log shows, with its days; what only a coach sees is marked here. */
export function CheckLines({ check, by }: { check: GradeCheckView; by: string }) {
  const { inSentence } = useDates();
  const client = useQueryClient();
  const mark = useWrite<unknown, { requirementId: string; isShown: boolean }>(
    ({ requirementId, isShown }) => {
      const body: MarkShownDto = { isShown, day: format(new Date(), 'yyyy-MM-dd'), by: by.trim() };
      return putRequest(SUBJECTS.shown, `fighters/${check.fighterId}/shown/${requirementId}`, body);
    },
    {
      onSuccess: () => client.invalidateQueries(),
      onError: (error) => toast.error(error.message),
    },
  );
  return (
    <ol className="print-plain">
      {check.lines.map(({ requirement, asked, isMet, evidence, missing }) => (
        <li key={requirement.id} className="grid grid-cols-[2rem_1fr_auto] gap-x-2 border-b border-rule py-2">
          <span role="img" aria-label={isMet ? 'is there' : 'is missing'} className="text-lg font-bold">
            {isMet ? '☑' : '☐'}
          </span>
          <div>
            <p className="font-semibold">{asked}</p>
            {evidence.map(({ text, day }, i) => (
              <p key={i} className="text-sm text-quiet">
                {inSentence(text)}
                {day && `, ${inSentence(day)}`}
              </p>
            ))}
            {missing !== '' && <p className="text-sm">{inSentence(missing)}</p>}
          </div>
          {requirement.kind === 'shown' && (
            <Button
              weight="bare"
              className="no-print"
              onClick={() => mark.mutate({ requirementId: requirement.id, isShown: !isMet })}
            >
              {isMet ? 'Not seen after all' : 'I saw it'}
            </Button>
          )}
        </li>
      ))}
    </ol>
  );
}
