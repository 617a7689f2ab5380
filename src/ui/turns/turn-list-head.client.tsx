"use client";

import { Button, Select } from "antd";
import Link from "next/link";
import { useRouter } from "next/navigation";
import type { Order } from "../../views/turns/filter";
import { type TurnQuery, tagsOf, turnAddress } from "./turn-query";

/** What the list shows, and how it is narrowed. */
export interface ListWays {
  readonly title: string;
  readonly total: number;
  /** The address of the list, as it was asked for. */
  readonly query: TurnQuery;
  readonly chips: readonly { readonly value: string; readonly title: string }[];
  /** The answer that the list is narrowed to, in words. */
  readonly said: string | null;
}

const ORDER_WORDS: Readonly<Record<Order, string>> = {
  urgent: "most urgent first",
  untouched: "longest untouched first",
  newest: "latest arrival first",
};

interface Chip {
  readonly title: string;
  readonly href: string;
}

/** Everything that the list is narrowed by, each with the list without it. */
function chipsOf({ query, chips, said }: ListWays): readonly Chip[] {
  const tags = tagsOf(query);
  return [
    ...(query.mine === "1" ? [{ title: "Mine only", href: turnAddress(query, { mine: "" }) }] : []),
    ...chips.map(({ value, title }) => ({
      title,
      href: turnAddress(
        query,
        query.officer === value ? { officer: "" } : { with: tags.filter((tag) => tag !== value) },
      ),
    })),
    ...(query.mark ? [{ title: `Marked ${query.mark}`, href: turnAddress(query, { mark: "" }) }] : []),
    ...(query.mend
      ? [
          {
            title: query.mend === "2" ? "Closed with gaps left" : "Gaps can still be filled",
            href: turnAddress(query, { mend: "" }),
          },
        ]
      : []),
    ...(query.alike ? [{ title: "Statements alike", href: turnAddress(query, { alike: "" }) }] : []),
    ...(said ? [{ title: said, href: turnAddress(query, { said: "" }) }] : []),
  ];
}

/** The head of the turn list: what it holds, in which order, and how it is narrowed. */
export function ListHead({
  late,
  narrowing,
  narrow,
  keep,
  ...ways
}: ListWays & { late: number; narrowing: boolean; narrow: () => void; keep: () => void }) {
  const router = useRouter();
  const { title, total, query } = ways;
  const chips = chipsOf(ways);
  const order = Object.keys(ORDER_WORDS).includes(query.order ?? "") ? (query.order as Order) : "urgent";
  return (
    <>
      <header>
        <h1>{title}</h1>
        <span className="quiet">
          {total.toLocaleString("en")} {total === 1 ? "file" : "files"}
          {late > 0 ? ` · ${late} late on this page` : ""}
        </span>
        <span className="list-tools">
          <Select<Order>
            aria-label="Order of the list"
            size="small"
            variant="borderless"
            value={order}
            popupMatchSelectWidth={false}
            options={(Object.keys(ORDER_WORDS) as Order[]).map((value) => ({ value, label: ORDER_WORDS[value] }))}
            onChange={(value) => router.push(turnAddress(query, { order: value === "urgent" ? "" : value }))}
          />
          {query.mine === "1" ? null : (
            <Link href={turnAddress(query, { mine: "1" })} className="filter">
              Mine only
            </Link>
          )}
          <Button size="small" onClick={narrow} aria-expanded={narrowing}>
            Narrow <span className="key">n</span>
          </Button>
        </span>
      </header>
      {chips.length > 0 ? (
        <p className="chips">
          {chips.map((chip) => (
            <Link key={chip.title} href={chip.href} aria-label={`${chip.title}, take this away`} prefetch={false}>
              {chip.title} ×
            </Link>
          ))}
          <button type="button" className="bare" onClick={keep}>
            Keep as a list of its own
          </button>
        </p>
      ) : null}
    </>
  );
}
