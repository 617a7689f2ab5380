import type { FileData } from "../../views/assessment/file-data";

/** What an entry of a list is called where it has a title or an institution; "" outside lists. */
export function entryName(data: Pick<FileData, "values">, entry: string): string {
  if (entry === "") return "";
  const value = (field: string) => data.values.find((v) => v.entry === entry && v.field === field)?.claim;
  return String(value("title") ?? value("institution") ?? "");
}

/** What a requirement is called, with the entry for which it is asked. */
export const requirementName = (
  data: Pick<FileData, "values">,
  r: FileData["assessment"]["requirements"][number],
): string => [r.title.en, entryName(data, r.entry)].filter(Boolean).join(" · ");
