import { describe, expect, it } from "vitest";
import { answeredIds, numbersIn } from "./incoming";

const A = "0f8fad5b-d9cb-469f-a165-70867728950e";
const B = "7c9e6679-7425-40de-944b-e07fc1f90ae7";

describe("which of our mails a mail answers", () => {
  it.each([
    ["the one that it names", `<${A}@unvex>`, "", [A]],
    ["however its letters are written", `<${A.toUpperCase()}@unvex>`, "", [A]],
    ["the nearest of a chain first", `<${B}@unvex>`, `<${A}@unvex> <${B}@unvex>`, [B, A]],
    ["one that stands in the chain alone", "<x@people.example>", `<${A}@unvex> <x@people.example>`, [A]],
    ["none of another house", `<${A}@unvex.example>`, `<${A}@people.example>`, []],
    ["none that is no id of ours", "<27-00012@unvex>", "", []],
    ["none at all", "", "", []],
  ])("%s", (_, inReplyTo, references, ids) => expect(answeredIds(inReplyTo, references)).toEqual(ids));
});

describe("numbers of files in a text", () => {
  it.each([
    ["Re: No. 27-00012: a message from the office", ["27-00012"]],
    ["27-00012, 27-00013 and 27-00012", ["27-00012", "27-00013"]],
    ["call 0527-000129 or 1-27-0001", []],
    ["", []],
  ])("%s", (text, numbers) => expect(numbersIn(text)).toEqual(numbers));
});
