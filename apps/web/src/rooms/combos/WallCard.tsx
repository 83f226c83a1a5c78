import { Printer } from 'lucide-react';
import { useParams } from 'react-router';
import { PaperCautions } from '../../ui/panels/PaperCautions.tsx';
import { Button, ButtonLink } from '../../ui/buttons/Button.tsx';
import { Plain } from '../../ui/panels/Panel.tsx';
import { SmallStrip } from '../../strip/SmallStrip.tsx';
import { useCombos, useGym } from '../../server/gymData.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

/** The combos of a grade for the wall: large numbers and strips that read in black and white. */
export function WallCard() {
  const { gradeId = '' } = useParams();
  const all = useCombos();
  const gym = useGym();
  const grade = gym.grades.find((each) => each.id === gradeId);
  if (!grade) return <Plain>There is no such grade. Choose one from the list of combos.</Plain>;
  const combos = all.filter((combo) => combo.gradeId === gradeId);
  return (
    <article className="print-card mx-auto w-full max-w-4xl px-8 py-6">
      <div className="no-print mb-4 flex gap-3">
        <Button weight="main" onClick={() => window.print()}>
          <Printer size={16} aria-hidden /> Print
        </Button>
        <ButtonLink to="/combos">Back to the combos</ButtonLink>
      </div>
      <header className="flex items-end justify-between border-b-2 border-ink pb-1">
        <Heading className="text-5xl">{grade.name}</Heading>
        <p>{gym.name}</p>
      </header>
      {combos.length === 0 && <Plain>This grade has no combo yet.</Plain>}
      <ol>
        {combos.map((combo) => (
          <li
            key={combo.id}
            className="grid break-inside-avoid grid-cols-[4.5rem_1fr] gap-x-4 border-b border-ink py-2"
          >
            <strong className="font-heading text-6xl leading-none">{combo.number}</strong>
            <div className="min-w-0">
              <div className="flex flex-wrap items-baseline justify-between gap-x-4">
                <h2 className="text-xl">{combo.title}</h2>
                <span className="whitespace-nowrap">
                  {combo.bpm} a minute{combo.bothLeads ? ' · both leads' : ''}
                </span>
              </div>
              <SmallStrip line={combo.line} beatsPerBar={combo.beatsPerBar} room={700} size="wall" />
              <code className="block font-line text-lg break-words">{combo.line}</code>
              {combo.focus.length > 0 && <p className="text-sm">{combo.focus.join(' · ')}</p>}
            </div>
          </li>
        ))}
      </ol>
      <PaperCautions />
    </article>
  );
}
