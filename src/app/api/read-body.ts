/** Why the body of a request could not be read. */
export type Unread = "too-large" | "cut-off";

/**
 * Reads the body of a request without ever holding more than was allowed, whatever length was announced: a longer one is refused as soon
 * as it is, and a shorter one than announced was cut off on its way.
 */
async function readBody(request: Request, mostBytes: number): Promise<Blob | Unread> {
  const announced = request.headers.get("content-length");
  if (announced !== null && Number(announced) > mostBytes) return "too-large";
  const chunks: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (let part = await reader?.read(); part?.value; part = await reader?.read()) {
    size += part.value.byteLength;
    if (size > mostBytes) {
      await reader?.cancel();
      return "too-large";
    }
    chunks.push(part.value);
  }
  return announced !== null && size !== Number(announced) ? "cut-off" : new Blob(chunks);
}

/** The same as a form. */
export async function readForm(request: Request, mostBytes: number): Promise<FormData | Unread> {
  try {
    const body = await readBody(request, mostBytes);
    if (!(body instanceof Blob)) return body;
    const type = request.headers.get("content-type") ?? "";
    return await new Response(body, { headers: { "content-type": type } }).formData();
  } catch {
    return "cut-off"; // the line went away, or what came is no whole form
  }
}

/** The same as text: null where it is too large, empty where the line went away. */
export async function readText(request: Request, mostBytes: number): Promise<string | null> {
  const body = await readBody(request, mostBytes).catch(() => "cut-off" as const);
  if (body instanceof Blob) return body.text();
  return body === "too-large" ? null : "";
}
