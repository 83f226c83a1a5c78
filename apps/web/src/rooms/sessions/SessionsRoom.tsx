import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { NavLink, Navigate, useParams, useSearchParams } from 'react-router';
import type { SaveSessionDto, SessionSummary, SessionView, TestView } from '@eurhythm/contract';
import { Refused, newId } from '../../server/api.ts';
import { useBook, useCombos, useGym } from '../../server/gymData.ts';
import { queries } from '../../server/queries.ts';
import { useDraft } from '../../sync/drafts/useDraft.ts';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { ListAndPage, useIsWide } from '../../ui/panels/ListAndPage.tsx';
import { clockText, howMany } from '@eurhythm/core/units';
import { Builder } from './builder/Builder.tsx';
import { askedIn, askedSession } from './builder/askedSession.ts';
import { firstComboOf } from './useComboNames.ts';
import { useDates } from '../../ui/fields/dates.ts';

/** The gym's sessions on the left, the builder for one of them on the right. */
export function SessionsRoom() {
  const { id } = useParams();
  const { data: sessions } = useQuery(queries.sessions());
  const isWide = useIsWide();
  if (!sessions) return null;
  if (id === 'new') return <BeginSession />;
  const [first] = sessions;
  if (id === undefined && !first) return <BeginSession />;
  if (id === undefined && first && isWide) return <Navigate to={`/sessions/${first.id}`} replace />;
  return (
    <ListAndPage
      width="lg:w-[15rem]"
      isOpen={id !== undefined}
      back={{ to: '/sessions', label: 'All sessions' }}
      list={
        <>
          <div className="px-5 pt-4 pb-3">
            <ButtonLink to="/sessions/new" className="w-full">
              <Plus size={18} aria-hidden /> Build a session
            </ButtonLink>
            <div className="flex flex-wrap gap-x-5 lg:flex-col">
              <ButtonLink to="/sessions/calendar" weight="bare" className="justify-start px-0!">
                Calendar and themes
              </ButtonLink>
              <ButtonLink to="/sessions/season" weight="bare" className="justify-start px-0!">
                Season
              </ButtonLink>
            </div>
          </div>
          <SessionList sessions={sessions} />
        </>
      }
    >
      {id !== undefined && <OneSession key={id} id={id} />}
    </ListAndPage>
  );
}

/** A session gets its id before it gets its first round, so that nothing has to be pressed for it to be kept. */
function BeginSession() {
  const [id] = useState(newId);
  const [search] = useSearchParams();
  const asked = new URLSearchParams([['new', ''], ...search]);
  return <Navigate to={`/sessions/${id}?${asked.toString()}`} replace />;
}

function SessionList({ sessions }: { sessions: readonly SessionSummary[] }) {
  const dates = useDates();
  return (
    <nav aria-label="Sessions">
      {sessions.map((session) => (
        <NavLink
          key={session.id}
          to={`/sessions/${session.id}`}
          className={({ isActive }) =>
            `block border-l-[6px] py-2 pr-4 pl-3.5 ${isActive ? 'border-tape bg-paper' : 'border-transparent hover:bg-hint'}`
          }
        >
          <span className="block leading-tight font-semibold">{session.title}</span>
          <span className="tabular text-sm text-quiet">
            {session.plannedFor ? `${dates.tell(session.plannedFor, 'EEE short time')} · ` : ''}
            {howMany(session.rounds, 'round')}, {clockText(session.seconds)}
          </span>
        </NavLink>
      ))}
    </nav>
  );
}

function OneSession({ id }: { id: string }) {
  const [search] = useSearchParams();
  // One that is begun is not on the server yet.
  const { data, error } = useQuery({
    ...queries.session(id),
    meta: { reportedHere: search.has('new') },
  });
  const [isBegun, setBegun] = useState(false);
  // While it is asked for again there is no answer, and the page stays as it is.
  if (!isBegun && error instanceof Refused && error.status === 404) setBegun(true);
  const isNew = search.has('new') && isBegun;
  const saved = useMemo(() => (data ? saveable(data) : undefined), [data]);
  const { data: tests } = useQuery({ ...queries.tests(), enabled: search.has('test') });
  if ((!saved && !isNew) || (search.has('test') && !tests)) return null;
  return <OpenSession id={id} saved={saved} version={data?.version} tests={tests ?? []} />;
}

interface OpenSessionProps {
  readonly id: string;
  readonly saved: SaveSessionDto | undefined;
  readonly version: number | undefined;
  readonly tests: readonly TestView[];
}

function OpenSession({ id, saved, version, tests }: OpenSessionProps) {
  const combos = useCombos();
  const book = useBook();
  const { grades } = useGym();
  const dates = useDates();
  const [search] = useSearchParams();
  const [empty] = useState(() =>
    askedSession(askedIn(search), {
      combos,
      tests,
      book,
      firstCombo: firstComboOf(combos, grades),
      today: dates.tell(new Date(), 'long'),
    }),
  );
  const draft = useDraft(`session.${id}`, saved ?? empty, version);
  return (
    <Builder id={id} isKnown={saved !== undefined} session={draft.value ?? saved ?? empty} draft={draft} />
  );
}

function saveable({ title, lead, plannedFor, word = '', groups = [], rounds }: SessionView): SaveSessionDto {
  return { title, lead, plannedFor, word, groups, rounds };
}
