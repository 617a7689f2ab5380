import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { inspectDocument } from "./inspect";

const folder = path.join(process.cwd(), "tests/fixtures/files");
const look = (name: string) => inspectDocument(readFileSync(path.join(folder, name)), name);

describe("a document is judged by its bytes", () => {
  it.each([
    ["good.pdf", []],
    ["javascript.pdf", ["active_content"]],
    ["javascript-hex.pdf", ["active_content"]],
    ["launch.pdf", ["active_content"]],
    ["embedded.pdf", ["embedded_file"]],
    ["owner-password-only.pdf", ["restricted"]],
    ["late-header.pdf", []],
    ["page.png", ["blank_page"]],
    ["too-small.png", ["hard_to_read", "blank_page"]],
    ["rotated-6.jpg", ["blank_page"]],
    ["plain.jpg", ["blank_page"]],
  ])("%s is stored with the marks %j", async (name, marks) => {
    expect(await look(name)).toMatchObject({ verdict: "store", marks });
  });

  it.each([
    ["cut-off.pdf", "damaged"],
    ["zero-pages.pdf", "no_pages"],
    ["password.pdf", "password_needed"],
    ["not-a.pdf", "not_what_its_name_says"],
    ["empty.pdf", "empty"],
    ["letter.docx", "kind_not_accepted"],
    ["macro.docx", "macro"],
    ["phone.heic", "kind_not_accepted"],
    ["old.doc", "kind_not_accepted"],
  ])("%s is refused as %s", async (name, reason) => {
    expect(await look(name)).toEqual({ verdict: "refuse", reason });
  });

  it("refuses what is one byte over the limit and takes what is just at it", async () => {
    const bytes = readFileSync(path.join(folder, "good.pdf"));
    expect(await inspectDocument(bytes, "good.pdf", bytes.length - 1)).toEqual({
      verdict: "refuse",
      reason: "too_large",
    });
    expect(await inspectDocument(bytes, "good.pdf", bytes.length)).toMatchObject({ verdict: "store" });
  });

  it("never throws, whatever the bytes", async () => {
    const good = readFileSync(path.join(folder, "good.pdf"));
    for (let cut = 1; cut < good.length; cut += 7) {
      const broken = Buffer.from(good);
      broken[cut] = (broken[cut] ?? 0) ^ 0xff;
      const result = await inspectDocument(broken, "broken.pdf");
      expect(["store", "refuse"]).toContain(result.verdict);
    }
  });
});
