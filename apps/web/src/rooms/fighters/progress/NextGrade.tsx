import type { FighterProgress, FighterView } from '@eurhythm/contract';
import { ButtonLink } from '../../../ui/buttons/Button.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';

/** What is still missing for the next grade, and the grades so far. */
export function NextGrade({ fighter, progress }: { fighter: FighterView; progress: FighterProgress }) {
  const { check, gradings } = progress;
  const dates = useDates();
  return (
    <Fold
      title={check ? `For ${check.grade}` : 'Grade'}
      aside={check && `${check.met} of ${check.lines.length} are there`}
    >
      {!check && <Plain>The next grade asks for nothing yet, or there is none.</Plain>}
      {check && (
        <>
          <ul>
            {check.lines
              .filter(({ isMet }) => !isMet)
              .map(({ requirement, asked, missing }) => (
                <li key={requirement.id} className="border-b border-rule py-1.5">
                  <span aria-hidden>☐ </span>
                  {asked}. <span className="text-sm text-quiet">{missing}</span>
                </li>
              ))}
          </ul>
          {check.met === check.lines.length && (
            <p className="py-2">All is there. A coach looks, and signs.</p>
          )}
          <ButtonLink className="mt-3" to={`/fighters/${fighter.id}/grade`}>
            Check list and sheet
          </ButtonLink>
        </>
      )}
      {gradings.length > 0 && (
        <ul className="pt-2 text-sm text-quiet">
          {gradings.map(({ id, grade, day, passed, signedBy }) => (
            <li key={id}>
              {grade}, {dates.tell(`${day}T12:00`, 'dated')}: {passed ? 'passed' : 'not yet'}, signed by{' '}
              {signedBy}
            </li>
          ))}
        </ul>
      )}
    </Fold>
  );
}
