"use client";

import { Button } from "antd";

/** Moves one of a list up or down, or takes it out. */
export function MoveButtons({
  index,
  count,
  name,
  move,
  remove,
}: {
  index: number;
  count: number;
  name: string;
  move: (to: number) => void;
  /** Null for what does not go by itself: a copy of a shared part, a field that belongs to the kind of its section. */
  remove: (() => void) | null;
}) {
  return (
    <span className="outline-moves">
      <Button size="small" type="text" disabled={index === 0} aria-label={`${name} up`} onClick={() => move(index - 1)}>
        ↑
      </Button>
      <Button
        size="small"
        type="text"
        disabled={index === count - 1}
        aria-label={`${name} down`}
        onClick={() => move(index + 1)}
      >
        ↓
      </Button>
      {remove ? (
        <Button size="small" type="text" aria-label={`Remove ${name}`} onClick={remove}>
          ×
        </Button>
      ) : null}
    </span>
  );
}
