import type { FileData } from "../../views/assessment/file-data";

const list = new Intl.ListFormat("en", { type: "disjunction" });

/** Beside an identity paper: which ones count for this person here, and that the one that was named is none of them. */
export function PapersThatCount({ data, shows }: { data: FileData; shows: readonly string[] }) {
  return shows.map((name) => {
    const counting = data.counting[name];
    if (!counting) return null;
    const [section, field] = name.split(".");
    const value = data.values.find((v) => v.section === section && v.field === field);
    const named = value?.confirmed ?? value?.claim ?? null;
    const words = list.format(counting.map((p) => p.title.en)) || "none of the office’s papers";
    const fits = named === null || counting.some((p) => p.key === named);
    return (
      <p key={name} className={fits ? "quiet" : "wrong strong"}>
        {fits
          ? `Counts here: ${words}.`
          : `${data.office.papers.find((p) => p.key === named)?.title.en ?? named} does not count here, but ${words}.`}
      </p>
    );
  });
}
