import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { FighterView, PresentDto, SaveSheetDto, SheetView } from '@eurhythm/contract';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { StaleNotice, staleSave, type StaleSave } from '../../../sync/StaleNotice.tsx';
import { useStable } from '../../../ui/useStable.ts';
import { PaperCautions } from '../../../ui/panels/PaperCautions.tsx';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { CheckIn } from './CheckIn.tsx';
import { OnFloor } from './OnFloor.tsx';
import { PaperNames } from './PaperNames.tsx';
import { Partners } from './Partners.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { justCame, sheetOf } from './sheetOf.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** Who is here, what was checked at the door, and who works with whom; kept at every press, and printed. */
export function ClassSheet() {
  const dates = useDates();
  const { id = '' } = useParams();
  const { data: session } = useQuery(queries.session(id));
  const { data: saved } = useQuery(queries.sheet(id));
  const { data: fighters } = useQuery(queries.fighters());
  const { data: gym } = useQuery(queries.gym());
  if (!session || !saved || !fighters || !gym) return null;
  return (
    <article className="print-card mx-auto w-full max-w-6xl px-8 py-5">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
        <div>
          <Heading className="text-3xl">{session.title}</Heading>
          <p className="text-quiet">
            {session.plannedFor ? dates.tell(session.plannedFor, 'EEEE long, time') : 'No date'}
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
  const [sheet, setSheet] = useState<SaveSheetDto>(() => sheetOf(saved));
  const keeping = useKeptSheet(saved, sheet);
  const set = (next: SaveSheetDto): void => {
    setSheet(next);
    keeping.send(next);
  };
  const change = (changes: Partial<SaveSheetDto>): void => set({ ...sheet, ...changes });
  const changeOne = (fighterId: string, to: Partial<PresentDto> | null): void => {
    const { present } = sheet;
    const at = present.findIndex((each) => each.fighterId === fighterId);
    if (to === null) return change({ present: present.filter((_, i) => i !== at) });
    const entry = { ...(present[at] ?? justCame(fighterId)), ...to };
    change({ present: at === -1 ? [...present, entry] : present.with(at, entry) });
  };
  return (
    <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[5fr_7fr] print:block">
      {keeping.stale && (
        <div className="no-print xl:col-span-2">
          <StaleNotice
            stale={namedSheets(keeping.stale, fighters)}
            fields={{
              present: 'Who is here',
              size: 'Group size',
              rotations: 'Rotations',
              callsNames: 'Names called',
            }}
            onMine={keeping.keepMine}
            onTheirs={() => {
              keeping.take(keeping.stale!.now);
              setSheet(sheetOf(keeping.stale!.now));
            }}
          />
        </div>
      )}
      <Part
        title="At the door"
        aside={
          <span role="status" className={keeping.failed ? 'font-semibold text-caution' : ''}>
            {sheet.present.length} here, {keeping.text}
          </span>
        }
        className="print:hidden"
      >
        {saved.onFloor && (
          <OnFloor
            onFloor={saved.onFloor}
            fighters={fighters}
            present={sheet.present}
            onTake={(present) => change({ present })}
          />
        )}
        <CheckIn
          fighters={fighters}
          present={sheet.present}
          checklist={checklist}
          rotations={sheet.rotations}
          onChange={changeOne}
        />
      </Part>
      <PaperNames fighters={fighters} present={sheet.present} checklist={checklist} />
      <Partners sheet={sheet} fighters={fighters} ranks={ranks} onChange={change} />
    </div>
  );
}

/** Both sheets with the names of those who are here instead of their ids. */
function namedSheets(
  { message, now, mine }: StaleSave<SheetView, SaveSheetDto>,
  fighters: readonly FighterView[],
) {
  const named = ({ present, size, rotations, callsNames = false }: SaveSheetDto) => ({
    size,
    rotations,
    callsNames,
    present: present.map(
      ({ fighterId, ticked }) =>
        `${fighters.find(({ id }) => id === fighterId)?.name ?? 'somebody who is gone'}${ticked.length > 0 ? ` (${ticked.length} checked)` : ''}`,
    ),
  });
  return { message, now: named(now), mine: named(mine) };
}

/** Keeps the sheet at every press; the newest one is what the server gets, also when it was away. */
function useKeptSheet({ sessionId, version }: SheetView, sheet: SaveSheetDto) {
  const client = useQueryClient();
  const [basedOn, setBasedOn] = useState(version);
  const [stale, setStale] = useState<StaleSave<SheetView, SaveSheetDto> | null>(null);
  const keep = useWrite<SheetView, { now: SaveSheetDto; over?: number }>(
    ({ now, over }) =>
      putRequest(SUBJECTS.sheet, `sessions/${sessionId}/sheet`, now, {
        basedOn: over ?? basedOn,
        page: `/sessions/${sessionId}/sheet`,
      }),
    {
      onSuccess: (answer) => {
        setStale(null);
        setBasedOn(answer.version);
        client.setQueryData(['sessions', sessionId, 'sheet'], answer);
      },
      onError: (error, { now }) => setStale(staleSave(error, now)),
    },
  );
  // Of several that wait, only the newest is sent, and all of them hear of it: what counts is the newest.
  const { mutate, reset, isPending, error } = keep;
  return {
    stale,
    send: useStable((now: SaveSheetDto) => mutate({ now })),
    keepMine: (): void => {
      if (stale) mutate({ now: sheet, over: stale.now.version });
    },
    take: (theirs: SheetView): void => {
      setStale(null);
      reset();
      setBasedOn(theirs.version);
      client.setQueryData(['sessions', sessionId, 'sheet'], theirs);
    },
    failed: error !== null,
    text: error ? `not kept: ${error.message}` : isPending ? 'keeping' : 'kept',
  };
}
