/** File names are kept for display only: without control signs and direction marks that could disguise an ending. */
export function displayName(name: string): string {
  const clean = name
    .replace(/[\p{Cc}\p{Cf}\p{Cs}]/gu, "")
    .replace(/^.*[\\/]/u, "")
    .trim();
  return clean === "" ? "document" : clean.slice(0, 150);
}
