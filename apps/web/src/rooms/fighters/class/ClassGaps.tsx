import { classGaps, type ClassGaps as Gaps } from '@eurhythm/core/progress';
import type { GradeCheckView } from '@eurhythm/contract';
import { requirementOf } from '@eurhythm/contract';
import { ButtonLink } from '../../../ui/buttons/Button.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';

/** So many are named where many lack the same; the others are counted. */
const NAMED = 6;

/** What a class still lacks for each grade that somebody is on the way to, with a press that works on it. */
export function ClassGaps({ checks }: { checks: readonly GradeCheckView[] }) {
  const gaps = classGaps(
    checks.map((check) => ({
      ...check,
      lines: check.lines.map((line) => ({ ...line, requirement: requirementOf(line.requirement) })),
    })),
  );
  return (
    <>
      {gaps.map((grade) => (
        <Part key={grade.gradeId} title={`Missing for ${grade.grade}`} aside={peopleText(grade)}>
          {grade.lines.length === 0 && <Plain>Nothing is missing.</Plain>}
          <ul>
            {grade.lines.map(({ requirement, asked, lacking }) => (
              <li
                key={requirement.id}
                className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 border-b border-rule py-1.5"
              >
                <p>
                  <span className="font-semibold">{asked}</span>{' '}
                  <span className="tabular text-quiet">
                    {lacking.length} of {grade.people}
                  </span>
                  <span className="block text-sm text-quiet">{namesOf(lacking)}</span>
                </p>
                <WorkOn requirement={requirement} />
              </li>
            ))}
          </ul>
        </Part>
      ))}
    </>
  );
}

function peopleText({ people, ready }: Gaps): string {
  const all = ready.length > 0 ? `; all of it: ${ready.join(', ')}` : '';
  return `${people} on the way${all}`;
}

function namesOf(names: readonly string[]): string {
  const more = names.length - NAMED;
  return more > 0 ? `${names.slice(0, NAMED).join(', ')} and ${more} more` : names.join(', ');
}

/** What comes of itself with the classes has no press. */
function WorkOn({ requirement }: Pick<Gaps['lines'][number], 'requirement'>) {
  switch (requirement.kind) {
    case 'combo': {
      const tempo = requirement.bpm === null ? '' : `&bpm=${requirement.bpm}`;
      return (
        <ButtonLink weight="bare" to={`/sessions/new?combo=${requirement.comboId}${tempo}`}>
          Put it into a session
        </ButtonLink>
      );
    }
    case 'test':
      return (
        <ButtonLink weight="bare" to={`/sessions/new?test=${requirement.testId}`}>
          Plan the test
        </ButtonLink>
      );
    case 'shown':
      return (
        <ButtonLink weight="bare" to="/fighters/test-day">
          Test day
        </ButtonLink>
      );
    case 'rounds':
    case 'sessions':
    case 'time':
      return <span className="text-sm text-quiet">comes with the classes</span>;
    default:
      return requirement satisfies never;
  }
}
