import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from './icon-button.tsx';

/** Rows that can be put in order by dragging, with the mouse or by keys. */
export function DragArea({
  ids,
  onDrop,
  children,
}: {
  ids: string[];
  onDrop: (event: DragEndEvent) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDrop}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** A row that can be dragged by its handle; the handle takes the keyboard too. */
export function DraggableRow({
  id,
  name,
  className,
  style,
  children,
}: {
  id: string;
  name: string;
  className: string;
  style: React.CSSProperties;
  children: ReactNode;
}) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      className={`${className} ${isDragging ? 'z-10 bg-paper opacity-80 outline-2 outline-sea' : ''}`}
      style={{ ...style, transform: CSS.Translate.toString(transform), transition }}
    >
      <IconButton
        {...attributes}
        {...listeners}
        name={`Drag ${name}`}
        icon={GripVertical}
        size={15}
        className="mt-1 shrink-0 cursor-grab touch-none p-0.5!"
      />
      {children}
    </li>
  );
}

/** Something beside the rows that can be dragged among them, by its handle. */
export function DraggableItem({ id, name, children }: { id: string; name: string; children: ReactNode }) {
  const { setNodeRef, attributes, listeners, transform, isDragging } = useDraggable({ id });
  return (
    <li
      ref={setNodeRef}
      className={`flex items-start gap-1.5 border-t py-1 ${isDragging ? 'relative z-20 bg-paper opacity-90 outline-2 outline-sea' : ''}`}
      style={{ transform: CSS.Translate.toString(transform) }}
    >
      <IconButton
        {...attributes}
        {...listeners}
        name={`Drag ${name}`}
        icon={GripVertical}
        size={13}
        className="mt-0.5 shrink-0 cursor-grab touch-none p-0.5!"
      />
      {children}
    </li>
  );
}
