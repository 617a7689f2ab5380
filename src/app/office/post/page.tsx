import Link from "next/link";
import { notFound } from "next/navigation";
import { OFFICE } from "../../../core/rights/actor";
import { registersOf } from "../../../core/standards/reference-set";
import { webRuntime } from "../../../runtime";
import { formatDayOf } from "../../../text/format";
import { valueText } from "../../../text/words/value-text";
import { PostList } from "../../../ui/contact/post-list.client";
import { POST_KINDS, type PostKind, type PostRow, post } from "../../../views/contact/post";
import { officeNow } from "../../../views/view/office-now";
import { requireStaff, see } from "../../request";
import { askAll } from "./post.action";

const KIND_WORDS: Readonly<Record<PostKind, { readonly name: string; readonly none: string }>> = {
  all: { name: "All addresses", none: "No submitted application gives an address." },
  "not confirmed": { name: "Not confirmed", none: "Every address is confirmed, or a letter came back from it." },
  fails: { name: "A letter came back", none: "No letter came back." },
  holds: { name: "Confirmed", none: "Nobody has confirmed an address yet." },
};

function stateWords({ reached, since, askedAt }: PostRow, zone: string): string {
  const day = (at: Date) => formatDayOf("en", at.toISOString(), zone);
  const asked = askedAt ? `, asked on ${day(askedAt)}` : "";
  if (since === null) return `not confirmed${asked}`;
  return reached === "fails" ? `a letter came back on ${day(since)}${asked}` : `confirmed on ${day(since)}`;
}

/** Where letters go: looked at before anything is printed. */
export default async function Post({ searchParams }: { searchParams: Promise<{ kind?: string; after?: string }> }) {
  const person = await requireStaff("/office/post", OFFICE);
  const { kind = "all", after = null } = await searchParams;
  const page = await see(post, person.actor, { kind: kind as PostKind, after }); // another word leads to the first list
  if (!page) notFound();
  const { set } = await officeNow((await webRuntime()).pool);
  const registers = registersOf(set);
  const address = (query: Readonly<Record<string, string>>) => `/office/post?${new URLSearchParams(query)}`;
  return (
    <div className="office-sheet wide">
      <div className="sheet-head">
        <h1>
          Post <span className="quiet">where letters to applicants go</span>
        </h1>
        <a href={`/api/post?${new URLSearchParams({ kind: page.kind })}`} download>
          Addresses as CSV
        </a>
      </div>
      <nav className="kinds" aria-label="Which addresses">
        {POST_KINDS.map((k) => (
          <Link key={k} href={address({ kind: k })} aria-current={k === page.kind ? "page" : undefined}>
            {KIND_WORDS[k].name}
          </Link>
        ))}
      </nav>
      {page.rows.length === 0 ? (
        <p className="empty">{KIND_WORDS[page.kind].none}</p>
      ) : (
        <PostList
          key={`${page.kind} ${after ?? ""}`}
          rows={page.rows.map((row) => ({
            id: row.id,
            number: row.number,
            name: row.name,
            programmes: row.programmes.replace(/ /gu, " · "),
            place: { scope: row.scope, section: row.section, entry: row.entry, field: row.field },
            purpose: row.purpose.en,
            address: valueText("en", { kind: "address", options: undefined }, row.address, registers),
            state: stateWords(row, set.zone),
            reached: row.reached,
          }))}
          ask={askAll}
        />
      )}
      <p className="quiet">
        {after ? <Link href={address({ kind: page.kind })}>First page</Link> : null}{" "}
        {page.next ? <Link href={address({ kind: page.kind, after: page.next })}>Next page</Link> : null}
      </p>
    </div>
  );
}
