/** A point of a drawn map with the name that stands beside it, in the map's units. */
export interface Named {
  readonly x: number;
  readonly y: number;
  readonly name: string;
}

export interface LabelPlace {
  readonly x: number;
  /** The line on which the letters stand. */
  readonly y: number;
  readonly anchor: "start" | "middle" | "end";
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Letters of the map are 4.6 units high, and half as wide on average. */
const HEIGHT = 4.6;
const LETTER = 2.4;
const DOT = 3.6;
const GAP = 5;
const WIDTH = 100;

function boxOf({ x, y, anchor }: LabelPlace, name: string): Box {
  const width = name.length * LETTER;
  const left = anchor === "start" ? x : anchor === "end" ? x - width : x - width / 2;
  return { left, right: left + width, top: y - HEIGHT * 0.8, bottom: y + HEIGHT * 0.3 };
}

const overlap = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** Beside the point, or above or below it, moved in from the edge as far as it takes; and the same again further away. */
function placesFor({ x, y, name }: Named): readonly LabelPlace[] {
  const half = (name.length * LETTER) / 2;
  const middle = Math.max(half, Math.min(WIDTH - half, x));
  return [0, 1.4 * HEIGHT].flatMap((further): readonly LabelPlace[] => [
    { x: x + GAP, y: y + 1.7 + further, anchor: "start" },
    { x: x - GAP, y: y + 1.7 + further, anchor: "end" },
    { x: middle, y: y - GAP - further, anchor: "middle" },
    { x: middle, y: y + GAP + HEIGHT * 0.7 + further, anchor: "middle" },
  ]);
}

/** Where each name stands, so that it lies within the map and over no other name or point; the first place where there is none. */
export function labelPlaces(points: readonly Named[]): readonly LabelPlace[] {
  const dots = points.map(({ x, y }): Box => ({ left: x - DOT, right: x + DOT, top: y - DOT, bottom: y + DOT }));
  const taken: Box[] = [];
  return points.map((point, i) => {
    const places = placesFor(point);
    const isFree = (place: LabelPlace): boolean => {
      const box = boxOf(place, point.name);
      const others = [...taken, ...dots.filter((_, at) => at !== i)];
      return box.left >= 0 && box.right <= WIDTH && !others.some((other) => overlap(box, other));
    };
    const chosen = places.find(isFree) ?? places[0];
    if (!chosen) throw new Error("a point has no place for its name");
    taken.push(boxOf(chosen, point.name));
    return chosen;
  });
}
