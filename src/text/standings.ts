/** Where a requirement stands, in the words of applicants. */
export const standingsEn = {
  "standing.missing": "missing",
  "standing.promised": "on its way",
  "standing.to check": "with us, to be checked",
  "standing.accepted": "accepted",
  "standing.complete": "complete",
  "standing.supplied": "supplied",
  "standing.returned": "sent back",
  "standing.excused": "excused",
  "standing.not needed": "not needed",
  "standing.ours": "we see to it",
  "standing.done": "done",
} as const;

export const standingsFr: Readonly<Record<keyof typeof standingsEn, string>> = {
  "standing.missing": "manque",
  "standing.promised": "en route",
  "standing.to check": "chez nous, à vérifier",
  "standing.accepted": "accepté",
  "standing.complete": "complet",
  "standing.supplied": "fourni",
  "standing.returned": "renvoyé",
  "standing.excused": "dispensé",
  "standing.not needed": "pas nécessaire",
  "standing.ours": "nous nous en occupons",
  "standing.done": "fait",
};
