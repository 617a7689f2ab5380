/** A page of a document of the file, counted from 1, where it is laid in a new one, and by how many degrees it is turned to the right. */
export interface LaidPage {
  readonly evidenceId: string;
  readonly page: number;
  readonly turn: 0 | 90 | 180 | 270;
}

interface Ranged {
  readonly evidenceId: string;
  readonly firstPage: number;
  readonly lastPage: number;
}

export const pageKey = ({ evidenceId, page }: LaidPage): string => `${evidenceId} ${page}`;

/** Lays further pages of a document behind those that are there; none lies there twice. */
export function addPages(laid: readonly LaidPage[], evidenceId: string, pages: readonly number[]): readonly LaidPage[] {
  const there = new Set(laid.map(pageKey));
  const more = pages.map((page) => ({ evidenceId, page, turn: 0 as const })).filter((p) => !there.has(pageKey(p)));
  return more.length === 0 ? laid : [...laid, ...more];
}

/** The pages of the documents of which some are laid and these are not. */
export function leftBehind<Document extends Ranged>(
  laid: readonly LaidPage[],
  documents: readonly Document[],
): readonly { readonly document: Document; readonly pages: readonly number[] }[] {
  return documents.flatMap((document) => {
    const taken = new Set(laid.filter((l) => l.evidenceId === document.evidenceId).map((l) => l.page));
    const count = document.lastPage - document.firstPage + 1;
    if (taken.size === 0 || taken.size === count) return [];
    const pages = Array.from({ length: count }, (_, i) => document.firstPage + i).filter((page) => !taken.has(page));
    return [{ document, pages }];
  });
}
