import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { webRuntime } from "../../../runtime";
import { CopyOrders } from "../../../ui/copies/copy-orders.client";
import { copies } from "../../../views/copies/copies";
import { officeNow } from "../../../views/view/office-now";
import { requireStaff, see } from "../../request";

/** The copies that this officer asked for: how far they are, and where they are. */
export default async function Copies() {
  const person = await requireStaff("/office/copies", OFFICE);
  const orders = await see(copies, person.actor, {});
  if (!orders) notFound();
  const { zone } = (await officeNow((await webRuntime()).pool)).set;
  return (
    <div className="office-sheet">
      <div className="sheet-head">
        <h1>
          Copies <span className="quiet">of several applications together</span>
        </h1>
      </div>
      <p className="quiet">
        Mark files under Turns and choose “Copies”. Each application is one PDF in the order of the form; they are kept
        for seven days.
      </p>
      {orders.length === 0 ? <p className="empty">You have asked for no copies in the last seven days.</p> : null}
      {orders.length > 0 ? <CopyOrders orders={orders} zone={zone} /> : null}
    </div>
  );
}
