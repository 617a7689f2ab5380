import type { Bar } from "../core/assessment/result";
import type { Standing } from "../core/requirements/definition";

/** One bar of a comb: its shape tells the standing. It is drawn in the current colour, which is ink unless it holds the file up. */
export function CombBar({ standing, holds, large = false }: { standing: Standing; holds: boolean; large?: boolean }) {
  const width = large ? 12 : 8;
  const height = large ? 26 : 18;
  const top = large ? 5 : 4;
  const outline = (
    <rect
      x={0.75}
      y={top + 0.75}
      width={width - 1.5}
      height={height - 1.5}
      fill="none"
      stroke="currentColor"
      strokeWidth={1.5}
    />
  );
  return (
    <svg
      width={width}
      height={height + top}
      viewBox={`0 0 ${width} ${height + top}`}
      data-holds={holds}
      aria-hidden="true"
    >
      {shape()}
    </svg>
  );

  function shape() {
    switch (standing) {
      case "missing":
        return outline;
      case "promised":
        return (
          <>
            {outline}
            <circle cx={width / 2} cy={1.6} r={1.6} fill="currentColor" />
          </>
        );
      case "to check":
        return (
          <>
            {outline}
            <rect x={0} y={top + height / 2} width={width} height={height / 2} fill="currentColor" />
          </>
        );
      case "accepted":
        return <rect x={0} y={top} width={width} height={height} fill="currentColor" />;
      case "returned":
        return (
          <path
            d={`M0 ${top}H${width}V${top + height * 0.33}L${width * 0.4} ${top + height * 0.5}L${width} ${top + height * 0.67}V${top + height}H0Z`}
            fill="currentColor"
          />
        );
      case "excused":
      case "not needed":
        return <rect x={0} y={top + height - 2} width={width} height={2} fill="currentColor" />;
    }
  }
}

/** A file's requirements as a row of bars, with the same in words for those who do not see it. */
export function Comb({
  bars,
  turn,
  words,
}: {
  bars: readonly Pick<Bar, "standing" | "holds">[];
  turn: string;
  words: string;
}) {
  return (
    <span className="comb" data-turn={turn} role="img" aria-label={words} title={words}>
      {bars.map((bar, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: bars have a fixed order and no identity of their own
        <CombBar key={i} standing={bar.standing} holds={bar.holds} />
      ))}
    </span>
  );
}
