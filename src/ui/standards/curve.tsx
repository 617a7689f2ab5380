import { modifiedBavarian } from "../../core/grades/modified-bavarian";
import type { GradeScale } from "../../core/grades/scale";
import {
  add,
  divide,
  multiply,
  parseDecimal,
  type Ratio,
  subtract,
  toFixed,
  toNumber,
  toShort,
  whole,
} from "../../core/numbers/ratio";

const WIDTH = 320;
const HEIGHT = 190;
const LEFT = 44;
const RIGHT = 14;
const TOP = 22;
const BOTTOM = 34;
const OURS = [1, 2, 3, 4] as const;
const SAMPLES = 4;

interface Point {
  readonly label: string;
  readonly mark: Ratio;
}

/** The marks that are drawn: the letters where there are any, else a few from the lowest pass to the best. */
function pointsOf(scale: GradeScale, best: Ratio, pass: Ratio): readonly Point[] {
  if (scale.letters && scale.letters.length > 0)
    return scale.letters.flatMap(({ label, points }) => {
      const mark = parseDecimal(points);
      return mark ? [{ label, mark }] : [];
    });
  const step = divide(subtract(best, pass), whole(SAMPLES));
  return Array.from({ length: SAMPLES + 1 }, (_, i) => {
    const mark = add(pass, multiply(step, whole(i)));
    return { label: toShort(mark, 2), mark };
  });
}

/** What a mark is worth on our scale, as it is said to people. */
function worth(best: Ratio, pass: Ratio, mark: Ratio): { readonly at: number; readonly shown: string } | null {
  const result = modifiedBavarian(best, pass, mark);
  if (result.status === "error" || result.status === "unknown") return null;
  return result.status === "ok"
    ? { at: toNumber(result.exact), shown: toFixed(result.exact, 1, "truncate") }
    : { at: toNumber(result.exact), shown: "not passed" };
}

/** From their scale to ours, drawn and as a table: their marks from the worst to the best, ours from 4 (lowest pass) to 1 (best). */
export function ScaleCurve({ scale }: { scale: GradeScale }) {
  const [best, pass, worst] = [scale.best, scale.pass, scale.worst].map(parseDecimal);
  if (!best || !pass || !worst || worth(best, pass, pass) === null)
    return <p className="quiet">The curve is drawn as soon as best, lowest pass and worst are numbers that differ.</p>;
  const [low, high] = [toNumber(worst), toNumber(best)];
  const x = (mark: number) => LEFT + ((mark - low) / (high - low)) * (WIDTH - LEFT - RIGHT);
  const y = (ours: number) => TOP + ((ours - 1) / 4) * (HEIGHT - TOP - BOTTOM);
  const points = pointsOf(scale, best, pass).map((p) => ({ ...p, worth: worth(best, pass, p.mark) }));
  const passed = points.filter((p) => p.worth && p.worth.at <= 4);
  return (
    <figure className="scale-curve">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`${scale.title.en || scale.key}, drawn against our scale`}
      >
        <rect
          className="fails"
          x={LEFT}
          y={TOP}
          width={Math.max(0, x(toNumber(pass)) - LEFT)}
          height={HEIGHT - TOP - BOTTOM}
        />
        {OURS.map((mark) => (
          <g key={mark}>
            <line className="grid" x1={LEFT} x2={WIDTH - RIGHT} y1={y(mark)} y2={y(mark)} />
            <text x={LEFT - 8} y={y(mark) + 4} textAnchor="end">
              {mark}
            </text>
          </g>
        ))}
        <line className="line" x1={x(toNumber(pass))} y1={y(4)} x2={x(high)} y2={y(1)} />
        {passed.map((p) => (
          <circle key={p.label} cx={x(toNumber(p.mark))} cy={y(p.worth?.at ?? 4)} r={3.2} />
        ))}
        <text x={LEFT} y={HEIGHT - 14}>
          {toShort(worst)}
        </text>
        <text x={x(toNumber(pass))} y={HEIGHT - 14} textAnchor="middle">
          {toShort(pass)} passes
        </text>
        <text x={WIDTH - RIGHT} y={HEIGHT - 14} textAnchor="end">
          {toShort(best)} best
        </text>
        <text x={LEFT - 8} y={14} textAnchor="end">
          ours
        </text>
      </svg>
      <table className="plain-table figures">
        <thead>
          <tr>
            <th>Theirs</th>
            <th>Ours</th>
          </tr>
        </thead>
        <tbody>
          {points.map((p) => (
            <tr key={p.label}>
              <td>{p.label}</td>
              <td>{p.worth?.shown}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}
