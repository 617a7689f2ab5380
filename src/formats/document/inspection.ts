/** What a document is, by its bytes: names and announced types are hints only. */
export type Mark = "active_content" | "embedded_file" | "restricted" | "hard_to_read";

type DocumentRefusal =
  | "empty"
  | "too_large"
  | "damaged"
  | "no_pages"
  | "password_needed"
  | "not_what_its_name_says"
  | "kind_not_accepted"
  | "macro"
  | "too_many_pages";

export type Inspection =
  | {
      readonly verdict: "store";
      readonly mediaType: "application/pdf" | "image/jpeg" | "image/png";
      readonly pages: number;
      readonly marks: readonly Mark[];
    }
  | { readonly verdict: "refuse"; readonly reason: DocumentRefusal };
