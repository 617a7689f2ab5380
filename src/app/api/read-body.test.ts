import { describe, expect, it } from "vitest";
import { readForm, readText } from "./read-body";

const BOUNDARY = "x-x-x";
const body = (content: string) =>
  `--${BOUNDARY}\r\ncontent-disposition: form-data; name="file"; filename="a.pdf"\r\n\r\n${content}\r\n--${BOUNDARY}--\r\n`;

/** A request whose body comes in pieces; how many were taken is counted. */
function request(text: string, announced: number | null, pieces = 4) {
  const bytes = new TextEncoder().encode(text);
  const taken = { count: 0 };
  const step = Math.ceil(bytes.length / pieces);
  const stream = new ReadableStream<Uint8Array>(
    {
      pull(controller) {
        const piece = bytes.slice(taken.count * step, (taken.count + 1) * step);
        if (piece.length === 0) return controller.close();
        taken.count += 1;
        controller.enqueue(piece);
      },
    },
    { highWaterMark: 0 },
  );
  const headers: Record<string, string> = { "content-type": `multipart/form-data; boundary=${BOUNDARY}` };
  if (announced !== null) headers["content-length"] = String(announced);
  return {
    request: new Request("http://127.0.0.1/", { method: "POST", headers, body: stream, duplex: "half" } as RequestInit),
    taken,
  };
}

describe("the body of an upload", () => {
  it("is read whole when it is as long as announced, or when nothing was announced", async () => {
    for (const announced of [body("hello").length, null]) {
      const form = await readForm(request(body("hello"), announced).request, 1000);
      if (!(form instanceof FormData)) throw new Error(form);
      const file = form.get("file");
      expect(file instanceof File ? [file.name, await file.text()] : file).toEqual(["a.pdf", "hello"]);
    }
  });

  it("is refused unread when more than allowed is announced", async () => {
    const { request: sent, taken } = request(body("hello"), 2000);
    expect([await readForm(sent, 1000), taken.count]).toEqual(["too-large", 0]);
  });

  it("is dropped as soon as it is longer than allowed, although less or nothing was announced", async () => {
    for (const announced of [null, 500]) {
      const { request: sent, taken } = request(body("x".repeat(4000)), announced, 20);
      expect(await readForm(sent, 1000)).toBe("too-large");
      expect(taken.count).toBeLessThan(8);
    }
  });

  it.each([
    ["shorter than announced", body("hello").slice(0, 60), body("hello").length],
    ["no whole form", body("hello").slice(0, 60), null],
    ["no form at all", "", null],
  ])("that is %s was cut off", async (_, text, announced) =>
    expect(await readForm(request(text, announced).request, 1000)).toBe("cut-off"),
  );
});

describe("the body of a request that is text", () => {
  it("is read whole", async () => expect(await readText(request("hello", 5).request, 100)).toBe("hello"));
  it("is not read on once it is too long, whatever was announced", async () => {
    const { request: long, taken } = request("x".repeat(1000), null, 100);
    expect(await readText(long, 50)).toBeNull();
    expect(taken.count).toBeLessThan(20);
    expect(await readText(request("x".repeat(1000), 1000).request, 50)).toBeNull();
  });
});
