import { useQuery, useQueryClient } from '@tanstack/react-query';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { toast } from 'sonner';
import { PACE_FACTORS } from '@eurhythm/core/body';
import { findMove, moveBook } from '@eurhythm/core/moves';
import { comboRepSeconds, moveRepSeconds, techniqueSeconds } from '@eurhythm/core/teach';
import {
  SaveTechniquesDto,
  checkFields,
  type BookView,
  type ComboView,
  type GymView,
  type TechniqueDto,
  type TechniqueLists,
} from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useVersionedWrite } from '../../sync/useVersionedWrite.tsx';
import { queries } from '../../server/queries.ts';
import { UndoButtons } from '../../sync/drafts/UndoButtons.tsx';
import { useDraft } from '../../sync/drafts/useDraft.ts';
import { useFieldErrors, type FieldErrors } from '../../server/useFieldErrors.ts';
import { Button, ButtonLink } from '../../ui/buttons/Button.tsx';
import { IconButton } from '../../ui/buttons/IconButton.tsx';
import { ChoiceField } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/TypedField.tsx';
import { Part, Plain } from '../../ui/panels/Panel.tsx';
import { clockText } from '@eurhythm/core/units';
import { useBook, useBookView, useCombos, useGym } from '../../server/gymData.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

/** What each grade trains: moves and combos with their counts, and the minutes that they take. */
export function GradeLists({ gradeId }: { gradeId: string }) {
  const gym = useGym();
  const { data: lists } = useQuery(queries.techniques());
  const grade = gym.grades.find((each) => each.id === gradeId);
  if (!lists) return null;
  return (
    <div className="min-w-0 flex-1 px-8 py-5">
      <Heading className="mb-4 text-3xl">What each grade trains</Heading>
      <nav aria-label="Grades" className="mb-5 flex flex-wrap gap-2">
        {gym.grades.map((each) => (
          <ButtonLink
            key={each.id}
            to={`/moves/grades/${each.id}`}
            aria-current={each.id === gradeId ? 'page' : undefined}
            className={each.id === gradeId ? 'bg-tape! text-on-tape!' : ''}
          >
            {each.name}
          </ButtonLink>
        ))}
      </nav>
      {grade ? (
        <GradeList key={gradeId} grade={grade} saved={lists[gradeId] ?? []} />
      ) : (
        <Plain>This grade does not exist. Choose one above.</Plain>
      )}
    </div>
  );
}

interface GradeListProps {
  readonly grade: GymView['grades'][number];
  readonly saved: readonly TechniqueDto[];
}

