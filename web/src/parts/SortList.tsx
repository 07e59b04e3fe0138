import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from "@dnd-kit/sortable";
import type { ReactNode } from "react";
import { t } from "../text";

/**
 * A list whose rows are put in order: dragged by their handle, or with the keyboard, where Space takes a row up, the
 * arrows move it and Space puts it down.
 */
export function SortList<T extends { id: string }>({
  items,
  name,
  onOrder,
  children,
}: {
  items: T[];
  name: (item: T) => string;
  onOrder: (items: T[]) => void;
  children: (item: T, index: number) => ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 3 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const from = items.findIndex((i) => i.id === active.id);
        const to = items.findIndex((i) => i.id === over?.id);
        if (to >= 0 && from !== to) {
          onOrder(arrayMove(items, from, to));
        }
      }}
    >
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        <ol>
          {items.map((item, i) => (
            <Row key={item.id} id={item.id} name={name(item)}>
              {children(item, i)}
            </Row>
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Row({ id, name, children }: { id: string; name: string; children: ReactNode }) {
  const { setNodeRef, transform, transition, attributes, listeners, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      className={`flex items-center gap-2 border-b border-rule bg-sheet py-1 ${isDragging ? "relative z-10 border-ink" : ""}`}
      style={{
        transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined,
        transition: transition ?? undefined,
      }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={t("move {{name}}", { name })}
        className="cursor-grab touch-none self-start px-1 pt-1 text-soft"
      >
        <span aria-hidden="true">⠿</span>
      </button>
      {children}
    </li>
  );
}
