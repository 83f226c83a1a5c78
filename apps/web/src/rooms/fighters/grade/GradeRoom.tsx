import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useParams } from 'react-router';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { TextField } from '../../../ui/fields/Field.tsx';
import { PaperCautions } from '../../../ui/panels/PaperCautions.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { CheckLines } from './CheckLines.tsx';
import { GradeHistory } from './GradeHistory.tsx';
import { SignSheet } from './SignSheet.tsx';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** One fighter's way to the next grade: the check list that fills itself, the sheet that a coach signs, and what was signed. */
export function GradeRoom() {
  const { id = '' } = useParams();
  const { data: log } = useQuery(queries.fighterLog(id));
  const { data: progress } = useQuery(queries.fighterProgress(id));
  const [by, setBy] = useState('');
  const [second, setSecond] = useState('');
  if (!log || !progress) return null;
  const { check, gradings } = progress;
  return (
    <article className="print-card mx-auto w-full max-w-4xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <p className="text-sm text-quiet">{log.fighter.grade} now</p>
          <Heading className="text-3xl">
            {log.fighter.name}
            {check && `: for ${check.grade}`}
          </Heading>
        </div>
        <div className="no-print flex gap-3">
          <Button onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </Button>
          <ButtonLink to={`/fighters/${id}`}>Back to the log</ButtonLink>
        </div>
      </div>
      {!check && (
        <Plain>The next grade asks for nothing yet, or there is none. Gym, What grades ask for.</Plain>
      )}
      {check && (
        <>
          <div className="no-print grid max-w-xl grid-cols-2 gap-3 pb-4">
            <TextField label="Coach, who signs" value={by} onChange={(e) => setBy(e.target.value)} />
            <TextField label="Second examiner" value={second} onChange={(e) => setSecond(e.target.value)} />
          </div>
          <Part
            title="Check list"
            className="no-print"
            aside={`${check.met} of ${check.lines.length} are there`}
          >
            <CheckLines check={check} by={by} />
          </Part>
          <Part title="Sheet" aside="nothing signs itself" className="pt-6">
            <SignSheet
              key={`${check.gradeId} ${check.met}`}
              check={check}
              signedBy={by.trim()}
              second={second.trim()}
              page={`/fighters/${id}/grade`}
            />
          </Part>
        </>
      )}
      <GradeHistory gradings={gradings} page={`/fighters/${id}/grade`} />
      <PaperCautions className="hidden print:block" />
    </article>
  );
}
