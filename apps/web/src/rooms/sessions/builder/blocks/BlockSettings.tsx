import type { AnyBlockDto } from '@eurhythm/contract';
import { FieldsForm } from '../../kinds/fields/FieldsForm.tsx';
import { pageOf } from '../../kinds/kinds.ts';
import type { SettingsProps } from '../../kinds/fields/settings.ts';
import { SharedSettings } from './SharedSettings.tsx';

/** The settings of a block: those of its kind, and what every block has. */
export function BlockSettings(props: SettingsProps<AnyBlockDto>) {
  const { fields = [], Settings } = pageOf(props.block);
  return (
    <>
      {Settings ? <Settings {...props} /> : <FieldsForm fields={fields} {...props} />}
      <SharedSettings {...props} />
    </>
  );
}
