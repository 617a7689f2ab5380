/** What the demo's registry of examinations holds: results under their candidate numbers. */
export const REGISTRY_RECORDS = [
  {
    board: "northern",
    year: "2025",
    candidate: "NEC-40817",
    name: "N'DIAYE SARR AWA",
    results: [
      { subject: "biology", mark: "74" },
      { subject: "chemistry", mark: "66" },
      { subject: "mathematics", mark: "58" },
      { subject: "english", mark: "71" },
    ],
  },
  {
    board: "northern",
    year: "2023",
    candidate: "NEC-33150",
    name: "N'DIAYE SARR AWA",
    results: [{ subject: "physics", mark: "41" }],
  },
  {
    board: "northern",
    year: "2026",
    candidate: "NEC-41526",
    name: "MWANGAZA TESFALEM",
    results: [
      { subject: "biology", mark: "66" },
      { subject: "chemistry", mark: "59" },
      { subject: "mathematics", mark: "71" },
    ],
  },
  {
    board: "strand",
    year: "2026",
    candidate: "S 2207",
    name: "Awa Ndiaye",
    results: [{ subject: "mathematics", mark: "67" }],
  },
  {
    board: "northern",
    year: "2024",
    candidate: "NEC-40001",
    name: "Aïssatou Sarr",
    results: [{ subject: "biology", mark: "91" }],
  },
] as const;
