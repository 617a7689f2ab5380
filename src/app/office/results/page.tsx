import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { formatDate, formatMoment } from "../../../text/format";
import { scoresInOrder } from "../../../text/words/office";
import { ListTaking } from "../../../ui/results/list-taking.client";
import { SettleResult } from "../../../ui/results/settle-result.client";
import { type OwnerListsPage, ownerLists } from "../../../views/results/owner-lists";
import { requireStaff, see } from "../../request";
import { lookAtList, settleResult, takeList } from "./results.action";

function FileLink({ number, name }: { number: string; name: string }) {
  return (
    <>
      <Link href={`/office/files/${number}`} className="number">
        {number}
      </Link>{" "}
      {name}
    </>
  );
}

/** Results under the number of a file, with another name: a person says whose they are. */
function ResultsTable({
  results,
  refused = false,
  page,
  titleOf,
}: {
  results: OwnerListsPage["otherNames"];
  refused?: boolean;
  page: OwnerListsPage;
  titleOf: (test: string) => string;
}) {
  return (
    <table className="plain-table">
      <thead>
        <tr>
          <th>File</th>
          <th>Number</th>
          <th>In the list</th>
          <th>Scores</th>
          <th>
            <span className="hidden-text">Whose it is</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {results.map((r) => (
          <tr key={r.id}>
            <td>
              <FileLink number={r.fileNumber} name={r.fileName} />
              {r.fileBirthDate ? <span className="quiet">, born {formatDate("en", r.fileBirthDate)}</span> : null}
            </td>
            <td>
              {r.number} <span className="quiet">{titleOf(r.test)}</span>
            </td>
            <td>
              {r.name}
              <span className="quiet">
                {r.birthDate ? `, born ${formatDate("en", r.birthDate)}` : ""} · taken on {formatDate("en", r.takenOn)}
              </span>
            </td>
            <td className="figures">
              {scoresInOrder(page.tests.find((t) => t.key === r.test)?.parts ?? [], r.scores)}
            </td>
            <td>
              <SettleResult refused={refused} settle={settleResult.bind(null, r.applicationId, r.id)} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function OtherNames({ page, titleOf }: { page: OwnerListsPage; titleOf: (test: string) => string }) {
  const { otherNames, notTheirs } = page;
  if (otherNames.length + notTheirs.length === 0) return null;
  return (
    <section>
      <h2>Under another name</h2>
      {otherNames.length > 0 ? <ResultsTable results={otherNames} page={page} titleOf={titleOf} /> : null}
      {notTheirs.length > 0 ? (
        <details>
          <summary>
            {notTheirs.length === 1 ? "One result was" : `${notTheirs.length} results were`} said to be somebody else’s
          </summary>
          <ResultsTable results={notTheirs} refused page={page} titleOf={titleOf} />
        </details>
      ) : null}
    </section>
  );
}

/** Claims whose number no list has, though it should. */
function InNoList({ page, titleOf }: { page: OwnerListsPage; titleOf: (test: string) => string }) {
  if (page.inNoList.length === 0) return null;
  return (
    <section>
      <h2>Claimed, and in no list</h2>
      <p className="quiet">
        The lists have results of the test from before and after the day that is claimed, and none with this number. It
        may be mistyped: look at the report.
      </p>
      <table className="plain-table">
        <tbody>
          {page.inNoList.map((c) => (
            <tr key={`${c.fileNumber} ${c.test} ${c.number}`}>
              <td>
                <FileLink number={c.fileNumber} name={c.fileName} />
              </td>
              <td>{c.number}</td>
              <td>
                {titleOf(c.test)} <span className="quiet">{formatDate("en", c.date)}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Lists of results from the owners of tests: taken in, and what of them a person has to look at. */
export default async function ResultLists() {
  const person = await requireStaff("/office/results", OFFICE);
  const page = await see(ownerLists, person.actor, {});
  if (!page) notFound();
  const titleOf = (key: string) => page.tests.find((t) => t.key === key)?.title ?? key;
  return (
    <div className="office-sheet wide results">
      <div className="sheet-head">
        <h1>
          Test results <span className="quiet">from the owners of the tests</span>
        </h1>
      </div>
      <ListTaking tests={page.tests} look={lookAtList} take={takeList} />
      <OtherNames page={page} titleOf={titleOf} />
      <InNoList page={page} titleOf={titleOf} />
      <section>
        <h2>Lists that were taken in</h2>
        {page.lists.length === 0 ? (
          <p className="empty">None yet. A list brings the results of many people at once, by their numbers.</p>
        ) : (
          <table className="plain-table">
            <thead>
              <tr>
                <th>List</th>
                <th>Test</th>
                <th>Taken in</th>
                <th className="figures">Results</th>
                <th className="figures">Confirmed</th>
                <th className="figures">Another name</th>
                <th className="figures">Nobody’s yet</th>
              </tr>
            </thead>
            <tbody>
              {page.lists.map((l) => (
                <tr key={l.id}>
                  <td>{l.fileName}</td>
                  <td>{titleOf(l.test)}</td>
                  <td>
                    {formatMoment("en", l.at, page.zone)} <span className="quiet">{l.by}</span>
                  </td>
                  <td className="figures">{l.lines}</td>
                  <td className="figures">{l.found}</td>
                  <td className="figures">{l.otherName}</td>
                  <td className="figures">{l.nobody}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    </div>
  );
}
