'use client';

import {
  DndContext,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useCallback, useId, type CSSProperties, type ReactNode } from 'react';

/** A press that stays is no drag, and neither is a finger that scrolls. */
const MOUSE = { activationConstraint: { distance: 5 } };
const TOUCH = { activationConstraint: { delay: 250, tolerance: 8 } };

/** What is dragged says so where it lies; keys move it by another way, which the screen tells. */
const SILENT = {
  announcements: {
    onDragStart: () => undefined,
    onDragOver: () => undefined,
    onDragEnd: () => undefined,
    onDragCancel: () => undefined,
  },
  screenReaderInstructions: { draggable: '' },
};

/** Things within are dragged onto each other, by mouse, or by a finger that rests on them first. Escape
 * leaves them where they are. */
export function DragGround<Id extends string>({
  onDrop,
  children,
}: {
  onDrop: (dragged: Id, onto: Id) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(useSensor(MouseSensor, MOUSE), useSensor(TouchSensor, TOUCH));
  return (
    <DndContext
      id={useId()}
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={SILENT}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onDrop(active.id as Id, over.id as Id);
      }}
    >
      {children}
    </DndContext>
  );
}

/** One thing that can be dragged, or dragged onto.
 * Nothing else may move it by a transform: the ground measures without.
 * @returns `ref` for the thing, `grip` for what it is dragged by; `style` moves it with the hand */
export function useDragged(
  id: string,
  { movable = true, target = true } = {},
): {
  readonly ref: (node: HTMLElement | null) => void;
  readonly grip: ReturnType<typeof useDraggable>['listeners'];
  readonly dragged: boolean;
  /** Whether something else would be dropped here. */
  readonly over: boolean;
  readonly style: CSSProperties;
} {
  const drag = useDraggable({ id, disabled: !movable });
  const drop = useDroppable({ id, disabled: !target });
  const { setNodeRef: setDragged, transform, isDragging } = drag;
  const { setNodeRef: setTarget } = drop;
  const ref = useCallback(
    (node: HTMLElement | null) => {
      setDragged(node);
      setTarget(node);
    },
    [setDragged, setTarget],
  );
  const moved = transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined;
  return {
    ref,
    grip: drag.listeners,
    dragged: isDragging,
    over: drop.isOver && !isDragging,
    style: { transform: moved, zIndex: isDragging ? 10 : undefined },
  };
}
