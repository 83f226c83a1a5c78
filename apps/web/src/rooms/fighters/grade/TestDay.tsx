import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { PaperCautions } from '../../../ui/panels/PaperCautions.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { PlainButton } from '../../../ui/buttons/PlainButton.tsx';
import { ClassGaps } from '../class/ClassGaps.tsx';
import { SignSheet } from './SignSheet.tsx';
import { useTestSession } from './useTestSession.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** The day of a test: who takes part for a grade, what is still missing for each, a session from what is asked, and their sheets. */
export function TestDay() {
  const { gradeId } = useParams();
  const navigate = useNavigate();
  const { data: checks } = useQuery(queries.checks([]));
  const [by, setBy] = useState('');
  const [second, setSecond] = useState('');
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const plan = useTestSession();
  if (!checks) return null;
  const grades = [...new Map(checks.map((check) => [check.gradeId, check.grade]))];
  const chosen = gradeId ?? grades[0]?.[0];
  const all = checks.filter((check) => check.gradeId === chosen).sort((a, b) => b.met - a.met);
  const taking = all.filter(({ fighterId }) => !out.has(fighterId));
  if (all.length === 0)
    return (
      <div className="mx-auto w-full max-w-4xl px-6 pt-8">
        <Heading className="mb-4 text-3xl">Test day</Heading>
        <Plain>Nobody is on the way to a grade that asks for something. Say what grades ask for first.</Plain>
        <ButtonLink to="/gym/requirements">What grades ask for</ButtonLink>
      </div>
    );
  const swap = (id: string): void => {
    const next = new Set(out);
    if (!next.delete(id)) next.add(id);
    setOut(next);
  };
  return (
    <article className="print-card mx-auto w-full max-w-4xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">Test day: {all[0]!.grade}</Heading>
        <div className="no-print flex flex-wrap items-end gap-3">
          <ChoiceField
            label="For the grade"
            className="w-40"
            value={chosen!}
            choices={grades.map(([value, label]) => ({ value, label }))}
            onChange={(value) => void navigate(`/fighters/test-day/${value}`)}
          />
          <Button onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </Button>
          <Button onClick={() => plan.make(all[0]!)} disabled={plan.isPending}>
            Make its session
          </Button>
        </div>
      </div>
      {plan.message !== '' && (
        <p role="alert" className="pb-3 font-semibold text-caution">
          {plan.message}
        </p>
      )}
      <div className="no-print grid max-w-xl grid-cols-2 gap-3 pb-4">
        <TextField label="Coach, who signs" value={by} onChange={(e) => setBy(e.target.value)} />
        <TextField label="Second examiner" value={second} onChange={(e) => setSecond(e.target.value)} />
      </div>
      <div role="group" aria-label="Who takes part" className="no-print flex flex-wrap gap-1.5 pb-4">
        {all.map(({ fighterId, name, met, lines }) => (
          <PlainButton key={fighterId} isOn={!out.has(fighterId)} onPress={() => swap(fighterId)}>
            {name} {met}/{lines.length}
          </PlainButton>
        ))}
      </div>
      <div className="no-print pb-8">
        <ClassGaps checks={taking} />
      </div>
      {taking.length === 0 && <Plain>Nobody takes part.</Plain>}
      <div className="space-y-8">
        {taking.map((check) => (
          <SignSheet
            key={`${check.fighterId} ${check.gradeId}`}
            check={check}
            signedBy={by.trim()}
            second={second.trim()}
            page={`/fighters/test-day/${chosen}`}
          />
        ))}
      </div>
      <PaperCautions className="hidden print:block" />
    </article>
  );
}
