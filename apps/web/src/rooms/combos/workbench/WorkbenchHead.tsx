import type { ReactNode } from 'react';
import type { SaveComboDto } from '@eurhythm/contract';
import { useCombos, useGym } from '../../../server/gymData.ts';
import { FormOf } from '../list/FormOf.tsx';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** Which combo is on the workbench, its tempo, and the buttons for the whole of it. */
export function WorkbenchHead({ combo, children }: { combo: SaveComboDto; children: ReactNode }) {
  const { grades } = useGym();
  const combos = useCombos();
  const grade = grades.find((each) => each.id === combo.gradeId);
  const parent = combo.variant && combos.find((other) => other.id === combo.variant!.parentId);
  return (
    <header className="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
      <div className="flex items-end gap-5">
        <span className="font-heading text-5xl leading-none font-bold">{combo.number || '–'}</span>
        <div>
          <p className="text-sm text-quiet">
            {grade?.name} grade
            {combo.focus.length > 0 && <strong className="ml-3">{combo.focus.join(' · ')}</strong>}
          </p>
          <Heading className="text-3xl">{combo.title || 'A new combo'}</Heading>
          {parent && <FormOf combo={combo} parent={parent} />}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <p className="mr-2">
          <strong className="font-heading text-2xl">{combo.bpm || '–'}</strong>{' '}
          <span className="text-sm text-quiet">a minute</span>
        </p>
        {children}
      </div>
    </header>
  );
}
