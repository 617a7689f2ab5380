import { readdirSync, readFileSync, statSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";

const SRC = path.join(process.cwd(), "src");
const LAYERS = ["core", "acts", "views", "ui", "text", "db"];
const MOST_FILES = 30;

const filesIn = (folder: string): readonly string[] =>
  readdirSync(folder).flatMap((name) => {
    const at = path.join(folder, name);
    return statSync(at).isDirectory() ? filesIn(at) : [at];
  });

/** The subject that a file belongs to: its layer and the folder in it. */
function subjectOf(file: string): string {
  const [layer = "", folder = "", ...rest] = path.relative(SRC, file).split(path.sep);
  return rest.length > 0 ? `${layer}/${folder}` : layer;
}

function importsOf(file: string): readonly string[] {
  return [...readFileSync(file, "utf8").matchAll(/from "(\.[^"]*)"/gu)].map((m) =>
    path.resolve(file, "..", m[1] ?? ""),
  );
}

/** Folders, not only files, are free of cycles, and none is so full that nothing is found in it. */
describe("the folders", () => {
  it.each(LAYERS)("of %s import each other in one direction only", (layer) => {
    const edges = new Set(
      filesIn(path.join(SRC, layer))
        .filter((file) => /\.tsx?$/u.test(file) && !file.includes(".test."))
        .flatMap((file) => importsOf(file).map((to) => `${subjectOf(file)} > ${subjectOf(`${to}.ts`)}`)),
    );
    const both = [...edges].filter((edge) => {
      const [from, to] = edge.split(" > ");
      return from !== to && edges.has(`${to} > ${from}`);
    });
    expect(both).toEqual([]);
  });

  it("hold at most thirty files each", () => {
    const counts = new Map<string, number>();
    for (const file of filesIn(SRC)) counts.set(path.dirname(file), (counts.get(path.dirname(file)) ?? 0) + 1);
    expect([...counts].filter(([, count]) => count > MOST_FILES)).toEqual([]);
  });
});
