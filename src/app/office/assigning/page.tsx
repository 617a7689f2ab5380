import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { Absences } from "../../../ui/turns/absences.client";
import { AssigningRules } from "../../../ui/turns/assigning-rules.client";
import { assigningPage } from "../../../views/turns/assigning";
import { requireStaff, see } from "../../request";
import { awayFrom, backAgain, saveRules } from "./assigning.action";

/** Who works on what: the rules by which files are assigned, how many each officer has, and who stands in for whom. */
export default async function AssigningSheet() {
  const person = await requireStaff("/office/assigning", OFFICE);
  const page = await see(assigningPage, person.actor, {});
  if (!page) notFound();
  const most = Math.max(1, ...page.officers.map((o) => o.inHand));
  return (
    <div className="office-sheet wide assigning">
      <div className="sheet-head">
        <h1>
          Assigning <span className="quiet">into whose hands files go</span>
        </h1>
      </div>
      <section>
        <h2>In hand</h2>
        <table className="plain-table">
          <thead>
            <tr>
              <th scope="col">Officer</th>
              <th scope="col">Works on</th>
              <th scope="col">Files</th>
              <th scope="col">Ours to do</th>
            </tr>
          </thead>
          <tbody>
            {page.officers.map((o) => {
              const away = page.absences.find((a) => a.personId === o.id && a.now);
              const cover = page.officers.find((c) => c.id === away?.coverId)?.name;
              return (
                <tr key={o.id}>
                  <th scope="row">
                    {o.name} {cover ? <span className="quiet">away, {cover} stands in</span> : null}
                  </th>
                  <td>{o.programmes === null ? "all programmes" : o.programmes.join(", ")}</td>
                  <td className="load">
                    <span className="wait-bar" style={{ width: `${Math.round((o.inHand / most) * 120)}px` }} />{" "}
                    {o.inHand}
                  </td>
                  <td className="number">
                    <Link href={`/office?${new URLSearchParams({ turn: "office", officer: o.id })}`}>{o.ours}</Link>
                  </td>
                </tr>
              );
            })}
            <tr>
              <th scope="row">Nobody</th>
              <td />
              <td />
              <td className="number">
                <Link href="/office?turn=office&officer=nobody">{page.unheld}</Link>
              </td>
            </tr>
          </tbody>
        </table>
        {page.unheld > 0 ? (
          <p>
            Mark what nobody has <span className="key">Shift+X</span> and hand it on <span className="key">h</span> by
            the office’s rules: it is said first where each would go.
          </p>
        ) : null}
      </section>
      <AssigningRules page={page} save={saveRules} />
      <Absences page={page} note={awayFrom} drop={backAgain} />
    </div>
  );
}
