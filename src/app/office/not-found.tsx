import { NothingHere } from "../nothing-here";

export default function NotFoundInOffice() {
  return (
    <div className="office-sheet">
      <NothingHere language="en" home="/office" />
    </div>
  );
}
