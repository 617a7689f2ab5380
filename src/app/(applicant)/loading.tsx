import { say } from "../../text/say";
import { LoadingSheet } from "../../ui/loading-sheet";
import { locale } from "../request";

export default async function ApplicantLoading() {
  return <LoadingSheet className="sheet" text={say(await locale(), "page.loading")} />;
}
