import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Navigate, useMatch, useParams } from 'react-router';
import { formFromMove, type MoveView, type SaveMoveDto } from '@eurhythm/contract';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { ListAndPage, useIsWide } from '../../ui/panels/ListAndPage.tsx';
import { Plain } from '../../ui/panels/Panel.tsx';
import { GradeLists } from './GradeLists.tsx';
import { MoveEditor } from './MoveEditor.tsx';
import { MoveList } from './MoveList.tsx';
import { NumberMap } from './NumberMap.tsx';
import { useBookView, useGym } from '../../server/gymData.ts';

/** The gym's book of moves on the left; a move, or the number map, on the right. */
export function MovesRoom() {
  const { code, gradeId } = useParams();
  const showsGrades = useMatch('/moves/grades/*') !== null;
  const book = useBookView();
  const gym = useGym();
  const [search, setSearch] = useState('');
  const isWide = useIsWide();
  if (showsGrades && gradeId === undefined && gym.grades[0])
    return <Navigate to={`/moves/grades/${gym.grades[0].id}`} replace />;
  if (!showsGrades && code === undefined && book.items[0] && isWide)
    return <Navigate to={`/moves/${book.items[0].code}`} replace />;
  const open = book.items.find((move) => move.code === code);
  return (
    <ListAndPage
      width="lg:w-[22rem]"
      isOpen={showsGrades || code !== undefined}
      back={{ to: '/moves', label: 'All moves' }}
      list={
        <>
          <div className="flex gap-2 px-5 pt-4">
            <ButtonLink to="/moves/new" className="flex-1">
              <Plus size={18} aria-hidden /> Add
            </ButtonLink>
            <ButtonLink to="/moves/numbers">Numbers</ButtonLink>
            <ButtonLink to="/moves/grades">Grades</ButtonLink>
          </div>
          <MoveList search={search} onSearch={setSearch} />
        </>
      }
    >
      {showsGrades ? (
        <GradeLists gradeId={gradeId ?? ''} />
      ) : code === 'numbers' ? (
        <NumberMap key={JSON.stringify(book.numbers)} />
      ) : code === 'new' ? (
        <MoveEditor key="new" code={null} saved={NEW_MOVE} move={null} />
      ) : open ? (
        <MoveEditor key={open.code} code={open.code} saved={formFromMove(withoutRetired(open))} move={open} />
      ) : (
        <div className="px-8">
          <Plain>This move is not in the book. Choose one on the left.</Plain>
        </div>
      )}
    </ListAndPage>
  );
}

function withoutRetired({ retired: _, ...move }: MoveView) {
  return move;
}

/** A plain rear-hand strike to begin with. */
const NEW_MOVE: SaveMoveDto = {
  name: '',
  sayLong: '',
  sayShort: '',
  family: 'punch',
  limb: 'hand',
  side: 'rear',
  level: 'head',
  surface: '',
  target: '',
  out: 0.2,
  back: 0.2,
  turn: 1,
  spin: 0,
  support: 'both-feet',
  lead: 'keeps',
  facing: 0,
  forward: 0,
  right: 0,
  stance: null,
  parts: [{ name: '', cue: '' }],
  faults: [],
  easier: null,
  cautions: [],
  aliases: [],
  minGrade: null,
  role: null,
};
