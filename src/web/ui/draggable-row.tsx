import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';

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
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Drag ${name}`}
        className="mt-1 shrink-0 cursor-grab touch-none rounded p-0.5 text-soft hover:text-ink"
      >
        <GripVertical size={15} aria-hidden />
      </button>
      {children}
    </li>
  );
}
