import type { MoveBook } from '@eurhythm/core/moves';
import type { AnyBlockDto, ComboView, RoundDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../app/useFieldErrors.ts';
import { ChoiceField, TextField } from '../../ui/Field.tsx';
import { Part } from '../../ui/Panel.tsx';
import { ComboSettings } from './blocks/ComboSettings.tsx';
import { FreeSettings } from './blocks/FreeSettings.tsx';
import { TimeField } from './blocks/TimeField.tsx';
import { KIND_CHOICES, PLAN_CHOICES, STEADY_PLAN_CHOICES } from './choices.ts';
import { changeKind } from './newRound.ts';
import { RoundCheck } from './RoundCheck.tsx';

interface RoundEditorProps {
  readonly round: RoundDto;
  /** Where the round stands in the session, as in the errors: "rounds.2". */
  readonly path: string;
  readonly lead: 'left' | 'right';
  readonly combos: readonly ComboView[];
  readonly book: MoveBook;
  readonly errors: FieldErrors;
  onChange(round: RoundDto): void;
}

/** The settings of one round. */
export function RoundEditor({ round, path, lead, combos, book, errors, onChange }: RoundEditorProps) {
  const workAt = round.blocks.findIndex((block) => block.kind !== 'rest');
  const restAt = round.blocks.findIndex((block) => block.kind === 'rest');
  const [work, rest] = [round.blocks[workAt], round.blocks[restAt]];
  const changeBlock = (at: number, block: AnyBlockDto): void =>
    onChange({ ...round, blocks: round.blocks.with(at, block) });
  const workPath = `${path}.blocks.${workAt}`;
  return (
    <Part title={round.title || 'No title yet'}>
      <div className="grid grid-cols-6 gap-3 pt-3">
        <TextField
          label="Title"
          className="col-span-4"
          value={round.title}
          error={errors.of(`${path}.title`)}
          onChange={(e) => onChange({ ...round, title: e.target.value })}
        />
        <ChoiceField
          label="Kind"
          className="col-span-2"
          value={round.kind}
          choices={KIND_CHOICES}
          onChange={(e) =>
            onChange(changeKind(round, e.target.value as RoundDto['kind'], combos[0]?.id ?? null))
          }
        />
        {work && (
          <TimeField
            label="Work"
            className="col-span-2"
            seconds={work.seconds}
            error={errors.of(`${workPath}.seconds`)}
            onChange={(seconds) => changeBlock(workAt, { ...work, seconds })}
          />
        )}
        {rest && (
          <TimeField
            label="Rest"
            className="col-span-2"
            seconds={rest.seconds}
            error={errors.of(`${path}.blocks.${restAt}.seconds`)}
            onChange={(seconds) => changeBlock(restAt, { ...rest, seconds })}
          />
        )}
        {(work?.kind === 'combo' || work?.kind === 'free') && (
          <ChoiceField
            label="Leads"
            className="col-span-2"
            value={work.leadPlan}
            choices={work.kind === 'combo' ? PLAN_CHOICES : STEADY_PLAN_CHOICES}
            onChange={(e) => changeBlock(workAt, { ...work, leadPlan: e.target.value } as typeof work)}
          />
        )}
      </div>
      {work?.kind === 'combo' && (
        <ComboSettings
          block={work}
          path={workPath}
          combos={combos}
          book={book}
          errors={errors}
          onChange={(block) => changeBlock(workAt, block)}
        />
      )}
      {work?.kind === 'free' && (
        <FreeSettings
          block={work}
          path={workPath}
          errors={errors}
          onChange={(block) => changeBlock(workAt, block)}
        />
      )}
      <RoundCheck blocks={round.blocks} lead={lead} />
    </Part>
  );
}
