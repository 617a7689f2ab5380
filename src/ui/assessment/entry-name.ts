import type { FileData } from "../../views/assessment/file-data";

/** What an entry of a list is called where it has a title or an institution; "" outside lists. */
export function entryName(data: Pick<FileData, "values">, entry: string): string {
  if (entry === "") return "";
  const value = (field: string) => data.values.find((v) => v.entry === entry && v.field === field)?.claim;
  return String(value("title") ?? value("institution") ?? "");
}
