import { useState } from 'react';
import { NavLink } from 'react-router';
import { isAboveGrade } from '@eurhythm/core/body';
import type { Move } from '@eurhythm/core/moves';
import { groupBy } from '@eurhythm/core/units';
import { LIMB_KINDS } from '@eurhythm/contract';
import { ChoiceField, TextField } from '../../ui/fields/Field.tsx';
import { FAMILY_NAMES } from '../../server/familyNames.ts';
import { useBookView, useGym } from '../../server/gymData.ts';

interface MoveListProps {
  readonly search: string;
  onSearch(search: string): void;
}

/** The book by family, narrowed by a word, a limb or the grade that trains it. */
export function MoveList({ search, onSearch }: MoveListProps) {
  const { items: moves, numbers } = useBookView();
  const { grades } = useGym();
  const [limb, setLimb] = useState('');
  const [gradeId, setGradeId] = useState('');
  const adults = grades.filter((grade) => grade.band === 'adults');
  const order = adults.map((grade) => grade.id);
  const place = { name: '', order, rank: order.indexOf(gradeId) };
  const wanted = search.trim().toLocaleLowerCase();
  const matches = (move: Move): boolean =>
    (limb === '' || move.limb === limb) &&
    (gradeId === '' || !isAboveGrade(move, place)) &&
    (wanted === '' ||
      [move.code, move.name, ...move.aliases].some((word) => word.toLocaleLowerCase().includes(wanted)));
  const shown = moves.filter(matches);
  return (
    <>
      <div className="grid grid-cols-2 gap-2 px-5 pt-3">
        <TextField
          label="Find"
          className="col-span-2"
          value={search}
          placeholder="name, code or alias"
          onChange={(e) => onSearch(e.target.value)}
        />
        <ChoiceField
          label="Limb"
          value={limb}
          choices={[
            { value: '', label: 'any' },
            ...LIMB_KINDS.map((each) => ({ value: each, label: each.replace('-', ' ') })),
          ]}
          onChange={(value) => setLimb(value)}
        />
        <ChoiceField
          label="Trained by"
          value={gradeId}
          choices={[
            { value: '', label: 'any grade' },
            ...adults.map((grade) => ({ value: grade.id, label: grade.name })),
          ]}
          onChange={(value) => setGradeId(value)}
        />
      </div>
      <nav aria-label="Moves" className="pb-6">
        {shown.length === 0 && (
          <p className="px-5 pt-4 text-quiet">No move is called that. Add it, or look for another word.</p>
        )}
        {[...groupBy(shown, (move) => move.family)].map(([family, own]) => (
          <section key={family}>
            <h2 className="flex justify-between px-5 pt-4 pb-1 text-sm text-quiet">
              <span>{FAMILY_NAMES[family]}</span>
              <span className="font-text font-normal">{own.length}</span>
            </h2>
            <ul>
              {own.map((move) => (
                <li key={move.code}>
                  <NavLink
                    to={`/moves/${move.code}`}
                    className={({ isActive }) =>
                      `grid min-h-11 grid-cols-[1fr_auto_2.5rem] items-center gap-2 border-l-[6px] py-1 pr-5 pl-3.5 ${isActive ? 'border-tape bg-paper' : 'border-transparent hover:bg-hint'}`
                    }
                  >
                    <span className={move.retired ? 'text-quiet line-through' : ''}>{move.name}</span>
                    <code className="font-line text-sm text-quiet">{move.code}</code>
                    <span className="text-right font-heading font-bold">
                      {numbers
                        .filter((entry) => entry.code === move.code)
                        .map((entry) => entry.number)
                        .join(' ')}
                    </span>
                  </NavLink>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </nav>
    </>
  );
}
