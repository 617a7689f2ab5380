/** What a programme offers to choose from, as the parts of a JSON object (`OfferedByProgramme`). */
export const offeredBy = (programme: string): string =>
  ["campuses", "languages", "modes", "tracks"].map((part) => `'${part}', ${programme}.${part}`).join(", ");
