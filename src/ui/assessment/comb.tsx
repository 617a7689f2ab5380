import { readComb } from "../../core/assessment/comb";
import type { Standing } from "../../core/rulebook/requirement";

interface Size {
  readonly width: number;
  readonly height: number;
  /** Room above the bar for the mark of what is on its way. */
  readonly top: number;
  /** How thick the lines of a frame are. */
  readonly line: number;
}

const LINE = 1.5;
const SMALL: Size = { width: 8, height: 18, top: 4, line: LINE };
const LARGE: Size = { width: 12, height: 26, top: 5, line: LINE };
/** A list gives every comb the same room: with more bars they stand closer and are slimmer, on whole pixels. */
const STEPS = [
  { most: 12, width: 8, gap: 4, line: LINE },
  { most: 16, width: 6, gap: 3, line: LINE },
  { most: 24, width: 4, gap: 2, line: LINE },
  { most: 35, width: 3, gap: 1, line: 1 },
] as const;
const MOST_BARS = 35;

const box = (x: number, y: number, width: number, height: number) => `M${x} ${y}h${width}v${height}h-${width}z`;

/** A frame without its filling, drawn as one box inside the other. */
const frame = (x: number, y: number, width: number, height: number, line: number) =>
  box(x, y, width, height) + box(x + line, y + line, width - 2 * line, height - 2 * line);

/** The shape of a bar, which tells the standing, as an SVG path to be filled by the even-odd rule. */
function barShape(standing: Standing, x: number, { width, height, top, line }: Size): string {
  const half = height / 2;
  switch (standing) {
    case "missing":
      return frame(x, top, width, height, line);
    case "promised":
      return `M${x + width / 2 - LINE} ${LINE}a${LINE} ${LINE} 0 1 0 3 0a${LINE} ${LINE} 0 1 0 -3 0z${frame(x, top, width, height, line)}`;
    case "to check":
      return `${box(x, top, width, half)}${box(x + line, top + line, width - 2 * line, half - line)}${box(x, top + half, width, half)}`;
    case "accepted":
      return box(x, top, width, height);
    case "returned":
      return `M${x} ${top}h${width}v${height / 3}l${-width / 2} ${height / 6}l${width / 2} ${height / 6}v${height / 3}h-${width}z`;
    case "excused":
    case "not needed":
      return box(x, top + height - 2, width, 2);
  }
}

/** One bar of a comb, drawn in the current colour, which is ink unless it holds the file up. */
export function CombBar({ standing, holds, large = false }: { standing: Standing; holds: boolean; large?: boolean }) {
  const size = large ? LARGE : SMALL;
  return (
    <svg width={size.width} height={size.height + size.top} aria-hidden="true">
      <path data-holds={holds} fillRule="evenodd" d={barShape(standing, 0, size)} />
    </svg>
  );
}

/**
 * A file's requirements as a row of bars, with the same in words for those who do not see it. A list shows fifty of them, so a
 * comb is one path, and one more for what holds the file up.
 * @param text as `combText` wrote it
 */
export function Comb({ text, turn, words }: { text: string; turn: string; words: string }) {
  const all = readComb(text);
  // Of very many requirements those that nobody has to meet give way.
  const bars = all.length > MOST_BARS ? all.filter((b) => b.standing !== "not needed") : all;
  const { width, gap, line } = STEPS.find((s) => bars.length <= s.most) ?? STEPS[3];
  const draw = (holding: boolean) =>
    bars
      .map((b, i) => (b.holds === holding ? barShape(b.standing, i * (width + gap), { ...SMALL, width, line }) : ""))
      .join("");
  const holding = draw(true);
  return (
    <span className="comb" data-turn={turn} role="img" title={words}>
      <svg width={Math.max(0, bars.length * (width + gap) - gap)} height={SMALL.height + SMALL.top} aria-hidden="true">
        <path fillRule="evenodd" d={draw(false)} />
        {holding ? <path data-holds="true" fillRule="evenodd" d={holding} /> : null}
      </svg>
    </span>
  );
}
