import type { FileData } from "../../views/assessment/file-data";

/** What an entry of a list is called; "" outside lists. */
export const entryName = ({ factTitles }: Pick<FileData, "factTitles">, entry: string): string =>
  factTitles[`#${entry}`] ?? "";

/** What a requirement is called, with the entry for which it is asked. */
export const requirementName = (
  data: Pick<FileData, "factTitles">,
  r: FileData["assessment"]["requirements"][number],
): string => [r.title.en, entryName(data, r.entry)].filter(Boolean).join(" · ");
