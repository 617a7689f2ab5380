import "server-only";
import { webRuntime } from "../../runtime";

/**
 * Whether a writing request comes from our own pages: browsers send the origin with every request that writes. An application that is
 * called localhost is this machine's own, by its number as well.
 */
export async function isSameOrigin(request: Request): Promise<boolean> {
  const { origin, hostname, protocol, port } = new URL((await webRuntime()).settings.url);
  const ours = hostname === "localhost" ? [origin, `${protocol}//127.0.0.1:${port}`] : [origin];
  return ours.includes(request.headers.get("origin") ?? "");
}
