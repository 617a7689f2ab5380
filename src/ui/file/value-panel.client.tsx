"use client";

import { resultKey } from "../../core/file/place";
import { type RequirementResult, shownBeside } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { PapersThatCount } from "../application/papers-that-count";
import { ZoneCheck } from "../evidence/zone-check.client";
import type { Confirm } from "../form/correct-value.client";
import { type TakeBack, TranscriptGrid } from "../form/transcript-grid.client";
import { RegistryCheck } from "../results/registry-check.client";
import { ClaimedLine } from "./claimed-line.client";

/** The lines of a list that name another entry than the one whose document is looked at, such as the courses of another degree. */
function elsewhere(data: FileData, entry: string): ReadonlySet<string> {
  const others = data.values.filter((v) => {
    const named = v.confirmed ?? v.claim;
    return v.kind === "entry" && named !== null && named !== entry && v.options?.some((o) => o.value === entry);
  });
  return new Set(others.map((v) => v.entry));
}

/** The sittings that a registry can be asked for here: that of the document, or those of the form whose results need none. */
function sittingsAskedFor(
  data: FileData,
  requirement: RequirementResult,
  own: readonly ClaimedValue[],
): readonly string[] {
  const { entry } = requirement;
  if (shownBeside(requirement).includes("sittings.candidate")) return entry === "" ? [] : [entry];
  if (requirement.kind !== "sections") return [];
  const withPaper = (sitting: string) =>
    data.assessment.requirements.some((r) => r.entry === sitting && shownBeside(r).includes("sittings.candidate"));
  const asked = [...new Set(data.registry.map((q) => q.entry))];
  return asked.filter((sitting) => own.some((v) => v.entry === sitting) && !withPaper(sitting));
}

const NAMES = new Set(["givenNames", "familyName", "oneName", "formerNames"]);
const isName = ({ section, field }: ClaimedValue): boolean => section === "person" && NAMES.has(field);

/** Which document settles how somebody is called, said wherever a document shows a name. */
function Governing({ data: { governing }, requirement }: { data: FileData; requirement: RequirementResult }) {
  if (governing.length === 0 || requirement.kind !== "document") return null;
  const titles = governing.map((g) => g.title.en).join(", ");
  return governing.some((g) => g.requirement === requirement.key) ? (
    <p className="quiet">The name counts as it stands on this document.</p>
  ) : (
    <p className="notice">
      The name counts as it stands on another document: {titles}. What this one says of it does not replace it.
    </p>
  );
}

/** The claim beside what was confirmed, for the fields that a requirement shows. */
export function ValuePanel({
  data,
  requirement,
  onConfirm,
  onTakeBack,
  act,
}: {
  data: FileData;
  requirement: RequirementResult;
  onConfirm: Confirm;
  onTakeBack: TakeBack;
  act: ActOnFile;
}) {
  const names =
    requirement.kind === "sections"
      ? data.values.filter((v) => requirement.sections.includes(v.section)).map((v) => `${v.section}.${v.field}`)
      : shownBeside(requirement);
  const others = elsewhere(data, requirement.entry);
  const here = data.values
    .filter((v) => !others.has(v.entry))
    .filter(
      (v) =>
        names.includes(`${v.section}.${v.field}`) &&
        (requirement.entry === "" ||
          v.entry === requirement.entry ||
          !data.values.some((o) => o.section === v.section && o.entry === requirement.entry)),
    );
  const own = here.filter((v) => v.claim !== null || v.confirmed !== null);
  if (own.length === 0) return null;
  const open = data.shows[resultKey(requirement)] ?? [];
  const judged =
    data.assessment.file.stage !== "preparing" &&
    (requirement.kind === "document" || requirement.standing === "promised" || open.length > 0);
  const sections = [...new Set(own.map((v) => v.section))];
  const sittings = judged ? sittingsAskedFor(data, requirement, own) : [];
  // What a registry left to a person stands before what is claimed, for it is what has to be done.
  const waits = (entry: string) =>
    data.registry.some((q) => q.entry === entry && (q.state === "changed" || q.state === "other name"));
  const registry = (entry: string) => <RegistryCheck key={entry} data={data} entry={entry} act={act} />;
  return (
    <div className="claimed">
      {sittings.filter(waits).map(registry)}
      {own.some(isName) ? <Governing data={data} requirement={requirement} /> : null}
      {sections.map((key) => {
        const values = own.filter((v) => v.section === key);
        const many = new Set(values.map((v) => v.entry)).size > 1;
        return (
          <div key={key}>
            <h3>Claimed: {data.sections.find((s) => s.key === key)?.title.en}</h3>
            {many ? (
              <TranscriptGrid
                // With the cells that nobody has filled yet, but for columns that are empty throughout.
                values={here.filter(
                  (v) =>
                    values.some((o) => o.entry === v.entry && o.section === v.section) &&
                    values.some((o) => o.field === v.field && o.section === v.section),
                )}
                data={data}
                onConfirm={onConfirm}
                onTakeBack={onTakeBack}
                judged={judged}
              />
            ) : (
              <ul className="value-list">
                {values.map((v) => (
                  <ClaimedLine
                    key={`${v.entry}-${v.field}`}
                    value={v}
                    data={data}
                    onConfirm={onConfirm}
                    judged={judged}
                    act={act}
                  />
                ))}
              </ul>
            )}
          </div>
        );
      })}
      <PapersThatCount data={data} shows={shownBeside(requirement)} />
      {judged && shownBeside(requirement).includes("citizenship.passportNumber") ? (
        <ZoneCheck data={data} onConfirm={onConfirm} />
      ) : null}
      {sittings.filter((entry) => !waits(entry)).map(registry)}
      {(requirement.kind === "document" ? requirement.checks : []).map((check) => (
        <p key={check.key} className={check.truth === "not met" ? "wrong strong" : "quiet"}>
          {check.truth === "met" ? "Holds" : check.truth === "not met" ? "Does not hold" : "Open"}: {check.title.en}
        </p>
      ))}
    </div>
  );
}
