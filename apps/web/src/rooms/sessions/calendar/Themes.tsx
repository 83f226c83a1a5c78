import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { SaveThemeDto, checkFields, type ThemeView } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite, write } from '../../../sync/useSync.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import { DayField } from '../../../ui/fields/DayFields.tsx';
import { TextField } from '../../../ui/fields/Field.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { daysOf } from './dates.ts';
import { useDates } from '../../../ui/fields/dates.ts';

const DAYS = [
  ['from', 'First day'],
  ['until', 'Last day'],
] as const;

/** What the classes of a week or a month are about. */
export function Themes({ themes, month }: { themes: readonly ThemeView[]; month: Date }) {
  const client = useQueryClient();
  const dates = useDates();
  const errors = useFieldErrors();
  const [theme, setTheme] = useState<SaveThemeDto>(() => ({
    title: '',
    ...daysOf('week', month, new Date(), dates.week),
  }));
  const change = (changes: Partial<SaveThemeDto>): void => setTheme({ ...theme, ...changes });
  const [id, setId] = useState(newId);
  const refresh = async (): Promise<void> => {
    await client.invalidateQueries({ queryKey: ['themes'] });
    await client.invalidateQueries({ queryKey: ['today'] });
  };
  const page = '/sessions/calendar';
  const save = useWrite<ThemeView, SaveThemeDto>(
    (kept) => putRequest(SUBJECTS.theme, `themes/${id}`, kept, { page }),
    {
      onSuccess: async () => {
        await refresh();
        setId(newId());
        change({ title: '' });
      },
      onError: errors.showFailure,
    },
  );
  const remove = useWrite<void, ThemeView>(
    ({ id: gone }) => deleteRequest(SUBJECTS.theme, `themes/${gone}`),
    {
      onSuccess: async (_, { id: gone, title, from, until }) => {
        await refresh();
        toastWithUndo(`“${title}” is taken out.`, async () => {
          await write(putRequest(SUBJECTS.theme, `themes/${gone}`, { title, from, until }));
          await refresh();
        });
      },
      onError: (error) => toast.error(error.message),
    },
  );
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const wrong = checkFields(SaveThemeDto, theme);
    errors.show(wrong);
    if (wrong.length === 0) save.mutate(theme);
  };
  const days = (each: ThemeView): string =>
    `${dates.tell(`${each.from}T12:00`, 'short')} to ${dates.tell(`${each.until}T12:00`, 'short')}`;
  return (
    <Part title="Themes">
      {themes.length === 0 && (
        <Plain>No theme yet. “Low kicks from both leads” for a week is a good one.</Plain>
      )}
      <ul aria-label="Themes">
        {themes.map((each) => (
          <li key={each.id} className="flex items-center border-b border-rule">
            <span className="min-w-0 flex-1">
              <strong className="block leading-tight">{each.title}</strong>
              <span className="text-sm text-quiet">{days(each)}</span>
            </span>
            <IconButton label={`Take ${each.title} out`} onClick={() => remove.mutate(each)}>
              <X size={16} />
            </IconButton>
          </li>
        ))}
      </ul>
      <form onSubmit={submit} noValidate className="space-y-3 pt-4">
        <TextField
          label="Theme"
          value={theme.title}
          error={errors.of('title')}
          onChange={(event) => change({ title: event.target.value })}
        />
        <div className="flex gap-2">
          {(['week', 'month'] as const).map((span) => (
            <Button key={span} onClick={() => change(daysOf(span, month, new Date(), dates.week))}>
              {span === 'week' ? 'One week' : format(month, 'MMMM')}
            </Button>
          ))}
        </div>
        {DAYS.map(([name, label]) => (
          <DayField
            key={name}
            label={label}
            value={theme[name]}
            error={errors.of(name)}
            onChange={(day) => change({ [name]: day })}
          />
        ))}
        <Button type="submit" weight="main">
          Keep the theme
        </Button>
      </form>
    </Part>
  );
}
