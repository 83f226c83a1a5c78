import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import { readPlace, type Place } from './arrange.ts';

/** A round is put among rounds; a block onto blocks or rounds. */
const amongItsLikes: CollisionDetection = (args) => {
  const picked = readPlace(String(args.active.id))?.kind;
  const containers = args.droppableContainers.filter(({ id }) => {
    const kind = readPlace(String(id))?.kind;
    return picked === 'round' ? kind === 'round' : true;
  });
  return closestCenter({ ...args, droppableContainers: containers });
};

/** Where rounds and blocks are dragged, by pointer, or by keys on their grips: space, arrows, space. */
export function Arrangeable({
  children,
  onPutDown,
}: {
  children: ReactNode;
  onPutDown: (from: Place, onto: Place) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = ({ active, over }: DragEndEvent): void => {
    const [from, onto] = [readPlace(String(active.id)), over && readPlace(String(over.id))];
    if (from && onto && active.id !== over!.id) onPutDown(from, onto);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={amongItsLikes} onDragEnd={end}>
      {children}
    </DndContext>
  );
}

export function SortableList({ ids, children }: { ids: readonly string[]; children: ReactNode }) {
  // The same list again lets the rows alone.
  const key = ids.join(' ');
  const items = useMemo(() => key.split(' '), [key]);
  return (
    <SortableContext items={items} strategy={verticalListSortingStrategy}>
      {children}
    </SortableContext>
  );
}

/** A row that can be picked up by its grip. */
export function SortableRow({
  id,
  label,
  className = '',
  children,
}: {
  id: string;
  label: string;
  className?: string;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      className={`flex items-start ${isDragging ? 'relative z-10 bg-paper opacity-90' : ''} ${className}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move ${label}`}
        className="mt-1 flex h-11 w-6 shrink-0 cursor-grab items-center justify-center rounded text-quiet hover:bg-hint hover:text-ink"
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <div className="min-w-0 flex-1">{children}</div>
    </li>
  );
}
