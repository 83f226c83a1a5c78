import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { Printer } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import type { FighterView, PresentDto, SaveSheetDto, SheetView } from '@eurhythm/contract';
import { put } from '../../../app/api.ts';
import { PaperCautions } from '../../../app/Cautions.tsx';
import { queries } from '../../../app/queries.ts';
import { Button, ButtonLink } from '../../../ui/Button.tsx';
import { Part, Plain } from '../../../ui/Panel.tsx';
import { CheckIn } from './CheckIn.tsx';
import { Partners } from './Partners.tsx';

/** Who is here, what was checked at the door, and who works with whom; kept at every press, and printed. */
export function ClassSheet() {
  const { id = '' } = useParams();
  const { data: session, error } = useQuery(queries.session(id));
  const { data: saved } = useQuery(queries.sheet(id));
  const { data: fighters } = useQuery(queries.fighters());
  const { data: gym } = useQuery(queries.gym());
  if (error) return <Plain>{error.message}</Plain>;
  if (!session || !saved || !fighters || !gym) return null;
  return (
    <article className="print-card mx-auto w-full max-w-6xl px-8 py-5">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
        <div>
          <h1 className="text-3xl">{session.title}</h1>
          <p className="text-quiet">
            {session.plannedFor ? format(new Date(session.plannedFor), 'EEEE d MMMM, HH:mm') : 'No date'}
          </p>
        </div>
        <div className="no-print flex gap-3">
          <ButtonLink to={`/sessions/${id}`}>Back to the session</ButtonLink>
          <Button onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </Button>
        </div>
      </header>
      <OpenSheet
        key={id}
        saved={saved}
        fighters={fighters}
        ranks={gym.grades.map((grade) => grade.id)}
        checklist={gym.school.checklist}
      />
      <PaperCautions className="hidden print:block" />
    </article>
  );
}

interface OpenSheetProps {
  readonly saved: SheetView;
  readonly fighters: readonly FighterView[];
  /** Ids of the grades, lowest first. */
  readonly ranks: readonly string[];
  readonly checklist: readonly string[];
}

function OpenSheet({ saved, fighters, ranks, checklist }: OpenSheetProps) {
  const { sessionId } = saved;
  const [sheet, setSheet] = useState<SaveSheetDto>({
    present: saved.present,
    size: saved.size,
    rotations: saved.rotations,
  });
  const keeping = useKeptSheet(sessionId, sheet, saved);
  const change = (changes: Partial<SaveSheetDto>): void => setSheet((before) => ({ ...before, ...changes }));
  const changeOne = (fighterId: string, to: Partial<PresentDto> | null): void =>
    setSheet((before) => {
      const found = before.present.find((each) => each.fighterId === fighterId);
      const others = before.present.filter((each) => each.fighterId !== fighterId);
      if (to === null) return { ...before, present: others };
      const entry = { ...(found ?? { fighterId, from: 0, until: null, ticked: [] }), ...to };
      return {
        ...before,
        present: found
          ? before.present.map((each) => (each.fighterId === fighterId ? entry : each))
          : [...others, entry],
      };
    });
  return (
    <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[5fr_7fr] print:block">
      <Part
        title="At the door"
        aside={
          <span role="status" className={keeping.failed ? 'font-semibold text-caution' : ''}>
            {sheet.present.length} here, {keeping.text}
          </span>
        }
        className="print:hidden"
      >
        <CheckIn
          fighters={fighters}
          present={sheet.present}
          checklist={checklist}
          rotations={sheet.rotations}
          onChange={changeOne}
        />
      </Part>
      <Partners sheet={sheet} fighters={fighters} ranks={ranks} onChange={change} />
    </div>
  );
}

/** Sends the sheet whenever it has changed, one request after the other, and again while the server does not answer. */
function useKeptSheet(
  sessionId: string,
  sheet: SaveSheetDto,
  saved: SheetView,
): { text: string; failed: boolean } {
  const client = useQueryClient();
  const [kept, setKept] = useState<SaveSheetDto>(sheet);
  const keep = useMutation({
    mutationFn: (now: SaveSheetDto) => put<SheetView>(`sessions/${sessionId}/sheet`, now),
    onSuccess: (answer, now) => {
      setKept(now);
      client.setQueryData(['sessions', sessionId, 'sheet'], answer);
    },
    retry: 3,
  });
  const { mutate, isPending, isError } = keep;
  useEffect(() => {
    if (sheet === kept || isPending || isError) return;
    mutate(sheet);
  }, [sheet, kept, isPending, isError, mutate, saved]);
  const { reset } = keep;
  useEffect(() => reset(), [sheet, reset]);
  if (isError) return { text: `not kept: ${keep.error.message}`, failed: true };
  return { text: sheet === kept ? 'kept' : 'keeping', failed: false };
}
