import { readFileSync } from "node:fs";
import path from "node:path";

/** The worked cases of the trade, by function. */
export interface Vector<Input, Expected> {
  readonly id: string;
  readonly note: string;
  readonly input: Input;
  readonly expected: Expected;
}

const { vectors } = JSON.parse(readFileSync(path.join(process.cwd(), "tests/fixtures/vectors.json"), "utf8")) as {
  vectors: (Vector<unknown, unknown> & { fn: string })[];
};

export function vectorsOf<Input, Expected>(fn: string): readonly (readonly [string, Vector<Input, Expected>])[] {
  return vectors.filter((v) => v.fn === fn).map((v) => [`${v.id} ${v.note}`, v as Vector<Input, Expected>] as const);
}
