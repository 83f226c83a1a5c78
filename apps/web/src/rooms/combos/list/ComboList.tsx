import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  arrayMove,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { useQueryClient } from '@tanstack/react-query';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { GripVertical } from 'lucide-react';
import { memo, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Link, NavLink } from 'react-router';
import { toast } from 'sonner';
import type { ComboView } from '@eurhythm/contract';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { comboFilter, NO_FILTER } from './comboFilter.ts';
import { ComboFilters } from './ComboFilters.tsx';
import { SmallStrip } from '../../../strip/SmallStrip.tsx';
import { useBook, useCombos } from '../../../server/gymData.ts';

type Row =
  | { readonly kind: 'grade'; readonly grade: string; readonly gradeId: string; readonly count: number }
  | { readonly kind: 'combo'; readonly combo: ComboView };

/** The gym's combos, grade by grade, each with its strip; dragged, they take the numbers of their grade in a new order. */
export function ComboList() {
  const combos = useCombos();
  const book = useBook();
  const [filter, setFilter] = useState(NO_FILTER);
  const shown = useMemo(() => combos.filter(comboFilter(filter, book)), [combos, filter, book]);
  const rows = useMemo(() => rowsOf(shown), [shown]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const reorder = useReorder(combos);
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), []);
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: (i) => (rows[i]!.kind === 'grade' ? 42 : 48),
    getItemKey: (i) => keyOf(rows[i]!),
    overscan: 8,
    scrollMargin: top,
  });
  return (
    <nav aria-label="Combos" className="pb-6">
      <ComboFilters filter={filter} onChange={setFilter} />
      {shown.length === 0 && (
        <p className="px-5 pt-4 text-quiet">
          {combos.length === 0
            ? 'No combos yet: what you write stands here, grade by grade.'
            : 'No combo has that. Look for another word, or take a filter away.'}
        </p>
      )}
      <DndContext sensors={sensors} onDragEnd={reorder}>
        <SortableContext items={shown.map((combo) => combo.id)} strategy={verticalListSortingStrategy}>
          <div ref={list} role="list" className="relative" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ index, key, start }) => (
              <div
                key={key}
                ref={virtual.measureElement}
                data-index={index}
                role="listitem"
                className="absolute inset-x-0 top-0"
                style={{ transform: `translateY(${start - top}px)` }}
              >
                <ListRow row={rows[index]!} />
              </div>
            ))}
          </div>
        </SortableContext>
      </DndContext>
    </nav>
  );
}

function rowsOf(combos: readonly ComboView[]): Row[] {
  const counts = new Map<string, number>();
  for (const { grade } of combos) counts.set(grade, (counts.get(grade) ?? 0) + 1);
  return combos.flatMap((combo, i): Row[] => {
    const row: Row = { kind: 'combo', combo };
    return combos[i - 1]?.grade === combo.grade
      ? [row]
      : [{ kind: 'grade', grade: combo.grade, gradeId: combo.gradeId, count: counts.get(combo.grade)! }, row];
  });
}

function keyOf(row: Row): string {
  return row.kind === 'grade' ? `grade ${row.grade}` : row.combo.id;
}

/** Lets a dragged combo take its new place among the combos of its grade. */
function useReorder(combos: readonly ComboView[]) {
  const client = useQueryClient();
  const save = useWrite<{ items: ComboView[] }, { gradeId: string; ids: string[] }>(
    (order) => putRequest(SUBJECTS.order, 'combos/order', order),
    {
      onSuccess: ({ items }) => client.setQueryData(['combos'], items),
      onError: (error) => toast.error(error.message),
    },
  );
  return ({ active, over }: DragEndEvent): void => {
    const moved = combos.find((combo) => combo.id === active.id);
    const target = combos.find((combo) => combo.id === over?.id);
    if (!moved || !target || moved === target) return;
    if (moved.gradeId !== target.gradeId) {
      toast('A combo keeps its grade when it is dragged. The card changes the grade.');
      return;
    }
    const ids = combos.filter((combo) => combo.gradeId === moved.gradeId).map((combo) => combo.id);
    save.mutate({
      gradeId: moved.gradeId,
      ids: arrayMove(ids, ids.indexOf(moved.id), ids.indexOf(target.id)),
    });
  };
}

const ListRow = memo(function ListRow({ row }: { row: Row }) {
  if (row.kind === 'combo') return <ComboRow combo={row.combo} />;
  return (
    <h2 className="flex justify-between px-5 pt-4 pb-1 text-sm text-quiet">
      <span>{row.grade}</span>
      <span className="font-text font-normal">
        <Link
          to={`/combos/wall/${row.gradeId}`}
          className="finger mr-3 underline decoration-rule underline-offset-4"
        >
          for the wall
        </Link>
        {row.count}
      </span>
    </h2>
  );
});

function ComboRow({ combo }: { combo: ComboView }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: combo.id,
  });
  return (
    <div
      ref={setNodeRef}
      className={`group relative ${isDragging ? 'z-10 bg-paper' : ''}`}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
    >
      <NavLink
        to={`/combos/${combo.id}`}
        className={({ isActive }) =>
          `grid min-h-12 grid-cols-[2.25rem_1fr_auto] items-center gap-1 border-l-[6px] py-1 pr-7 pl-3.5 ${isActive ? 'border-tape bg-paper' : 'border-transparent hover:bg-hint'}`
        }
      >
        <span className="font-heading text-2xl font-bold">{combo.number}</span>
        <span className="leading-tight">{combo.title}</span>
        <SmallStrip line={combo.line} beatsPerBar={combo.beatsPerBar} room={104} />
      </NavLink>
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move ${combo.grade} ${combo.number} to another number`}
        className="absolute inset-y-0 right-0 flex w-7 cursor-grab items-center justify-center text-quiet opacity-0 group-hover:opacity-100 focus-visible:opacity-100"
      >
        <GripVertical size={16} aria-hidden />
      </button>
    </div>
  );
}
