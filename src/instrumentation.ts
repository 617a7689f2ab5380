/** A defect that reached the edge: logged with the number that the person sees, never with what they typed. */
export async function onRequestError(
  error: unknown,
  request: { readonly path: string; readonly method: string; readonly headers: Readonly<Record<string, unknown>> },
): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const [{ webRuntime }, { describeDefect, loggedPath }] = await Promise.all([
    import("./runtime"),
    import("./db/defects"),
  ]);
  const { log } = await webRuntime();
  const digest = typeof error === "object" && error !== null && "digest" in error ? String(error.digest) : undefined;
  log.error(
    {
      digest,
      requestId: request.headers["x-request-id"],
      method: request.method,
      path: loggedPath(request.path),
      error: describeDefect(error),
    },
    "defect",
  );
}
