import "server-only";
import { webRuntime } from "../../runtime";

/** Whether a writing request comes from our own pages: browsers send the origin with every request that writes. */
export async function isSameOrigin(request: Request): Promise<boolean> {
  const { settings } = await webRuntime();
  return request.headers.get("origin") === new URL(settings.url).origin;
}
