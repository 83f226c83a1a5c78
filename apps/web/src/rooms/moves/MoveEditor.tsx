import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { SaveMoveDto, checkFields, formFromMove, type BookView, type MoveView } from '@eurhythm/contract';
import { putRequest, deleteRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useWrite, write } from '../../sync/useSync.ts';
import { useVersionedWrite } from '../../sync/useVersionedWrite.tsx';
import { toastWithUndo } from '../../ui/toastWithUndo.ts';
import { useDraft } from '../../sync/drafts/useDraft.ts';
import { useFieldErrors } from '../../server/useFieldErrors.ts';
import { useShortcut } from '../../ui/focus/useShortcut.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { TextField } from '../../ui/fields/Field.tsx';
import { Part } from '../../ui/panels/Panel.tsx';
import { WhereUsed } from '../uses/WhereUsed.tsx';
import { MoveBodyFields, MoveWordFields } from './MoveFields.tsx';
import { usualOfFamily } from './usualOfFamily.ts';
import { FAMILY_NAMES } from '../../server/familyNames.ts';
import { useBookView } from '../../server/gymData.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

/** What two coaches may have written differently. */
const MOVE_FIELDS = {
  name: 'Name',
  sayLong: 'Said in full',
  sayShort: 'Said short',
  family: 'Family',
  limb: 'Limb',
  side: 'Side',
  level: 'Level',
  surface: 'What lands',
  target: 'What is held',
  out: 'Time out, s',
  back: 'Time back, s',
  turn: 'Turn of the hips',
  spin: 'Spin, degrees',
  support: 'Support',
  lead: 'Lead afterwards',
  facing: 'Turn on the spot',
  forward: 'Steps forward',
  right: 'Steps to the right',
  stance: 'Stance',
  parts: 'Counted parts',
  faults: 'Faults',
  easier: 'Easier move',
  cautions: 'Cautions',
  aliases: 'Aliases',
  minGrade: 'Lowest grade',
  role: 'Role',
  risks: 'Risks',
} as const;

interface MoveEditorProps {
  /** Null for a new move. */
  readonly code: string | null;
  readonly saved: SaveMoveDto;
  readonly move: MoveView | null;
}

/** A move that nobody gave spoken names is called by its name. */
function withSpokenNames(form: SaveMoveDto): SaveMoveDto {
  const sayLong = form.sayLong.trim() || form.name.toLowerCase();
  return { ...form, sayLong, sayShort: form.sayShort.trim() || sayLong };
}

/** A new move takes from the family that is chosen for it what is usual there. */
function withUsual(changes: Partial<SaveMoveDto>, book: BookView): Partial<SaveMoveDto> {
  if (changes.family === undefined) return changes;
  const forms = book.items.map(({ retired: _, ...each }) => formFromMove(each));
  return { ...usualOfFamily(changes.family, forms), ...changes };
}

/** One move of the book, with everything that the walk, the clock, the voice and the findings read from it. */
export function MoveEditor({ code, saved, move }: MoveEditorProps) {
  const book = useBookView();
  const client = useQueryClient();
  const navigate = useNavigate();
  const errors = useFieldErrors();
  const draft = useDraft(`move.${code ?? 'new'}`, saved, move?.version);
  const [newCode, setNewCode] = useState('');
  const form = draft.value ?? saved;
  const change = (changes: Partial<SaveMoveDto>): void => draft.change({ ...form, ...changes });
  const target = code ?? newCode;
  const page = `/moves/${code ?? 'new'}`;
  const { save, notice } = useVersionedWrite<BookView, SaveMoveDto, SaveMoveDto & { version: number }>({
    writing: (mine, basedOn) =>
      putRequest(SUBJECTS.move, `moves/${encodeURIComponent(target)}`, mine, { basedOn, page }),
    fields: MOVE_FIELDS,
    onSaved: (after) => {
      client.setQueryData(['moves'], after);
      draft.clear();
      errors.show([]);
      toast(`${form.name} is saved.`);
      if (code === null) void navigate(`/moves/${target}`, { replace: true, flushSync: true });
    },
    onTheirs: async () => {
      draft.clear();
      await client.invalidateQueries({ queryKey: ['moves'] });
    },
    onError: errors.showFailure,
  });
  const remove = useWrite<{ retired: boolean; usedBy: string[] }>(
    () => deleteRequest(SUBJECTS.move, `moves/${target}`),
    {
      onSuccess: async ({ retired, usedBy }) => {
        await client.invalidateQueries({ queryKey: ['moves'] });
        toastWithUndo(
          retired
            ? `${saved.name} is retired, not gone: used by ${usedBy.slice(0, 3).join(', ')}${usedBy.length > 3 ? ` and ${usedBy.length - 3} more` : ''}.`
            : `${saved.name} is out of the book.`,
          async () => {
            await write(putRequest(SUBJECTS.move, `moves/${target}`, saved));
            await client.invalidateQueries({ queryKey: ['moves'] });
          },
        );
        if (!retired) void navigate('/moves');
      },
      onError: (error) => toast.error(error.message),
    },
  );
  const trySave = (): void => {
    const sent = withSpokenNames(form);
    const wrong = checkFields(SaveMoveDto, sent);
    if (code === null && !/^[a-z]{1,24}$/.test(newCode))
      wrong.unshift({ field: 'code', message: 'A code is 1 to 24 small letters, such as jab.' });
    if (code === null && book.items.some((each) => each.code === newCode))
      wrong.unshift({ field: 'code', message: `“${newCode}” is in the book already.` });
    errors.show(wrong);
    if (wrong.length === 0) save(sent, draft.basedOn);
  };
  useShortcut('mod+s', trySave);
  return (
    <div className="min-w-0 flex-1 px-8 py-5">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-sm text-quiet">
            {FAMILY_NAMES[form.family]}{' '}
            {code !== null && <code className="ml-2 rounded bg-hint px-1.5 font-line text-ink">{code}</code>}
          </p>
          <Heading className="text-3xl">{form.name || 'A new move'}</Heading>
          {move?.retired && (
            <p className="font-semibold text-caution">
              Retired: lines that use it still read it, new ones are not offered it. Save brings it back.
            </p>
          )}
        </div>
        <div className="flex gap-3">
          {(draft.isChanged || code === null || move?.retired) && (
            <Button weight="main" onClick={trySave}>
              Save
            </Button>
          )}
          {draft.isChanged && <Button onClick={draft.clear}>Put back</Button>}
          {code !== null && !move?.retired && (
            <Button weight="bare" onClick={() => remove.mutate()}>
              Take out of the book
            </Button>
          )}
        </div>
      </header>
      {notice}
      {code === null && (
        <TextField
          label="Code, as lines write it"
          className="mb-4 max-w-64"
          value={newCode}
          error={errors.of('code')}
          onChange={(e) => setNewCode(e.target.value)}
        />
      )}
      <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
        <Part title="How it is taught">
          <MoveWordFields
            form={form}
            errors={errors}
            onChange={(changes) => change(code === null ? withUsual(changes, book) : changes)}
          />
        </Part>
        <Part title="What the body does">
          <MoveBodyFields form={form} errors={errors} onChange={change} />
        </Part>
        {code !== null && (
          <WhereUsed
            address={`moves/${code}`}
            subject={SUBJECTS.move}
            others={book.items
              .filter((other) => !other.retired && other.code !== code)
              .map((other) => ({ value: other.code, label: other.name }))}
          />
        )}
      </div>
    </div>
  );
}
