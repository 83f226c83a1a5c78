import type { FighterView, TestView } from '@eurhythm/contract';
import { INPUT_KINDS, INPUT_NAMES, type InputKind } from '../../../strikeInputs/StrikeInput.ts';
import { ChoiceField, TickField } from '../../../ui/fields/Field.tsx';
import { LEAD_CHOICES } from '../../sessions/choices.ts';

/** Stands for the whole class, whose partners count. */
export const EVERYBODY = 'everybody';

/** What is timed: a test of the gym, or a title that becomes one. */
export type Timed = Pick<TestView, 'title' | 'seconds'> & { readonly id?: string };

export interface BurstWish {
  /** A fighter, or `EVERYBODY`. */
  readonly who: string;
  readonly title: string;
  /** From their own lead each, or all from the same. */
  readonly lead: 'own' | 'left' | 'right';
  /** How the strikes of one fighter are counted. */
  readonly by: 'taps' | InputKind;
  /** The sound is kept with the trial, where it is sound that is heard. */
  readonly keepsSound: boolean;
}

interface BurstChoiceProps {
  readonly fighters: readonly FighterView[];
  readonly timed: readonly Timed[];
  readonly value: BurstWish;
  onChange(value: BurstWish): void;
}

const WAYS = [
  { value: 'taps', label: 'Taps' },
  ...INPUT_KINDS.map((value) => ({ value, label: INPUT_NAMES[value] })),
] as const;
const OWN_LEAD = { value: 'own', label: 'Their own' } as const;

/** Who does what from which lead: one fighter whose strikes are tapped, or everybody at once. */
export function BurstChoice({ fighters, timed, value, onChange }: BurstChoiceProps) {
  return (
    <div className="grid w-full max-w-5xl gap-4 sm:grid-cols-4">
      <ChoiceField
        label="Who"
        value={value.who}
        choices={[
          ...(fighters.length > 1 ? [{ value: EVERYBODY, label: 'Everybody, partners count' }] : []),
          ...fighters.map((each) => ({ value: each.id, label: each.name })),
        ]}
        onChange={(who) => onChange({ ...value, who, lead: 'own' })}
      />
      <ChoiceField
        label="What"
        value={value.title}
        choices={timed.map((each) => ({ value: each.title, label: `${each.title}, ${each.seconds} s` }))}
        onChange={(title) => onChange({ ...value, title })}
      />
      <ChoiceField
        label="From which lead"
        value={value.lead}
        choices={[OWN_LEAD, ...LEAD_CHOICES]}
        onChange={(lead) => onChange({ ...value, lead })}
      />
      {value.who !== EVERYBODY && (
        <ChoiceField
          label="Counted by"
          value={value.by}
          choices={WAYS}
          onChange={(by) => onChange({ ...value, by })}
        />
      )}
      {value.who !== EVERYBODY && value.by === 'microphone' && (
        <TickField
          label="Keep the sound with the trial: they agreed"
          className="sm:col-span-4 sm:justify-self-end"
          checked={value.keepsSound}
          onChange={(keepsSound) => onChange({ ...value, keepsSound })}
        />
      )}
    </div>
  );
}
