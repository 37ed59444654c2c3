import { useDroppable } from '@dnd-kit/core';
import type { LucideIcon } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { IconButton } from '../../../ui/icon-button.tsx';

/** Milliseconds that something is held over the button before the page turns. */
const HELD = 700;

/** A button that turns to the month or week before or after; what is dragged and held over it turns too. */
export function TurnButton({ name, icon, onTurn }: { name: string; icon: LucideIcon; onTurn: () => void }) {
  const { setNodeRef, isOver } = useDroppable({ id: `turn ${name}` });
  const turn = useRef(onTurn);
  turn.current = onTurn;
  useEffect(() => {
    if (!isOver) return;
    const held = setInterval(() => turn.current(), HELD);
    return () => clearInterval(held);
  }, [isOver]);
  return (
    <span ref={setNodeRef} className={`inline-flex rounded p-1.5 ${isOver ? 'outline-2 outline-sea' : ''}`}>
      <IconButton name={name} icon={icon} onClick={onTurn} />
    </span>
  );
}
