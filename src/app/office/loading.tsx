import { LoadingSheet } from "../../ui/loading-sheet";

export default function OfficeLoading() {
  return <LoadingSheet className="office-sheet" text="Loading …" />;
}
