import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { X } from 'lucide-react';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { toast } from 'sonner';
import { SaveThemeDto, type ThemeView } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite, write } from '../../../sync/useSync.ts';
import { useContractForm } from '../../../server/useContractForm.ts';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';
import { Button } from '../../../ui/Button.tsx';
import { IconButton } from '../../../ui/IconButton.tsx';
import { DayField } from '../../../ui/DayFields.tsx';
import { TextField } from '../../../ui/Field.tsx';
import { Part, Plain } from '../../../ui/Panel.tsx';
import { daysOf } from './dates.ts';
import { useDates } from '../../../ui/dates.ts';

const DAYS = [
  ['from', 'First day'],
  ['until', 'Last day'],
] as const;

/** What the classes of a week or a month are about. */
export function Themes({ themes, month }: { themes: readonly ThemeView[]; month: Date }) {
  const client = useQueryClient();
  const dates = useDates();
  const form = useContractForm(SaveThemeDto, { title: '', ...daysOf('week', month, new Date(), dates.week) });
  const { control, errorOf } = form;
  const [id, setId] = useState(newId);
  const refresh = async (): Promise<void> => {
    await client.invalidateQueries({ queryKey: ['themes'] });
    await client.invalidateQueries({ queryKey: ['today'] });
  };
  const page = '/sessions/calendar';
  const save = useWrite<ThemeView, SaveThemeDto>(
    (theme) => putRequest(SUBJECTS.theme, `themes/${id}`, theme, { page }),
    {
      onSuccess: async (_, theme) => {
        await refresh();
        setId(newId());
        form.reset({ ...theme, title: '' });
      },
      onError: form.showFailure,
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
  const submit = form.handleSubmit((theme) => save.mutate(theme));
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
      <form onSubmit={(event) => void submit(event)} noValidate className="space-y-3 pt-4">
        <Controller
          control={control}
          name="title"
          render={({ field }) => <TextField label="Theme" error={errorOf('title')} {...field} />}
        />
        <div className="flex gap-2">
          {(['week', 'month'] as const).map((span) => (
            <Button
              key={span}
              onClick={() =>
                form.reset({ ...form.getValues(), ...daysOf(span, month, new Date(), dates.week) })
              }
            >
              {span === 'week' ? 'One week' : format(month, 'MMMM')}
            </Button>
          ))}
        </div>
        {DAYS.map(([name, label]) => (
          <Controller
            key={name}
            control={control}
            name={name}
            render={({ field: { value, onChange } }) => (
              <DayField label={label} value={value} error={errorOf(name)} onChange={onChange} />
            )}
          />
        ))}
        <Button type="submit" weight="main">
          Keep the theme
        </Button>
      </form>
    </Part>
  );
}
