import { format } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { WEEK_KINDS, type WeekKind } from '@eurhythm/core/plan';
import {
  keptSeason,
  type SeasonClassView,
  type SeasonView,
  type SeasonWeekView,
  type WeekEditDto,
} from '@eurhythm/contract';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { SeasonForm } from './SeasonForm.tsx';
import { useSeasonWrites } from './useSeasonWrites.ts';

const KIND_WORDS: Readonly<Record<WeekKind, string>> = {
  build: 'build up',
  light: 'lighter',
  test: 'test',
  grading: 'grading',
};

/** The weeks of a season: what each is about, how much it asks, what is new in it, and its classes. */
export function SeasonWeeks({ season }: { readonly season: SeasonView }) {
  const { save, draft, remove } = useSeasonWrites();
  const [isChanging, setChanging] = useState(false);
  const today = format(new Date(), 'yyyy-MM-dd');
  const most = Math.max(1, ...season.weeks.map(({ load }) => load));
  const edit = (from: string, changes: Partial<WeekEditDto>): void => {
    const before = season.edits.find((each) => each.from === from) ?? { from };
    const others = season.edits.filter((each) => each.from !== from);
    save.mutate({
      id: season.id,
      season: { ...keptSeason(season), edits: [...others, { ...before, ...changes }] },
      basedOn: season.version,
    });
  };
  return (
    <>
      <table className="w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink text-sm text-quiet">
            <th scope="col">Week</th>
            <th scope="col">Theme</th>
            <th scope="col">Load</th>
            <th scope="col">New and again</th>
            <th scope="col">Classes</th>
          </tr>
        </thead>
        <tbody>
          {season.weeks.map((week) => (
            <Week
              key={week.from}
              week={week}
              most={most}
              isNow={week.from <= today && today <= week.until}
              isOver={week.until < today}
              isBusy={draft.isPending}
              onEdit={(changes) => edit(week.from, changes)}
              onDraft={() => draft.mutate({ id: season.id, week: week.from })}
            />
          ))}
        </tbody>
      </table>
      <div className="no-print flex flex-wrap gap-3 pt-4">
        <Button disabled={draft.isPending} onClick={() => draft.mutate({ id: season.id })}>
          {draft.isPending ? 'Drafting …' : 'Draft every class to come'}
        </Button>
        <Button weight="bare" onClick={() => setChanging(!isChanging)}>
          {isChanging ? 'Leave it as it is' : 'Change days, classes or grades'}
        </Button>
        <Button weight="bare" onClick={() => remove.mutate(season.id)}>
          Remove season
        </Button>
      </div>
      {isChanging && (
        <section aria-label="Change the season" className="no-print max-w-xl">
          <p className="pt-2 text-sm text-quiet">
            Classes that are drafted already keep their day and their time.
          </p>
          <SeasonForm season={season} onSaved={() => setChanging(false)} />
        </section>
      )}
    </>
  );
}

interface WeekProps {
  readonly week: SeasonWeekView;
  /** The greatest load of the season. */
  readonly most: number;
  readonly isNow: boolean;
  readonly isOver: boolean;
  readonly isBusy: boolean;
  onEdit(changes: Partial<WeekEditDto>): void;
  onDraft(): void;
}

function Week({ week, most, isNow, isOver, isBusy, onEdit, onDraft }: WeekProps) {
  const dates = useDates();
  const [isOpen, setOpen] = useState(false);
  const { from, kind, theme, load, minutes, contact, introduced, repeated, done, why, classes } = week;
  const open = classes.filter(({ sessionId, at }) => sessionId === null && new Date(at) > new Date());
  return (
    <tr className={`border-b border-rule align-top ${isOver ? 'text-quiet' : ''}`}>
      <th scope="row" className="w-28 py-2 pr-3 font-semibold whitespace-nowrap">
        {isNow && <span className="mr-1 bg-tape px-1 text-sm text-on-tape">now</span>}
        {dates.tell(`${from}T12:00`, 'short')}
      </th>
      <td className="py-2 pr-3">
        <strong>{theme}</strong>{' '}
        {theme !== KIND_WORDS[kind] && <span className="text-sm text-quiet">{KIND_WORDS[kind]}</span>}
        <span className="block text-sm text-quiet">{why}</span>
        {!isOver && (
          <Button weight="bare" className="no-print px-0!" onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Close' : 'Change'}
          </Button>
        )}
        {isOpen && (
          <span className="no-print flex gap-3">
            <TextField
              label="Theme of this week"
              defaultValue={theme}
              onBlur={(event) =>
                event.target.value.trim() !== theme && onEdit({ theme: event.target.value.trim() })
              }
            />
            <ChoiceField
              label="Kind of week"
              value={kind}
              choices={WEEK_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }))}
              onChange={(next) => onEdit({ kind: next })}
            />
          </span>
        )}
      </td>
      <td className="w-48 py-2 pr-3 whitespace-nowrap">
        <span
          className="block h-3 bg-tape-right"
          style={{ width: `${Math.round((100 * load) / most)}%` }}
          aria-hidden
        />
        <span className="tabular text-sm">
          {minutes} min, contact {contact} %
        </span>
      </td>
      <td className="py-2 pr-3 text-sm">
        {introduced.length > 0 && (
          <span className="block">
            <strong>New:</strong> {introduced.join(', ')}
          </span>
        )}
        {repeated.length > 0 && <span className="block">Again: {repeated.join(', ')}</span>}
        {done.length > 0 && (
          <span className="block">
            <strong>Done:</strong> {done.join(', ')}
          </span>
        )}
      </td>
      <td className="w-52 py-2 text-sm">
        {classes.map((each) => (
          <SeasonClass key={each.at} of={each} />
        ))}
        {!isOver && open.length > 0 && (
          <Button weight="bare" className="no-print px-0!" disabled={isBusy} onClick={onDraft}>
            Draft {open.length === 1 ? 'it' : open.length === 2 ? 'both' : `all ${open.length}`}
          </Button>
        )}
      </td>
    </tr>
  );
}

function SeasonClass({
  of: { at, sessionId, held, strikes, workSeconds },
}: {
  readonly of: SeasonClassView;
}) {
  const dates = useDates();
  const when = dates.tell(at, 'EEEE, time');
  return (
    <span className="block">
      {sessionId === null ? (
        when
      ) : (
        <>
          <Link to={`/sessions/${sessionId}`} className="underline decoration-rule">
            {when}
          </Link>{' '}
          <span className="text-quiet">
            {held ? 'held, ' : ''}
            {Math.round(workSeconds / 60)} min work, {strikes} strikes
          </span>
        </>
      )}
    </span>
  );
}
