import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import type { SeasonView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { SeasonForm } from './SeasonForm.tsx';
import { SeasonWeeks } from './SeasonWeeks.tsx';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** Weeks of classes that lead to a grading; one season at a time, on one page of paper. */
export function SeasonRoom() {
  const { id } = useParams();
  const navigate = useNavigate();
  const { data: seasons } = useQuery(queries.seasons());
  if (!seasons) return null;
  const open = seasons.find((season) => season.id === id) ?? (id === undefined ? seasons.at(-1) : undefined);
  return (
    <div className="print-card mx-auto w-full max-w-6xl px-8 py-5">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">{open?.title ?? 'Seasons'}</Heading>
        <span className="no-print flex flex-wrap gap-3">
          <ButtonLink to="/sessions/calendar">Calendar and themes</ButtonLink>
          {open && (
            <Button onClick={() => window.print()}>
              <Printer size={16} aria-hidden /> Print
            </Button>
          )}
        </span>
      </header>
      {open && <SeasonWeeks key={open.id} season={open} />}
      {!open && (
        <Plain>
          No season yet. With a grading or a day to go towards, each week has a theme, its load and what is
          new in it, and each class is drafted from that.
        </Plain>
      )}
      <div className="no-print mt-8 grid gap-8 lg:grid-cols-2">
        <Part title="A new season">
          <SeasonForm onSaved={(made) => void navigate(`/sessions/season/${made}`)} />
        </Part>
        <OtherSeasons seasons={seasons.filter((season) => season.id !== open?.id)} />
      </div>
    </div>
  );
}

function OtherSeasons({ seasons }: { readonly seasons: readonly SeasonView[] }) {
  const dates = useDates();
  if (seasons.length === 0) return null;
  return (
    <Part title="Other seasons">
      <ul>
        {seasons.map(({ id, title, from, until }) => (
          <li key={id} className="border-b border-rule py-2">
            <Link to={`/sessions/season/${id}`} className="font-semibold underline decoration-rule">
              {title}
            </Link>{' '}
            <span className="text-sm text-quiet">
              {dates.tell(`${from}T12:00`, 'short')} to {dates.tell(`${until}T12:00`, 'short')}
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}