function GradeList({ grade, saved }: GradeListProps) {
  const book = useBookView();
  const lines = useBook();
  const combos = useCombos();
  const gym = useGym();
  const client = useQueryClient();
  const errors = useFieldErrors();
  const draft = useDraft<readonly TechniqueDto[]>(
    `techniques.${grade.id}`,
    saved,
    gym.listVersions[grade.id],
  );
  const list = draft.value ?? saved;
  const factor = PACE_FACTORS[gym.school.pace];
  const secondsOf = (technique: TechniqueDto): number => {
    const combo = combos.find((each) => each.id === technique.comboId);
    const rep = combo
      ? comboRepSeconds(combo.line, combo.bpm, lines)
      : moveRepSeconds((technique.move ?? '').replace(/^[fr]:/, ''), lines, factor);
    const seconds = rep === null ? 0 : techniqueSeconds(rep, technique);
    return Number.isFinite(seconds) ? seconds : 0;
  };
  const total = list.reduce((sum, technique) => sum + secondsOf(technique), 0);
  const address = `grades/${grade.id}/techniques`;
  const { save, isPending, notice } = useVersionedWrite<
    TechniqueLists,
    SaveTechniquesDto,
    SaveTechniquesDto & { version: number }
  >({
    writing: (mine, basedOn) =>
      putRequest(SUBJECTS.techniques, address, mine, { basedOn, page: `/moves/grades/${grade.id}` }),
    fields: { techniques: 'Techniques' },
    tell: (technique) => nameOf(technique as TechniqueDto, combos, book),
    onSaved: async (after) => {
      client.setQueryData(['techniques'], after);
      draft.clear();
      errors.show([]);
      toast(`What ${grade.name} trains is saved.`);
      await client.invalidateQueries({ queryKey: ['gym'] });
    },
    onTheirs: async () => {
      draft.clear();
      await client.invalidateQueries({ queryKey: ['techniques'] });
      await client.invalidateQueries({ queryKey: ['gym'] });
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const wrong = checkFields(SaveTechniquesDto, { techniques: list });
    errors.show(wrong);
    if (wrong.length === 0) save({ techniques: [...list] }, draft.basedOn);
  };
  const add = (what: Pick<TechniqueDto, 'move' | 'comboId'>): void =>
    draft.change([...list, { ...what, id: newId(), reps: 15, sides: 'both', sets: 2, restSeconds: 20 }]);
  const change = (i: number, changes: Partial<TechniqueDto>): void =>
    draft.change(list.with(i, { ...list[i]!, ...changes }));
  const move = (i: number, by: 1 | -1): void => {
    const other = list[i + by];
    if (other) draft.change(list.with(i + by, list[i]!).with(i, other));
  };
  return (
    <Part
      title={grade.name}
      aside={`${list.length} techniques, about ${clockText(total)} at ${gym.school.pace} pace`}
    >
      {notice}
      {list.length === 0 && (
        <Plain>
          Nothing yet. Add a move or a combo below: fifteen on each side, twice, is a common start.
        </Plain>
      )}
      <ol aria-label={`What ${grade.name} trains`}>
        {list.map((technique, i) => (
          <li
            key={technique.id}
            className="grid grid-cols-[1fr_auto] items-center gap-x-3 border-b border-rule py-2 xl:grid-cols-[minmax(12rem,1fr)_auto_4rem_auto]"
          >
            <strong>{nameOf(technique, combos, book)}</strong>
            <Counts
              technique={technique}
              at={`techniques.${i}`}
              errors={errors}
              onChange={(c) => change(i, c)}
            />
            <span className="tabular text-right font-heading text-lg font-bold">
              {clockText(secondsOf(technique))}
            </span>
            <span className="flex">
              <IconButton label="Earlier" disabled={i === 0} onClick={() => move(i, -1)}>
                <ArrowUp size={18} />
              </IconButton>
              <IconButton label="Later" disabled={i === list.length - 1} onClick={() => move(i, 1)}>
                <ArrowDown size={18} />
              </IconButton>
              <IconButton
                label={`Take ${nameOf(technique, combos, book)} out`}
                onClick={() => draft.change(list.toSpliced(i, 1))}
              >
                <X size={18} />
              </IconButton>
            </span>
          </li>
        ))}
      </ol>
      <div className="mt-4 flex flex-wrap items-end gap-3">
        <AddTechnique book={book} combos={combos} onAdd={add} />
        <UndoButtons draft={draft} />
        <Button weight="main" onClick={trySave} disabled={!draft.isChanged || isPending}>
          Save
        </Button>
      </div>
    </Part>
  );
}

interface AddTechniqueProps {
  readonly book: BookView;
  readonly combos: readonly ComboView[];
  onAdd(what: Pick<TechniqueDto, 'move' | 'comboId'>): void;
}

function AddTechnique({ book, combos, onAdd }: AddTechniqueProps) {
  return (
    <>
      <ChoiceField
        label="Add a move"
        className="w-56"
        value=""
        choices={[{ value: '', label: 'choose' }, ...moveChoices(book)]}
        onChange={(value) => onAdd({ move: value, comboId: null })}
      />
      <ChoiceField
        label="Add a combo"
        className="w-64"
        value=""
        choices={[
          { value: '', label: 'choose' },
          ...combos.map((each) => ({
            value: each.id,
            label: `${each.grade} ${each.number} · ${each.title}`,
          })),
        ]}
        onChange={(value) => onAdd({ move: null, comboId: value })}
      />
    </>
  );
}

/** "15 each side × 3, rest 20 s". */
function Counts({
  technique,
  at,
  errors,
  onChange,
}: {
  technique: TechniqueDto;
  at: string;
  errors: FieldErrors;
  onChange: (changes: Partial<TechniqueDto>) => void;
}) {
  const field = (name: 'reps' | 'sets' | 'restSeconds', label: string) => (
    <NumberField
      label={label}
      className="w-20"
      inputMode="numeric"
      value={technique[name]}
      error={errors.of(`${at}.${name}`)}
      onChange={(value) => onChange({ [name]: value })}
    />
  );
  return (
    <div className="flex flex-wrap items-end gap-2">
      {field('reps', 'Times')}
      <ChoiceField
        label="Sides"
        className="w-36"
        value={technique.sides}
        choices={[
          { value: 'both', label: 'each side' },
          { value: 'one', label: 'in all' },
        ]}
        onChange={(value) => onChange({ sides: value })}
      />
      {field('sets', 'Sets')}
      {field('restSeconds', 'Rest, s')}
    </div>
  );
}

function nameOf({ move, comboId }: TechniqueDto, combos: readonly ComboView[], book: BookView): string {
  if (comboId !== null) {
    const combo = combos.find((each) => each.id === comboId);
    return combo
      ? `${combo.grade} ${combo.number} · ${combo.title}`
      : 'A combo that is not in the book any more';
  }
  const [, side, word = ''] = /^(?:([fr]):)?(.*)$/.exec(move ?? '') ?? [];
  const found = findMove(moveBook(book.items, book.numbers), word);
  const name = found?.move.name ?? `${word}, not in the book any more`;
  return side === undefined ? name : `${side === 'f' ? 'Front' : 'Rear'} ${name.toLowerCase()}`;
}

function moveChoices(book: BookView): { value: string; label: string }[] {
  return book.items
    .filter((move) => !move.retired)
    .flatMap((move) =>
      move.side.kind === 'free' || move.side.kind === 'directed'
        ? [
            { value: `f:${move.code}`, label: `${move.name}, front` },
            { value: `r:${move.code}`, label: `${move.name}, rear` },
          ]
        : [{ value: move.code, label: move.name }],
    );
}
