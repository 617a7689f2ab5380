import { say } from "../../text/say";
import { LoadingSheet } from "../../ui/loading-sheet";
import { locale } from "../request";

export default async function LinkLoading() {
  return <LoadingSheet className="" text={say(await locale(), "page.loading")} />;
}
