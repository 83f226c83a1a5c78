import { useMemo, useState, type ReactNode } from 'react';
import { PACE_FACTORS, audienceOf } from '@eurhythm/core/body';
import type { BeatLine } from '@eurhythm/core/line';
import { easier, easierAt, harder, writtenStrokes, type RecipeKind } from '@eurhythm/core/teach';
import { cleanTempos } from '@eurhythm/core/tempo';
import { BPM_LIMITS } from '@eurhythm/core/units';
import type { SaveComboDto } from '@eurhythm/contract';
import { useBook, useGym } from '../../../server/gymData.ts';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Press, Way } from './Way.tsx';

interface EasierAndHarderProps {
  readonly combo: SaveComboDto;
  readonly line: BeatLine;
  form(kind: RecipeKind, step: number | null, line: string, what: string, gradeId?: string): ReactNode;
}

/** What is shown of the ways to make it harder until more is asked for. */
const FEW = 3;

/** The forms for a lower grade or a band of children, which a form is made for when it is kept there, and for who is ready for more. */
export function EasierAndHarder({ combo, line, form }: EasierAndHarderProps) {
  const book = useBook();
  const { grades, school } = useGym();
  const [easierFor, setEasierFor] = useState(grades[0]?.id ?? '');
  const [shown, setShown] = useState(FEW);
  const made = useMemo(
    () => easier(line, book, audienceOf(easierFor, grades, school.youth)),
    [line, book, easierFor, grades, school],
  );
  const single = useMemo(
    () =>
      writtenStrokes(line).flatMap((_, place) => {
        const one = easierAt(line, book, place);
        return one ? [{ ...one, place }] : [];
      }),
    [line, book],
  );
  const ways = useMemo(
    () => harder(line, book, audienceOf(combo.gradeId, grades, school.youth)),
    [line, book, combo.gradeId, grades, school],
  );
  const cleanUpTo = useMemo(() => cleanTempos(book), [book]);
  const cleanText = (text: string): string => {
    const bpm = cleanUpTo({ ...combo, id: '', line: text }, PACE_FACTORS[school.pace]);
    return bpm < BPM_LIMITS.max ? `clean up to ${bpm}` : '';
  };
  return (
    <>
      <Way
        name="Easier"
        what={
          made.changes.length === 0
            ? 'nothing in it can be easier for this grade'
            : made.line === ''
              ? `nothing is left: ${made.changes.join(' ')}`
              : made.changes.join(' ')
        }
        actions={
          made.line !== '' && made.changes.length > 0 && form('easier', null, made.line, 'easier', easierFor)
        }
      >
        <ChoiceField
          label="for"
          className="mt-1 w-40"
          value={easierFor}
          choices={grades.map((grade) => ({ value: grade.id, label: grade.name }))}
          onChange={setEasierFor}
        />
        <ul aria-label="Easier, one move at a time">
          {single.map(({ place, line: text, changes }) => (
            <li key={place} className="flex flex-wrap items-center gap-x-3 pt-1">
              {changes.join(' ')} {form('easier', place, text, 'easier')}
            </li>
          ))}
        </ul>
      </Way>
      <Way
        name="Harder"
        what={ways.length === 0 ? 'nothing that this grade may do makes it harder' : 'one thing at a time'}
        actions={ways.length > shown && <Press onPress={() => setShown(ways.length)}>All</Press>}
      >
        <ul aria-label="Harder, one thing at a time">
          {ways.slice(0, shown).map(({ line: text, changes }, i) => (
            <li key={text} className="flex flex-wrap items-center gap-x-3 pt-1">
              <span className="min-w-0 flex-1">
                {changes.join(' ')}{' '}
                <span className="text-sm whitespace-nowrap text-quiet">{cleanText(text)}</span>
              </span>
              {form('harder', i, text, 'harder')}
            </li>
          ))}
        </ul>
      </Way>
    </>
  );
}
