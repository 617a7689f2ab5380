import Link from "next/link";
import { notFound } from "next/navigation";
import { formatDayOf, formatMoney } from "../../../text/format";
import { FindForm } from "../../../ui/frame/find-form.client";
import { GiveBack } from "../../../ui/payments/give-back.client";
import { type Charged, MONEY_KINDS, type MoneyKind, type MoneyRow, money } from "../../../views/payments/money";
import { requireStaff, see } from "../../request";
import { bookGivenBack } from "./money.action";

const KIND_WORDS: Readonly<Record<MoneyKind, { readonly name: string; readonly none: string }>> = {
  all: { name: "All", none: "No application has a fee, or says anything that is for finance." },
  owed: { name: "Still owed", none: "Nothing is owed." },
  paid: { name: "Paid", none: "Nothing was paid yet." },
  said: { name: "With answers for finance", none: "No submitted file says anything that is for finance alone." },
};

interface Query {
  readonly kind?: string;
  readonly find?: string;
  readonly after?: string;
}

function address(query: Query): string {
  const set = Object.entries(query).filter((e): e is [string, string] => typeof e[1] === "string" && e[1] !== "");
  return set.length === 0 ? "/office/money" : `/office/money?${new URLSearchParams(set)}`;
}

/** What a charge stands at, in words. */
function standing({ minor, paidMinor, currency }: Charged): string {
  const of = (amount: number) => formatMoney("en", { minor: amount, currency });
  if (minor === 0 && paidMinor === 0) return "nothing due";
  if (paidMinor === 0) return `${of(minor)} owed`;
  if (paidMinor < minor) return `${of(minor - paidMinor)} of ${of(minor)} owed`;
  return paidMinor > minor ? `paid, ${of(paidMinor - minor)} too much` : `${of(minor)} paid`;
}

function Row({ row, zone }: { row: MoneyRow; zone: string }) {
  return (
    <tr>
      <td className="number">{row.number}</td>
      <td>{row.name}</td>
      <td>{row.programmes.split(" ").join(", ")}</td>
      <td>
        <ul className="bare-list">
          {row.charges.map((c) => (
            <li key={c.reference}>
              {c.title}: <span className={c.paidMinor < c.minor ? "strong" : undefined}>{standing(c)}</span>{" "}
              <span className="quiet">
                {c.reference} · {formatDayOf("en", c.madeAt, zone)}
              </span>
              {c.paidMinor > c.minor ? (
                <GiveBack
                  amount={formatMoney("en", { minor: c.paidMinor - c.minor, currency: c.currency })}
                  name={row.name}
                  book={bookGivenBack.bind(null, row.applicationId, c.id, c.paidMinor - c.minor)}
                />
              ) : null}
            </li>
          ))}
        </ul>
      </td>
      <td>
        <ul className="bare-list">
          {row.papers.map((p) => (
            <li key={p.uploadId}>
              <a href={`/api/documents/${p.uploadId}?show`} target="_blank" rel="noreferrer">
                {p.title}
              </a>
            </li>
          ))}
          {row.said.map((s) => (
            <li key={s.title}>
              <span className="quiet">{s.title}</span> {s.text}
            </li>
          ))}
        </ul>
      </td>
    </tr>
  );
}

/** What finance works with: fees by file, what is owed and paid, and what applicants were asked for finance alone. */
export default async function Money({ searchParams }: { searchParams: Promise<Query> }) {
  const person = await requireStaff("/office/money", ["finance"]);
  const query = await searchParams;
  const page = await see(money, person.actor, {
    kind: (query.kind ?? "all") as MoneyKind, // another word leads to the first list
    find: query.find ?? "",
    after: query.after ?? null,
  });
  if (!page) notFound();
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Money <span className="quiet">fees by application, and what was said and supplied for finance</span>
        </h1>
      </div>
      <FindForm
        key={`${page.kind} ${query.find}`}
        action="/office/money"
        kept={{ kind: page.kind }}
        label="Number, name or reference"
        placeholder="27-00017, a name, UV2700017…"
        find={query.find ?? ""}
      />
      <p>
        {page.sums.map((s) => (
          <span key={s.currency}>
            <strong>{formatMoney("en", { minor: s.owedMinor, currency: s.currency })}</strong> owed,{" "}
            <strong>{formatMoney("en", { minor: s.paidMinor, currency: s.currency })}</strong> paid
          </span>
        ))}
      </p>
      <nav className="kinds" aria-label="Which files">
        {MONEY_KINDS.map((kind) => (
          <Link
            key={kind}
            href={address({ kind, find: query.find ?? "" })}
            aria-current={kind === page.kind ? "page" : undefined}
          >
            {KIND_WORDS[kind].name} <span className="count">{page.counts[kind]}</span>
          </Link>
        ))}
      </nav>
      {page.rows.length === 0 ? (
        <p className="empty">{query.find ? "Nothing is found under these words." : KIND_WORDS[page.kind].none}</p>
      ) : (
        <table className="plain-table">
          <thead>
            <tr>
              <th>Number</th>
              <th>Applicant</th>
              <th>Programmes</th>
              <th>Fees</th>
              <th>For finance</th>
            </tr>
          </thead>
          <tbody>
            {page.rows.map((row) => (
              <Row key={row.number} row={row} zone={page.zone} />
            ))}
          </tbody>
        </table>
      )}
      {page.next ? (
        <p>
          <Link href={address({ kind: page.kind, find: query.find ?? "", after: page.next })}>Next page</Link>
        </p>
      ) : null}
    </div>
  );
}
