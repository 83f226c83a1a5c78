import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import {
  SignGradeDto,
  checkFields,
  type GradeCheckView,
  type GradingView,
  type SheetLineDto,
} from '@eurhythm/contract';
import { openInSheet } from '@eurhythm/core/progress';
import { newId } from '../../../server/api.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { LongTextField } from '../../../ui/fields/Field.tsx';
import { nextMark, sheetOf, sheetResult } from './sheetLines.ts';
import { useDates } from '../../../ui/fields/dates.ts';

interface SignSheetProps {
  readonly check: GradeCheckView;
  /** Who signs, and who examines beside. */
  readonly signedBy: string;
  readonly second: string;
  readonly page: string;
}

const MARKS = { passed: '✓', 'not yet': '–' } as const;

/** The sheet of a test: two examiners mark each line, and a coach signs. Nothing signs itself. */
export function SignSheet({ check, signedBy, second, page }: SignSheetProps) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [id] = useState(newId);
  const [lines, setLines] = useState<readonly SheetLineDto[]>(() => sheetOf(check));
  const [note, setNote] = useState('');
  const [reason, setReason] = useState('');
  /** What is open, once somebody wanted to sign all the same. */
  const [isAsked, setAsked] = useState(false);
  const sign = useWrite<GradingView, SignGradeDto>(
    (sheet) => putRequest(SUBJECTS.grading, `gradings/${id}`, sheet, { page }),
    {
      onSuccess: async ({ passed, grade }) => {
        toast(passed ? `${check.name} has ${grade} now.` : 'Kept. Nothing changed but the history.');
        await client.invalidateQueries();
      },
      onError: errors.showFailure,
    },
  );
  const { passed, open } = sheetResult(lines);
  const unmet = check.lines.flatMap(({ isMet, asked }) => (isMet ? [] : [asked]));
  const stillOpen = openInSheet({ lines, secondExaminer: second }, unmet);
  const trySign = (isPassed: boolean): void => {
    const needsReason = isPassed && stillOpen.length > 0;
    // Who signs is asked first.
    const asks = needsReason && signedBy !== '';
    setAsked(asks);
    if (asks && reason.trim() === '') return;
    const sheet: SignGradeDto = {
      fighterId: check.fighterId,
      gradeId: check.gradeId,
      day: format(new Date(), 'yyyy-MM-dd'),
      passed: isPassed,
      signedBy,
      secondExaminer: second,
      note,
      reason: needsReason ? reason.trim() : '',
      lines: [...lines],
    };
    const wrong = checkFields(SignGradeDto, sheet);
    errors.show(wrong);
    if (wrong.length === 0) sign.mutate(sheet);
  };
  const press = (i: number, who: 'first' | 'second'): void =>
    setLines(lines.map((line, j) => (i === j ? { ...line, [who]: nextMark(line[who]) } : line)));
  return (
    <section aria-label={`Sheet of ${check.name}`}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-[1.5px] border-ink text-sm">
            <th scope="col">
              {check.name}, for {check.grade}
            </th>
            <th scope="col" className="text-center">
              {signedBy || 'First'}
            </th>
            <th scope="col" className="text-center">
              {second || 'Second'}
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line, i) => (
            <SheetRow key={i} line={line} onPress={(who) => press(i, who)} />
          ))}
        </tbody>
      </table>
      <p className="py-2">
        {passed} of {lines.length} passed{open > 0 && `, ${open} not marked`}. ✓ passed, – not yet.
      </p>
      <LongTextField
        label="Note"
        className="no-print"
        value={note}
        error={errors.of('note')}
        onChange={(e) => setNote(e.target.value)}
      />
      {isAsked && stillOpen.length > 0 && (
        <StillOpen
          open={stillOpen}
          grade={check.grade}
          reason={reason}
          error={errors.of('reason')}
          onReason={setReason}
        />
      )}
      {errors.of('signedBy') !== undefined && (
        <p role="alert" className="pt-2 font-semibold text-caution">
          {errors.of('signedBy')}
        </p>
      )}
      <div className="no-print flex flex-wrap gap-3 pt-3">
        <Button weight="main" disabled={sign.isPending || sign.isSuccess} onClick={() => trySign(true)}>
          Sign: {check.grade}
        </Button>
        <Button disabled={sign.isPending || sign.isSuccess} onClick={() => trySign(false)}>
          Sign: not yet
        </Button>
      </div>
      <p className="hidden pt-8 print:block">
        Signed: ________________________ &nbsp; ________________________
      </p>
    </section>
  );
}

interface SheetRowProps {
  readonly line: SheetLineDto;
  onPress(who: 'first' | 'second'): void;
}

/** A line of the sheet with what the log shows of it, and a mark of each examiner. */
function SheetRow({ line, onPress }: SheetRowProps) {
  const { inSentence } = useDates();
  return (
    <tr className="border-b border-rule">
      <td className="py-1.5 pr-3">
        <span className="font-semibold">{line.asked}</span>
        <span className="block text-sm text-quiet">{inSentence(line.evidence)}</span>
      </td>
      {(['first', 'second'] as const).map((who) => (
        <td key={who} className="text-center">
          <button
            type="button"
            aria-label={`${line.asked}, ${who} examiner: ${line[who] ?? 'not marked'}`}
            onClick={() => onPress(who)}
            className={`min-h-11 min-w-11 rounded border text-lg font-bold ${line[who] === null ? 'border-dashed border-rule text-quiet' : 'border-ink'}`}
          >
            {line[who] === null ? '·' : MARKS[line[who]]}
          </button>
        </td>
      ))}
    </tr>
  );
}

interface StillOpenProps {
  readonly open: readonly string[];
  readonly grade: string;
  readonly reason: string;
  readonly error: string | undefined;
  onReason(reason: string): void;
}

/** What is open in a sheet that is signed as passed, and why it is passed all the same. */
function StillOpen({ open, grade, reason, error, onReason }: StillOpenProps) {
  return (
    <div role="alert" className="no-print mt-3 rounded-md border-2 border-caution p-3">
      <p className="font-semibold">Not complete yet:</p>
      <ul className="list-disc pl-5">
        {open.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      <LongTextField
        label={`Why you pass ${grade} anyway`}
        className="pt-2"
        value={reason}
        error={error}
        onChange={(e) => onReason(e.target.value)}
      />
    </div>
  );
}
