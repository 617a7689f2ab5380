import { say } from "../../../../text/say";
import { LoadingSheet } from "../../../../ui/loading-sheet";
import { locale } from "../../../request";

export default async function ApplicationLoading() {
  return <LoadingSheet className="application-part" text={say(await locale(), "page.loading")} />;
}
