import { describe, expect, it } from "vitest";
import { listNews } from "./list-news";

const file = (id: string, name = `File ${id}`) => ({ id, name, number: `27-${id}` });
const [a, b, c, d] = [file("a"), file("b"), file("c"), file("d", "")];

describe("what has become of a list", () => {
  it.each([
    [[a, b], [b, a], null],
    [[a, b], [a, b, c], "The list has changed: File c came."],
    [[a, b], [b, d], "The list has changed: 27-d came, File a went."],
    [[a], [a, b, c], "The list has changed: 2 files came."],
    [[a, b, c], [], "The list has changed: 3 files went."],
    [[], [], null],
  ])("%#: is said by who came and who went", (before, after, said) => {
    expect(listNews(before, after)).toBe(said);
  });
});
