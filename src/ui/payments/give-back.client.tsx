"use client";

import { WithReason } from "../assessment/with-reason.client";

/** Where finance books that it gave back what was paid beyond what is due. */
export function GiveBack({
  amount,
  name,
  book,
}: {
  /** In words: "15.00 EUR". */
  amount: string;
  name: string;
  book: (note: string) => Promise<string | null>;
}) {
  return (
    <WithReason
      open={`Book ${amount} as given back`}
      does="It was given back"
      label="How, as you find it again (a transfer, its reference)"
      consequence={`Unvex moves no money: give it back first. ${name} reads that it was.`}
      quiet
      act={book}
    />
  );
}
