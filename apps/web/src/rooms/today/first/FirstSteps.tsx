import { useQuery } from '@tanstack/react-query';
import { Check } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { FirstCombo } from './FirstCombo.tsx';
import { FirstPeople } from './FirstPeople.tsx';
import { FirstSession, ToTheFloor } from './FirstSession.tsx';
import { NameTheGym } from './NameTheGym.tsx';

/** What a gym is called that nobody named. */
const UNNAMED = 'Your gym';

interface Step {
  readonly title: string;
  readonly isDone: boolean;
  readonly form: ReactNode;
}

/** What a gym that has just begun needs next, one step at a time and each done where it stands; gone after the first class. */
export function FirstSteps() {
  const { data: gym } = useQuery(queries.gym());
  const { data: fighters } = useQuery(queries.fighters());
  const { data: all } = useQuery(queries.combos());
  const { data: sessions } = useQuery(queries.sessions());
  const [chosen, setChosen] = useState<number | null>(null);
  if (!gym || !fighters || !all || !sessions) return null;
  const combos = all.filter(({ retired }) => !retired);
  const next = (): void => setChosen(null);
  const steps: readonly Step[] = [
    {
      title: 'Name the gym, and say how it calls strokes',
      isDone: gym.name !== UNNAMED,
      form: <NameTheGym gym={gym} onDone={next} />,
    },
    {
      title: 'Who trains',
      isDone: fighters.length > 0,
      form: <FirstPeople gym={gym} fighters={fighters} onAdd={() => setChosen(1)} onDone={next} />,
    },
    {
      title: 'A first combo',
      isDone: combos.length > 0,
      form: <FirstCombo gym={gym} combos={combos} onDone={next} />,
    },
    {
      title: 'A first session',
      isDone: sessions.length > 0,
      form: <FirstSession combos={combos} gym={gym} onDone={next} />,
    },
    { title: 'To the Floor', isDone: false, form: <ToTheFloor session={sessions[0]} /> },
  ];
  const open = chosen ?? steps.findIndex(({ isDone }) => !isDone);
  return (
    <Part
      title="First steps"
      aside={`${steps.filter(({ isDone }) => isDone).length} of ${steps.length} done`}
    >
      <ol aria-label="First steps">
        {steps.map(({ title, isDone, form }, i) => (
          <li
            key={title}
            className={`border-b border-rule py-2 ${i === open ? 'border-l-[10px] border-l-tape bg-paper px-4' : ''}`}
          >
            <span className="flex min-h-11 items-center gap-3">
              <span className="w-5">{isDone ? <Check size={18} aria-label="done" /> : i + 1}</span>
              {i === open ? (
                <strong className="text-lg">{title}</strong>
              ) : (
                <Button weight="bare" className="px-0!" onClick={() => setChosen(i)}>
                  {title}
                </Button>
              )}
            </span>
            {i === open && <div className="pb-3 pl-8">{form}</div>}
          </li>
        ))}
      </ol>
    </Part>
  );
}
