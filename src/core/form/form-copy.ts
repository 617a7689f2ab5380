/** A form with all its answers in words, in order: what the review page shows and what is printed. */
export interface FormCopy {
  readonly title: string;
  /** A line under it: the number, whose it is, and when it was submitted. */
  readonly under: string;
  readonly parts: readonly {
    /** The programme of a part that belongs to one choice. */
    readonly title: string | null;
    readonly sections: readonly CopiedSection[];
  }[];
  /** What stands beside the answers: documents, references, fees. */
  readonly annexes: readonly {
    readonly title: string;
    readonly lines: readonly { readonly what: string; readonly words: readonly string[] }[];
  }[];
  /** With `{page}` and `{pages}`. */
  readonly foot: string;
}

export interface CopiedSection {
  readonly key: string;
  readonly title: string;
  /** What the office says of it in short, for those who assess. */
  readonly summary?: string;
  /** A list whose entries are short is a table, with a line an entry; it then has no `entries`. */
  readonly table: { readonly heads: readonly string[]; readonly rows: readonly (readonly string[])[] } | null;
  readonly entries: readonly {
    readonly id: string;
    readonly title: string | null;
    readonly pairs: readonly { readonly label: string; readonly value: string; readonly long: boolean }[];
  }[];
  /** Of a list in which nothing stands: that there is none, or that nobody has answered; null where something stands. */
  readonly empty: string | null;
}
