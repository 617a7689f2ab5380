import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { MailIn } from "../../../ui/mail/mail-in.client";
import { mailIn } from "../../../views/mail/incoming";
import { officeZone, requireStaff, see } from "../../request";
import { moveAway, placeMailIn } from "./mail-in.action";

/** What came in by mail and finds no file by itself: somebody places it, or puts it away. */
export default async function MailInPage() {
  const person = await requireStaff("/office/mail-in", OFFICE);
  const [data, zone] = await Promise.all([see(mailIn, person.actor, {}), officeZone()]);
  if (!data) notFound();
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Mail to place <span className="quiet">{data.waiting.length || "none"}</span>
        </h1>
      </div>
      <p className="measure quiet">
        Whoever answers a mail of ours to an applicant answers in that file’s conversation by themselves. Here is the
        rest: a sender’s address alone proves nothing.
      </p>
      <MailIn data={data} zone={zone} place={placeMailIn} moveAway={moveAway} />
    </div>
  );
}
