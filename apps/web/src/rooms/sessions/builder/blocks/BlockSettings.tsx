import type { MoveBook } from '@eurhythm/core/moves';
import type { AnyBlockDto, ComboBlockDto, ComboView, FreeBlockDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../../../app/useFieldErrors.ts';
import { ChoiceField } from '../../../../ui/Field.tsx';
import { PLAN_CHOICES, STEADY_PLAN_CHOICES } from '../choices.ts';
import { BLOCK_FIELDS } from './blockFields.ts';
import { ComboSettings } from './ComboSettings.tsx';
import { FieldsForm } from './FieldsForm.tsx';
import { FreeSettings } from './FreeSettings.tsx';
import { SharedSettings } from './SharedSettings.tsx';

interface BlockSettingsProps {
  readonly block: AnyBlockDto;
  readonly path: string;
  readonly combos: readonly ComboView[];
  readonly book: MoveBook;
  readonly errors: FieldErrors;
  readonly groups: readonly string[];
  onChange(block: AnyBlockDto): void;
}

/** The settings of a block: those of its kind, and what every block has. */
export function BlockSettings(props: BlockSettingsProps) {
  return (
    <>
      <OwnSettings {...props} />
      <SharedSettings {...props} />
    </>
  );
}

function OwnSettings({ block, path, combos, book, errors, groups, onChange }: BlockSettingsProps) {
  switch (block.kind) {
    case 'combo':
      return (
        <>
          <LeadPlan block={block} onChange={onChange} />
          <ComboSettings {...{ block, path, combos, book, errors, groups, onChange }} />
        </>
      );
    case 'free':
      return (
        <>
          <LeadPlan block={block} onChange={onChange} />
          <FreeSettings {...{ block, path, errors, onChange }} />
        </>
      );
    case 'rest':
      return null;
    case 'count':
    case 'burst':
    case 'hold':
    case 'react':
    case 'footwork':
    case 'condition':
    case 'talk':
      return <FieldsForm fields={BLOCK_FIELDS[block.kind]} {...{ block, path, errors, onChange }} />;
    default:
      return block satisfies never;
  }
}

function LeadPlan({
  block,
  onChange,
}: {
  block: ComboBlockDto | FreeBlockDto;
  onChange: (block: AnyBlockDto) => void;
}) {
  return (
    <ChoiceField
      label="Leads"
      className="w-64 pt-3"
      value={block.leadPlan}
      choices={block.kind === 'combo' ? PLAN_CHOICES : STEADY_PLAN_CHOICES}
      onChange={(e) => onChange({ ...block, leadPlan: e.target.value } as typeof block)}
    />
  );
}
