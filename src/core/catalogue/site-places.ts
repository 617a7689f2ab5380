import { fold } from "../people/fold";
import type { ReferenceSet } from "../standards/reference-set";
import type { LocalText } from "../text/local-text";

type Site = ReferenceSet["campuses"][number];

/** A place to look for: one site, or a region with all of its sites. */
export interface Place {
  readonly value: string;
  readonly title: LocalText;
  /** The region that it lies in, or that it is. */
  readonly region: LocalText | null;
  readonly whole: boolean;
}

const regionValue = (region: LocalText): string => `region ${fold(region.en)}`;

/** Whether a site is the place that somebody looks for, or lies in it. */
export const liesIn = ({ key, region }: Pick<Site, "key" | "region">, place: string): boolean =>
  key === place || (region !== undefined && regionValue(region) === place);

/** The places of an office, region by region, each after the region itself; what lies in no region comes last. */
export function placesOf(sites: readonly Site[]): readonly Place[] {
  const regions = new Map(sites.flatMap((s) => (s.region ? [[regionValue(s.region), s.region] as const] : [])));
  const site = ({ key, title, region }: Site): Place => ({ value: key, title, region: region ?? null, whole: false });
  return [
    ...[...regions].flatMap(([value, region]) => [
      { value, title: region, region, whole: true },
      ...sites.filter((s) => liesIn(s, value)).map(site),
    ]),
    ...sites.filter((s) => !s.region).map(site),
  ];
}
