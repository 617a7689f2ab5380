import { z } from "zod";
import { compare, parseDecimal, type Ratio, toShort } from "../numbers/ratio";
import { bandOf } from "./bands";
import { type Conversion, MARK_MISSING } from "./conversion";
import { ANCHORS, type Anchored, linear } from "./linear";
import { modifiedBavarian } from "./modified-bavarian";
import { percentageOfAverage } from "./percentage";

/** How a programme carries a grade over to its own scale. Numbers are decimal texts, so that nothing is lost on the way. */
export const gradeMethodSchema = z.discriminatedUnion("kind", [
  /** To 1 (best) … 4 (lowest pass). */
  z.object({ kind: z.literal("bavarian") }),
  z.object({
    kind: z.literal("linear"),
    anchors: z.enum(ANCHORS),
    target: z.object({ best: z.string(), pass: z.string(), worst: z.string() }),
  }),
  /** A table for each scale that it knows; a mark on any other scale is a question. */
  z.object({
    kind: z.literal("bands"),
    tables: z.array(
      z.object({
        scale: z.string(),
        /** Decimals to which a mark is rounded before it is looked up; null: not at all. */
        roundFirst: z.int().min(0).max(3).nullable(),
        bands: z.array(z.object({ from: z.string(), grade: z.string() })),
      }),
    ),
  }),
  /** From marks obtained of marks possible, as the courses carry them. */
  z.object({ kind: z.literal("marks"), of: z.enum(["sums", "rows"]) }),
  /** By the multiplier that the issuer states, kept with its scale. */
  z.object({ kind: z.literal("multiplier") }),
]);
export type GradeMethod = z.infer<typeof gradeMethodSchema>;

export const USUAL_METHOD: GradeMethod = { kind: "bavarian" };

/** The scale that a mark stands on. */
export interface SourceScale extends Anchored {
  /** Its key in the office's register; null for one whose marks were entered. */
  readonly key: string | null;
  readonly percent: { readonly multiplier: Ratio | null; readonly offset: Ratio | null } | null;
}

export interface Carried {
  readonly conversion: Conversion;
  /** The calculation with its numbers, up to the equals sign; null for a table, and where best, pass and mark alone say it. */
  readonly formula: string | null;
  /** The grade as the table words it. */
  readonly band: { readonly from: string; readonly grade: string } | null;
}

const shown = (ratio: Ratio | null): string => (ratio === null ? "?" : toShort(ratio, 4));

function lineWords(
  { anchors, target }: Extract<GradeMethod, { kind: "linear" }>,
  scale: SourceScale,
  got: Ratio,
  exact: Conversion,
): string {
  const failing = anchors === "three_point" && exact.status === "not_passed" && exact.kept;
  const low = anchors === "worst_best" ? "worst" : "pass";
  const [from, to] = failing ? (["worst", "pass"] as const) : ([low, "best"] as const);
  const [p1, b1, p2, b2] = [shown(scale[from]), shown(scale[to]), target[from], target[to]];
  return `${p2} + (${shown(got)} − ${p1}) ÷ (${b1} − ${p1}) × (${b2} − ${p2})`;
}

/** Carries a mark from its scale to the programme's by the programme's method (all but `marks`, which needs no scale). */
export function carryOver(method: Exclude<GradeMethod, { kind: "marks" }>, scale: SourceScale, got: Ratio): Carried {
  const none = { formula: null, band: null };
  const { best, pass } = scale;
  switch (method.kind) {
    case "bavarian":
      return { conversion: modifiedBavarian(best, pass, got), ...none };
    case "linear": {
      const { target } = method;
      const read = {
        best: parseDecimal(target.best),
        pass: parseDecimal(target.pass),
        worst: parseDecimal(target.worst),
      };
      const conversion = linear(scale, read, got, method.anchors);
      return { conversion, formula: lineWords(method, scale, got, conversion), band: null };
    }
    case "multiplier": {
      const { percent } = scale;
      const conversion = percentageOfAverage(got, percent?.multiplier ?? null, percent?.offset);
      const formula = `${shown(got)} × ${shown(percent?.multiplier ?? null)} + ${shown(percent?.offset ?? null)}`;
      return { conversion, formula: formula.replace("+ -", "− "), band: null };
    }
    case "bands": {
      const table = method.tables.find((t) => t.scale === scale.key);
      if (!table || !best || !pass) return { conversion: MARK_MISSING, ...none };
      const bands = table.bands.flatMap(({ from, grade }) => {
        const bound = parseDecimal(from);
        return bound ? [{ from: bound, grade }] : [];
      });
      const direction = isHigherBetter(scale) ? "higher" : "lower";
      const band = bandOf(bands, got, direction, table.roundFirst);
      const exact = band && parseDecimal(band.grade);
      return {
        conversion: exact
          ? { status: "ok", exact, clamped: false }
          : { status: "unknown", reason: band ? "scale_or_mark_missing" : "outside_the_table" },
        formula: null,
        band: band && { from: toShort(band.from), grade: band.grade },
      };
    }
  }
}

/** Whether more is better on a scale; also while it is degenerate, which every method refuses. */
export function isHigherBetter({ best, pass }: Pick<SourceScale, "best" | "pass">): boolean {
  return best === null || pass === null || compare(best, pass) >= 0;
}
