import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { groupBy } from '@eurhythm/core/units';
import { queries } from '../../server/queries.ts';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { Part } from '../../ui/panels/Panel.tsx';
import { useFetchedDrawing } from './pictures/Picture.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

/** Everybody in the gym, grade by grade. */
export function FighterList() {
  useFetchedDrawing();
  const { data: fighters } = useQuery(queries.fighters());
  if (!fighters) return null;
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <div className="mb-6 flex items-end justify-between">
        <Heading className="text-3xl">Fighters</Heading>
        <div className="flex flex-wrap gap-3">
          <ButtonLink to="/fighters/class">Class progress</ButtonLink>
          <ButtonLink weight="bare" to="/fighters/from-file">
            Strikes from a file
          </ButtonLink>
          <ButtonLink to="/fighters/new">
            <Plus size={18} aria-hidden /> Add a fighter
          </ButtonLink>
        </div>
      </div>
      <div className="grid gap-x-12 gap-y-7 md:grid-cols-2">
        {[...groupBy(fighters, (fighter) => fighter.grade)].map(([grade, own]) => (
          <Part key={grade} title={grade} aside={own.length === 1 ? '1 fighter' : `${own.length} fighters`}>
            <ul>
              {own.map((fighter) => (
                <li key={fighter.id} className="border-b border-rule">
                  <Link
                    to={`/fighters/${fighter.id}`}
                    className="flex min-h-12 items-center justify-between gap-4 px-1 py-1.5 hover:bg-hint"
                  >
                    <span>
                      <span className="font-semibold">{fighter.name}</span>
                      {fighter.note !== '' && (
                        <span className="block text-sm text-caution">{fighter.note}</span>
                      )}
                    </span>
                    <span className="text-sm whitespace-nowrap text-quiet">
                      {fighter.fit ? `${fighter.lead} lead` : 'not fit to train'}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </Part>
        ))}
      </div>
    </div>
  );
}
