import type { Choice } from '../../../../ui/fields/Field.tsx';
import { ChoiceField } from '../../../../ui/fields/Field.tsx';

interface LeadPlanProps<T extends string> {
  readonly value: T;
  readonly choices: readonly Choice<T>[];
  onChange(value: T): void;
}

/** From which lead the work is done, and when the lead changes. */
export function LeadPlan<T extends string>(props: LeadPlanProps<T>) {
  return <ChoiceField label="Leads" className="w-64 pt-3" {...props} />;
}
