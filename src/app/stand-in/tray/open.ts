import "server-only";
import { holds } from "../../../core/rights/actor";
import { webRuntime } from "../../../runtime";
import { identity, VISITOR } from "../../request";

/** Whether the tray is there for whoever asks: for everybody in the demo, else for an administrator; never where real mail is sent. */
export async function isTrayOpen(): Promise<boolean> {
  const { settings } = await webRuntime();
  if (settings.mail !== "tray") return false;
  return settings.demo || holds((await identity())?.actor ?? VISITOR, ["administrator"]);
}
