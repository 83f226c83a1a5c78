import { useState } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import type { AnyBlockDto, ComboBlockDto, ComboView, FreeBlockDto, RoundDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../app/useFieldErrors.ts';
import { ChoiceField, LongTextField, TextField } from '../../ui/Field.tsx';
import { Part } from '../../ui/Panel.tsx';
import { clockText, secondsFromClock } from '../../ui/times.ts';
import { CALL_CHOICES, KIND_CHOICES, PLAN_CHOICES, WORD_CHOICES } from './choices.ts';
import { changeKind } from './newRound.ts';
import { ComboPicker } from './ComboPicker.tsx';
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
            choices={PLAN_CHOICES}
            onChange={(e) =>
              changeBlock(workAt, { ...work, leadPlan: e.target.value as ComboBlockDto['leadPlan'] })
            }
          />
        )}
      </div>
      {work?.kind === 'combo' && (
        <PadsSettings
          block={work}
          path={workPath}
          combos={combos}
          book={book}
          errors={errors}
          onChange={(block) => changeBlock(workAt, block)}
        />
      )}
      {work?.kind === 'free' && (
        <ShadowSettings
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

interface SettingsProps<B> {
  readonly block: B;
  readonly path: string;
  readonly errors: FieldErrors;
  onChange(block: B): void;
}

function PadsSettings({
  block,
  path,
  combos,
  book,
  errors,
  onChange,
}: SettingsProps<ComboBlockDto> & { combos: readonly ComboView[]; book: MoveBook }) {
  const number = (text: string): number => (text.trim() === '' ? NaN : Number(text));
  const shown = (value: number): string => (value === null || Number.isNaN(value) ? '' : String(value));
  return (
    <>
      <div className="grid grid-cols-6 gap-3 pt-3">
        <TextField
          label="Beats a minute"
          className="col-span-2"
          inputMode="numeric"
          value={shown(block.bpm)}
          error={errors.of(`${path}.bpm`)}
          onChange={(e) => onChange({ ...block, bpm: number(e.target.value) })}
        />
        <TextField
          label="Times each combo"
          className="col-span-2"
          inputMode="numeric"
          value={shown(block.cyclesEach)}
          error={errors.of(`${path}.cyclesEach`)}
          onChange={(e) => onChange({ ...block, cyclesEach: number(e.target.value) })}
        />
        <ChoiceField
          label="Called by"
          className="col-span-2"
          value={block.words}
          choices={WORD_CHOICES}
          onChange={(e) => onChange({ ...block, words: e.target.value as ComboBlockDto['words'] })}
        />
        <ChoiceField
          label="Calls"
          className="col-span-6"
          value={block.calls}
          choices={CALL_CHOICES}
          onChange={(e) => onChange({ ...block, calls: e.target.value as ComboBlockDto['calls'] })}
        />
      </div>
      <ComboPicker
        chosen={block.combos.flatMap((ref) => ref.comboId ?? [])}
        combos={combos}
        book={book}
        error={errors.of(`${path}.combos`) ?? errors.under(`${path}.combos`)[0]?.message}
        onChange={(ids) => onChange({ ...block, combos: ids.map((comboId) => ({ comboId })) })}
      />
    </>
  );
}

function ShadowSettings({ block, path, errors, onChange }: SettingsProps<FreeBlockDto>) {
  const number = (text: string): number => (text.trim() === '' ? NaN : Number(text));
  const shown = (value: number): string => (value === null || Number.isNaN(value) ? '' : String(value));
  return (
    <div className="grid grid-cols-6 gap-3 pt-3">
      <TextField
        label="Shortest wait, seconds"
        className="col-span-3"
        inputMode="numeric"
        value={shown(block.every.min)}
        error={errors.of(`${path}.every.min`)}
        onChange={(e) => onChange({ ...block, every: { ...block.every, min: number(e.target.value) } })}
      />
      <TextField
        label="Longest wait, seconds"
        className="col-span-3"
        inputMode="numeric"
        value={shown(block.every.max)}
        error={errors.of(`${path}.every.max`)}
        onChange={(e) => onChange({ ...block, every: { ...block.every, max: number(e.target.value) } })}
      />
      <LongTextField
        label="Prompts, one on a line"
        className="col-span-6"
        rows={6}
        value={block.prompts.join('\n')}
        error={errors.of(`${path}.prompts`)}
        hint="Called at random waits, never the same one twice in a row."
        onChange={(e) => onChange({ ...block, prompts: e.target.value.split('\n') })}
        onBlur={() =>
          onChange({
            ...block,
            prompts: block.prompts.map((prompt) => prompt.trim()).filter((prompt) => prompt !== ''),
          })
        }
      />
    </div>
  );
}

interface TimeFieldProps {
  readonly label: string;
  readonly className?: string;
  readonly seconds: number;
  readonly error: string | undefined;
  onChange(seconds: number): void;
}

/** A length written as minutes and seconds, or as seconds alone. */
function TimeField({ label, className, seconds, error, onChange }: TimeFieldProps) {
  const [text, setText] = useState(() => clockText(seconds));
  const read = secondsFromClock(text);
  return (
    <TextField
      label={label}
      className={className ?? ''}
      inputMode="numeric"
      value={text}
      error={read === null ? 'Write the time like 2:00, or in seconds.' : error}
      onChange={(e) => {
        setText(e.target.value);
        onChange(secondsFromClock(e.target.value) ?? NaN);
      }}
      onBlur={() => read !== null && setText(clockText(read))}
    />
  );
}
