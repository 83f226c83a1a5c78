import { useMutation, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { SaveThemeDto, checkFields, type ThemeView } from '@eurhythm/contract';
import { newId, put, send } from '../../../app/api.ts';
import { useFieldErrors } from '../../../app/useFieldErrors.ts';
import { toastWithUndo } from '../../../app/toastWithUndo.ts';
import { Button, IconButton } from '../../../ui/Button.tsx';
import { TextField } from '../../../ui/Field.tsx';
import { Part, Plain } from '../../../ui/Panel.tsx';
import { daysOf } from './dates.ts';

/** What the classes of a week or a month are about. */
export function Themes({ themes, month }: { themes: readonly ThemeView[]; month: Date }) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [id, setId] = useState(newId);
  const [theme, setTheme] = useState<SaveThemeDto>({ title: '', ...daysOf('week', month, new Date()) });
  const refresh = async (): Promise<void> => {
    await client.invalidateQueries({ queryKey: ['themes'] });
    await client.invalidateQueries({ queryKey: ['today'] });
  };
  const save = useMutation({
    mutationFn: () => put<ThemeView>(`themes/${id}`, theme),
    onSuccess: async () => {
      await refresh();
      errors.show([]);
      setId(newId());
      setTheme({ ...theme, title: '' });
    },
    onError: errors.showFailure,
  });
  const remove = useMutation({
    mutationFn: ({ id: gone }: ThemeView) => send('DELETE', `themes/${gone}`),
    onSuccess: async (_, { id: gone, title, from, until }) => {
      await refresh();
      toastWithUndo(`“${title}” is taken out.`, async () => {
        await put(`themes/${gone}`, { title, from, until });
        await refresh();
      });
    },
    onError: (error) => toast.error(error.message),
  });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const wrong = checkFields(SaveThemeDto, theme);
    errors.show(wrong);
    if (wrong.length === 0) save.mutate();
  };
  const days = (each: ThemeView): string =>
    `${format(new Date(`${each.from}T12:00`), 'd MMM')} to ${format(new Date(`${each.until}T12:00`), 'd MMM')}`;
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
          onChange={(e) => setTheme({ ...theme, title: e.target.value })}
        />
        <div className="flex gap-2">
          {(['week', 'month'] as const).map((span) => (
            <Button key={span} onClick={() => setTheme({ ...theme, ...daysOf(span, month, new Date()) })}>
              {span === 'week' ? 'One week' : format(month, 'MMMM')}
            </Button>
          ))}
        </div>
        <TextField
          label="First day"
          type="date"
          value={theme.from}
          error={errors.of('from')}
          onChange={(e) => setTheme({ ...theme, from: e.target.value })}
        />
        <TextField
          label="Last day"
          type="date"
          value={theme.until}
          error={errors.of('until')}
          onChange={(e) => setTheme({ ...theme, until: e.target.value })}
        />
        <Button type="submit" weight="main" disabled={save.isPending}>
          Keep the theme
        </Button>
      </form>
    </Part>
  );
}
