/** Why the body of a request could not be read. */
export type Unread = "too-large" | "cut-off";

/**
 * Reads a form of a request without ever holding more than was allowed, whatever length was announced: a longer body is
 * refused as soon as it is, and a shorter one than announced was cut off on its way.
 */
export async function readForm(request: Request, mostBytes: number): Promise<FormData | Unread> {
  const announced = request.headers.get("content-length");
  if (announced !== null && Number(announced) > mostBytes) return "too-large";
  const chunks: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  try {
    const reader = request.body?.getReader();
    for (let part = await reader?.read(); part?.value; part = await reader?.read()) {
      size += part.value.byteLength;
      if (size > mostBytes) {
        await reader?.cancel();
        return "too-large";
      }
      chunks.push(part.value);
    }
    if (announced !== null && size !== Number(announced)) return "cut-off";
    const type = request.headers.get("content-type") ?? "";
    return await new Response(new Blob(chunks), { headers: { "content-type": type } }).formData();
  } catch {
    return "cut-off"; // the line went away, or what came is no whole form
  }
}
