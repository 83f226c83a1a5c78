import { COUNT_LANGUAGES } from '@eurhythm/core/calls';
import { PACES, type SchoolDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../server/useFieldErrors.ts';
import { ChoiceField } from '../../ui/fields/Field.tsx';
import { MaybeNumberField, WordsField } from '../../ui/fields/TypedField.tsx';

/** A way in which schools differ: its name, what is said about it, and the choices. */
const WAYS = [
  ['words', 'What is called', 'for new rounds', { numbers: 'numbers', names: 'names' }],
  [
    'sides',
    'Sides are called',
    'the usual side of a move is not said',
    { 'lead-rear': 'lead and rear', 'front-back': 'front and back', 'left-right': 'left and right' },
  ],
  ['strikes', 'End of a strike', '', { snap: 'stops and snaps back', through: 'drives through' }],
  ['hips', 'Turn of the hips on a kick', '', { full: 'always full', square: 'kept square before a punch' }],
  [
    'frontHighBlock',
    'High block with the front arm',
    '',
    { allowed: 'allowed', avoided: 'avoided: it opens the ribs' },
  ],
  [
    'counting',
    'A new move is counted',
    '',
    { parts: 'each part, then the whole', whole: 'one count for the whole' },
  ],
  [
    'rhythm',
    'Rhythm',
    'the gap of a stroke that is put on the strip',
    { even: 'even beats', broken: 'half beats' },
  ],
  ['workBy', 'Technique work goes by', '', { count: 'repetitions', clock: 'the clock' }],
  [
    'speed',
    'Speed',
    'the top of the ladder',
    { clean: 'only as fast as it is clean', fastest: 'as fast as possible' },
  ],
  [
    'dayOrder',
    'Dates are written',
    '',
    { 'day-first': '5 March 2026', 'month-first': 'March 5, 2026', 'year-first': '2026-03-05' },
  ],
  ['clock', 'The clock has', '', { '24': '24 hours', '12': '12 hours' }],
  ['hallNames', 'Names on the screens of the hall', '', { first: 'first names', initials: 'initials' }],
  ['weekBegins', 'A week begins on', '', { monday: 'Monday', sunday: 'Sunday', saturday: 'Saturday' }],
] as const satisfies readonly (readonly [keyof SchoolDto, string, string, Record<string, string>])[];

/** What two coaches may have set differently. */
export const SCHOOL_FIELDS = {
  ...Object.fromEntries(WAYS.map(([key, label]) => [key, label])),
  pace: 'Pace assumed of a body',
  floorSteps: 'Room for one fighter',
  repetitions: 'Repetitions of a move',
  kit: 'What the gym has',
  checklist: 'Asked at the door',
  countLanguage: 'Counted in',
  countWords: 'Own count words',
  voice: 'Voice',
  voiceRate: 'Speed of the voice',
  voiceSound: 'Sound of the voice',
  youth: 'Children’s limits',
  muted: 'Muted rules',
} as const satisfies Partial<Record<keyof SchoolDto, string>>;

interface SchoolFieldsProps {
  readonly school: SchoolDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SchoolDto>): void;
}

/** Where schools differ: one field for each way. The strong side is set for each fighter, numbers in Moves. */
export function SchoolFields({ school, errors, onChange }: SchoolFieldsProps) {
  return (
    <div className="grid gap-4 pt-3 *:min-w-0 sm:grid-cols-2">
      {WAYS.map(([key, label, hint, choices]) => (
        <ChoiceField
          key={key}
          label={label}
          hint={hint === '' ? undefined : hint}
          value={school[key]}
          choices={Object.entries(choices).map(([value, name]) => ({ value, label: name }))}
          onChange={(value) => onChange({ [key]: value })}
        />
      ))}
      <ChoiceField
        label="Pace assumed of a body"
        hint="slower paces lower the fastest clean tempo"
        value={school.pace}
        choices={PACES.map((pace) => ({ value: pace, label: pace }))}
        onChange={(value) => onChange({ pace: value })}
      />
      <MaybeNumberField
        label="Room for one fighter, steps each way"
        hint="empty: plenty"
        value={school.floorSteps}
        error={errors.of('floorSteps')}
        onChange={(floorSteps) => onChange({ floorSteps })}
      />
      <MaybeNumberField
        label="Repetitions of a move to work towards"
        hint="over all the years, on each fighter’s page; empty: no number"
        value={school.repetitions}
        error={errors.of('repetitions')}
        onChange={(repetitions) => onChange({ repetitions })}
      />
      <WordsField
        label="What the gym has"
        hint="such as: pads, shields, floor tape; empty: not written down"
        className="col-span-2"
        words={school.kit}
        error={errors.of('kit')}
        onChange={(kit) => onChange({ kit })}
      />
      <WordsField
        label="Asked of everybody at the door"
        className="col-span-2"
        words={school.checklist}
        error={errors.of('checklist')}
        onChange={(checklist) => onChange({ checklist })}
      />
      <ChoiceField
        label="Counted in"
        value={school.countLanguage}
        choices={COUNT_LANGUAGES.map((value) => ({
          value,
          label: value === 'own' ? 'the gym’s own words' : value.charAt(0).toUpperCase() + value.slice(1),
        }))}
        onChange={(value) => onChange({ countLanguage: value })}
      />
      {school.countLanguage === 'own' && (
        <WordsField
          label="Own count words, from one on"
          hint="with commas between; phones may follow a colon, such as hup: hh ah p"
          words={school.countWords}
          error={errors.of('countWords')}
          onChange={(countWords) => onChange({ countWords })}
        />
      )}
    </div>
  );
}
