import { useMemo, useState } from 'react';
import { NavLink } from 'react-router';
import { analyseCombo } from '@eurhythm/core/body';
import { type MoveBook } from '@eurhythm/core/moves';
import { planCycle } from '@eurhythm/core/rounds';
import { groupBy } from '@eurhythm/core/units';
import type { ComboView } from '@eurhythm/contract';
import { TextField } from '../../ui/Field.tsx';
import { Strip } from '../../strip/Strip.tsx';

/** The gym's combos, grade by grade, each with its strip. */
export function ComboList({ combos, book }: { combos: readonly ComboView[]; book: MoveBook }) {
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLocaleLowerCase();
  const shown = combos.filter((combo) =>
    [combo.title, combo.line, combo.notes, `${combo.grade} ${combo.number}`].some((text) =>
      text.toLocaleLowerCase().includes(wanted),
    ),
  );
  const grades = groupBy(shown, (combo) => combo.grade);
  return (
    <nav aria-label="Combos" className="pb-6">
      <TextField
        label="Find"
        className="px-5 pt-3"
        placeholder="title, line, note or grade"
        value={search}
        onChange={(e) => setSearch(e.target.value)}
      />
      {shown.length === 0 && (
        <p className="px-5 pt-4 text-quiet">No combo has that. Look for another word.</p>
      )}
      {[...grades].map(([grade, own]) => (
        <section key={grade}>
          <h2 className="flex justify-between px-5 pt-4 pb-1 text-sm text-quiet">
            <span>{grade}</span>
            <span className="font-text font-normal">{own.length}</span>
          </h2>
          <ul>
            {own.map((combo) => (
              <li key={combo.id}>
                <ComboRow combo={combo} book={book} />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </nav>
  );
}

function ComboRow({ combo, book }: { combo: ComboView; book: MoveBook }) {
  return (
    <NavLink
      to={`/combos/${combo.id}`}
      className={({ isActive }) =>
        `grid min-h-12 grid-cols-[2.25rem_1fr_auto] items-center gap-1 border-l-[6px] py-1 pr-4 pl-3.5 ${isActive ? 'border-tape bg-paper' : 'border-transparent hover:bg-hint'}`
      }
    >
      <span className="font-heading text-2xl font-bold">{combo.number}</span>
      <span className="leading-tight">{combo.title}</span>
      <SmallStrip line={combo.line} beatsPerBar={combo.beatsPerBar} book={book} room={112} />
    </NavLink>
  );
}

/** A combo's strip at the height of a row; nothing when its line cannot be read. */
export function SmallStrip({
  line,
  beatsPerBar,
  book,
  room,
}: {
  line: string;
  beatsPerBar: number;
  book: MoveBook;
  room: number;
}) {
  const drawn = useMemo(() => {
    const analysis = analyseCombo(line, book, 'left');
    const cycle = planCycle({ id: '', grade: '', number: 1, title: '', line, beatsPerBar }, book, 'left', 90);
    return analysis.ok && cycle ? { walk: analysis.walk, beats: cycle.beats } : null;
  }, [line, beatsPerBar, book]);
  if (!drawn) return null;
  return (
    <span className="block overflow-hidden" style={{ maxWidth: room }}>
      <Strip walk={drawn.walk} beats={drawn.beats} lead="left" size="row" room={room} />
    </span>
  );
}
