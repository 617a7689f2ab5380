import { LoadingSheet } from "../../ui/loading-sheet";

export default function StandInLoading() {
  return <LoadingSheet className="stand-in" text="Loading …" />;
}
