import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { NavLink, Navigate, useParams } from 'react-router';
import type { SaveSessionDto, SessionSummary, SessionView } from '@eurhythm/contract';
import { newId } from '../../app/api.ts';
import { queries } from '../../app/queries.ts';
import { useDraft } from '../../app/useDraft.ts';
import { ButtonLink } from '../../ui/Button.tsx';
import { Plain } from '../../ui/Panel.tsx';
import { clockText } from '../../ui/times.ts';
import { Builder } from './Builder.tsx';
import { newRound } from './newRound.ts';

/** The gym's sessions on the left, the builder for one of them on the right. */
export function SessionsRoom() {
  const { id } = useParams();
  const { data: sessions, error } = useQuery(queries.sessions());
  if (error)
    return (
      <div className="px-8">
        <Plain>{error.message}</Plain>
      </div>
    );
  if (!sessions) return null;
  if (id === undefined && sessions[0]) return <Navigate to={`/sessions/${sessions[0].id}`} replace />;
  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <aside className="border-rule lg:w-[17rem] lg:shrink-0 lg:border-r">
        <div className="px-5 pt-4 pb-3">
          <ButtonLink to="/sessions/new" className="w-full">
            <Plus size={18} aria-hidden /> Build a session
          </ButtonLink>
        </div>
        <SessionList sessions={sessions} />
        <a
          href="/api/calendar.ics"
          download
          className="mx-5 mt-3 inline-flex min-h-11 items-center text-sm text-quiet underline underline-offset-4 hover:text-ink"
        >
          All dates for a calendar
        </a>
      </aside>
      {id === undefined || id === 'new' ? <NewSession key="new" /> : <SavedSession key={id} id={id} />}
    </div>
  );
}

function SessionList({ sessions }: { sessions: readonly SessionSummary[] }) {
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
            {session.plannedFor ? `${format(new Date(session.plannedFor), 'EEE d MMM HH:mm')} · ` : ''}
            {session.rounds} rounds, {clockText(session.seconds)}
          </span>
        </NavLink>
      ))}
    </nav>
  );
}

function SavedSession({ id }: { id: string }) {
  const { data, error } = useQuery(queries.session(id));
  if (error)
    return (
      <div className="px-8">
        <Plain>{error.message}</Plain>
      </div>
    );
  return data ? <OpenSession id={id} saved={saveable(data)} isNew={false} /> : null;
}

function NewSession() {
  const [id] = useState(newId);
  const { data: combos } = useQuery(queries.combos());
  if (!combos) return null;
  const empty: SaveSessionDto = {
    title: '',
    lead: 'left',
    plannedFor: null,
    word: '',
    rounds: [newRound('pads', 'round-1', combos[0]?.id ?? null)],
  };
  return <OpenSession id={id} saved={empty} isNew />;
}

function OpenSession({ id, saved, isNew }: { id: string; saved: SaveSessionDto; isNew: boolean }) {
  const draft = useDraft(`session.${isNew ? 'new' : id}`, saved);
  return <Builder id={id} isNew={isNew} session={draft.value ?? saved} draft={draft} />;
}

function saveable({ title, lead, plannedFor, word = '', rounds }: SessionView): SaveSessionDto {
  return { title, lead, plannedFor, word, rounds };
}
