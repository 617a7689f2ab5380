"use client";

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import type { ReactNode } from "react";

/** Moves one item of a list to the place of another. */
export function moved<T>(items: readonly T[], from: number, to: number): readonly T[] {
  const item = items[from];
  if (item === undefined || to < 0 || to >= items.length) return items;
  const rest = items.filter((_, i) => i !== from);
  return [...rest.slice(0, to), item, ...rest.slice(to)];
}

export interface OrderedItem {
  readonly id: string;
  readonly label: string;
}

function Row({
  item,
  rank,
  grip,
  disabled,
  children,
}: {
  item: OrderedItem;
  rank: number;
  grip: string;
  disabled: boolean;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: item.id,
    disabled,
  });
  const style = {
    transform: transform ? `translate3d(0, ${Math.round(transform.y)}px, 0)` : undefined,
    transition,
  };
  return (
    <li ref={setNodeRef} style={style} className="ordered" data-dragging={isDragging}>
      <span className="rank" aria-hidden="true">
        {rank}
      </span>
      {disabled ? null : (
        <button type="button" className="grip" aria-label={grip} {...attributes} {...listeners}>
          <span aria-hidden="true">⠿</span>
        </button>
      )}
      <div className="ordered-what">{children}</div>
    </li>
  );
}

/** A list in the order of preference: dragged by its grips, or moved with the keyboard (space, arrows, space). */
export function OrderedList({
  items,
  disabled,
  label,
  gripLabel,
  render,
  onOrder,
}: {
  items: readonly OrderedItem[];
  disabled: boolean;
  label: string;
  gripLabel: (item: OrderedItem) => string;
  render: (item: OrderedItem, index: number) => ReactNode;
  onOrder: (ids: readonly string[]) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = items.map((i) => i.id);
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      onOrder(moved(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext id={`order-${label}`} sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="ordered-list" aria-label={label}>
          {items.map((item, i) => (
            <Row key={item.id} item={item} rank={i + 1} grip={gripLabel(item)} disabled={disabled}>
              {render(item, i)}
            </Row>
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
