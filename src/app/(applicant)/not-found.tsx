import { NothingHere } from "../nothing-here";
import { locale } from "../request";

export default async function NotFoundForApplicants() {
  return (
    <div className="sheet narrow">
      <NothingHere language={await locale()} home="/" />
    </div>
  );
}
