import {
  DndContext,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { useState, type KeyboardEvent, type ReactNode } from "react";
import { techniqueOf } from "~core/techniques/library";
import Box from "@mui/material/Box";

/** A finger rests this long before it drags: until then it scrolls. A mouse drags once it moved so far. */
const held = { delay: 180, tolerance: 8 };
const moved = { distance: 8 };

/** Steps within it can be dragged to sessions within it; `move` is told which, from where and to where. */
export function DragSteps({
  session,
  move,
  children,
}: {
  /** The session whose steps are on show. */
  session: number;
  move: (technique: string, to: number) => void;
  children: ReactNode;
}) {
  const coarse = typeof matchMedia !== "undefined" && matchMedia("(pointer: coarse)").matches;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: coarse ? held : moved }));
  const [dragged, setDragged] = useState<string>();
  return (
    <DndContext
      id="steps"
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={{ screenReaderInstructions: { draggable: "" } }}
      onDragStart={({ active }) => setDragged(String(active.id))}
      onDragCancel={() => setDragged(undefined)}
      onDragEnd={({ active, over }) => {
        setDragged(undefined);
        const to = Number(over?.id);
        if (over && to !== session) move(String(active.id), to);
      }}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged !== undefined && (
          <Box
            sx={(t) => ({
              bgcolor: t.tokens.emberWash,
              border: `1px solid ${t.tokens.ember}`,
              borderRadius: "6px",
              px: 1,
              py: 0.5,
              width: "fit-content",
              fontWeight: 600,
            })}
          >
            {techniqueOf(dragged).name}
          </Box>
        )}
      </DragOverlay>
    </DndContext>
  );
}

/** Makes a step's row one that can be dragged. */
export function useStepDrag(technique: string, disabled: boolean) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: technique, disabled });
  return { ref: setNodeRef, listeners, isDragging };
}

/** Makes a session one that steps can be dropped on; `over` while one is held above it. */
export function useSessionDrop(session: number, disabled: boolean) {
  const { setNodeRef, isOver } = useDroppable({ id: session, disabled });
  return { ref: setNodeRef as unknown as (element: SVGRectElement | null) => void, over: isOver };
}

/** Alt with an arrow to the side moves a step one session back or on; how far, or undefined for other keys. */
export const stepKey = (event: KeyboardEvent): -1 | 1 | undefined =>
  event.altKey && event.key === "ArrowLeft" ? -1 : event.altKey && event.key === "ArrowRight" ? 1 : undefined;
