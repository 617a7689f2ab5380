import type { ReferenceSet } from "../standards/reference-set";
import { compareLists, type Difference, partsChanged } from "./parts";

/** What differs between two reference sets of the office. */
const AREAS = [
  "office",
  "group",
  "campus",
  "subject area",
  "grade scale",
  "test",
  "list",
  "paper",
  "listed institution",
  "working days",
] as const;
export type ReferenceDifference = Difference<(typeof AREAS)[number]>;

const OFFICE = { en: "The office", fr: "Le bureau" } as const;

/** The free days that one set has and the other has not, year by year. */
function compareCalendars(
  before: ReferenceSet["calendar"],
  after: ReferenceSet["calendar"],
): readonly ReferenceDifference[] {
  const years = [...new Set([...Object.keys(before.holidays), ...Object.keys(after.holidays)])].sort();
  const parts = years.flatMap((year) => {
    const [was, is] = [before.holidays[year], after.holidays[year]];
    const sorted = (days: readonly string[] | undefined) => (days ? [...days].sort() : null);
    if (JSON.stringify(sorted(was)) === JSON.stringify(sorted(is))) return [];
    const gone = (was ?? []).filter((d) => !is?.includes(d));
    const added = (is ?? []).filter((d) => !was?.includes(d));
    return [{ part: year, before: was ? gone.sort() : null, after: is ? added.sort() : null }];
  });
  const weekend = partsChanged({ weekend: before.weekend }, { weekend: after.weekend }, []);
  const all = [...weekend, ...parts];
  return all.length === 0
    ? []
    : [{ area: "working days", key: "calendar", title: { en: "", fr: "" }, change: "changed", parts: all }];
}

export function compareReferenceSets(before: ReferenceSet, after: ReferenceSet): readonly ReferenceDifference[] {
  const own = ({
    name,
    zone,
    currency,
    graceMinutes,
    keepDraftsDays,
    keepFilesDays,
    asks,
    referees,
    targets,
    map,
  }: ReferenceSet) => ({
    name,
    zone,
    currency,
    graceMinutes,
    keepDraftsDays,
    keepFilesDays,
    ...asks,
    refereeEvery: referees.remindEvery,
    refereeTimes: referees.remindTimes,
    refereeBefore: referees.remindBefore,
    ...targets,
    map: map ? [...map.land, ...map.water].length : null,
    outlines: JSON.stringify(map),
  });
  const parts = partsChanged(own(before), own(after), ["outlines"]);
  const redrawn = own(before).outlines !== own(after).outlines && parts.every((p) => p.part !== "map");
  const office = [...parts, ...(redrawn ? [{ part: "map", before: "as it was", after: "drawn anew" }] : [])];
  const order = (set: ReferenceSet) =>
    set.groups.map((g) => g.key).filter((k) => before.groups.some((g) => g.key === k));
  const turned =
    order(before)
      .filter((k) => after.groups.some((g) => g.key === k))
      .join() !== order(after).join();
  return [
    ...(office.length > 0
      ? [{ area: "office", key: "office", title: OFFICE, change: "changed", parts: office } as const]
      : []),
    ...(turned
      ? [
          {
            area: "group",
            key: "order",
            title: { en: "order", fr: "ordre" },
            change: "changed",
            parts: [{ part: "order", before: before.groups.map((g) => g.key), after: after.groups.map((g) => g.key) }],
          } as const,
        ]
      : []),
    ...compareLists("group", before.groups, after.groups),
    ...compareLists("campus", before.campuses, after.campuses),
    ...compareLists("subject area", before.areas, after.areas),
    ...compareLists("grade scale", before.scales, after.scales),
    ...compareLists("test", before.tests, after.tests),
    ...compareLists("list", before.entitlements, after.entitlements),
    ...compareLists("paper", before.papers, after.papers),
    ...compareLists("listed institution", before.graduates, after.graduates),
    ...compareCalendars(before.calendar, after.calendar),
  ];
}
