import { Link } from 'react-router';
import { followsParent } from '@eurhythm/core/teach';
import { audienceOf } from '@eurhythm/core/body';
import type { ComboView, SaveComboDto } from '@eurhythm/contract';
import { useBook, useGym } from '../../../server/gymData.ts';

interface FormOfProps {
  readonly combo: SaveComboDto;
  readonly parent: ComboView;
}

/** Of which combo this one is a form, and whether it still follows it. */
export function FormOf({ combo, parent }: FormOfProps) {
  const gym = useGym();
  const book = useBook();
  const { variant, gradeId, line } = combo;
  if (!variant) return null;
  const audience = audienceOf(gradeId, gym.grades, gym.school.youth);
  const follows = followsParent(line, parent.line, variant, book, audience);
  return (
    <p className="text-sm text-quiet">
      {variant.kind} form of{' '}
      <Link to={`/combos/${parent.id}`} className="underline underline-offset-4">
        {parent.grade} {parent.number}
      </Link>
      {follows ? ', follows its line' : ', edited: it goes its own way'}
    </p>
  );
}
