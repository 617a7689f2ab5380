import type { Picture } from "../../core/rulebook/requirement";

/** What a document is, by its bytes: names and announced types are hints only. */
export type Mark = "active_content" | "embedded_file" | "restricted" | "hard_to_read" | "blank_page" | "blurred";
export const MEDIA_TYPES = ["application/pdf", "image/jpeg", "image/png"] as const;
export type MediaType = (typeof MEDIA_TYPES)[number];

type DocumentRefusal =
  | "empty"
  | "too_large"
  | "damaged"
  | "no_pages"
  | "password_needed"
  | "not_what_its_name_says"
  | "kind_not_accepted"
  | "macro"
  | "too_many_pages"
  | "too_many_pixels"
  | "picture_only"
  | "picture_too_small"
  | "too_hard";

export interface KeptDocument {
  readonly bytes: Buffer;
  readonly mediaType: MediaType;
  readonly pages: number;
  readonly marks: readonly Mark[];
  /** What was sent, where something else is kept to be looked at and printed: every picture is made anew. */
  readonly original: { readonly bytes: Buffer; readonly mediaType: MediaType } | null;
  /** The picture that was asked for and that this was cut to. */
  readonly picture: Picture | null;
}

export type Inspection =
  | ({ readonly verdict: "store" } & KeptDocument)
  | { readonly verdict: "refuse"; readonly reason: DocumentRefusal };
