"use client";

import { useState } from "react";
import { resultKey } from "../../core/file/place";
import { type RequirementResult, shownBeside } from "../../core/file/result";
import type { ActOnFile } from "../../core/file-acts/file-acts";
import { valueText } from "../../text/words/value-text";
import type { ClaimedValue, FileData } from "../../views/assessment/file-data";
import { PapersThatCount } from "../application/papers-that-count";
import { KeptElsewhere } from "../evidence/kept-elsewhere.client";
import { LinkList } from "../evidence/link-list.client";
import { ZoneCheck } from "../evidence/zone-check.client";
import { CORRECTABLE, type Confirm, CorrectValue } from "../form/correct-value.client";
import { type TakeBack, TranscriptGrid } from "../form/transcript-grid.client";
import { OfficeDay } from "../frame/office-day.client";
import { RegistryCheck } from "../results/registry-check.client";

function Line({
  value,
  data,
  onConfirm,
  judged,
  act,
}: {
  value: ClaimedValue;
  data: FileData;
  onConfirm: Confirm;
  judged: boolean;
  act: ActOnFile;
}) {
  const [open, setOpen] = useState(false);
  const claim = valueText("en", value, value.claim, data.office);
  return (
    <li data-state={value.state}>
      <span className="quiet">{value.title.en}</span>
      <span>
        {value.kind === "links" ? (
          <LinkList value={value} data={data} act={act} />
        ) : value.state === "changed" || value.state === "stale" ? (
          <>
            <strong>{valueText("en", value, value.confirmed, data.office)}</strong> <s className="quiet">{claim}</s>
          </>
        ) : (
          claim
        )}
        {value.from ? (
          <>
            {" "}
            <a className="quiet" href={`/office/files/${value.from}?show=form`}>
              from No. {value.from}
            </a>
          </>
        ) : null}
        {value.note ? (
          <span className="quiet note">
            {value.note.text} {value.note.by}, <OfficeDay at={value.note.at} />
          </span>
        ) : null}
        <KeptElsewhere value={value} act={act} />
      </span>
      <span className="quiet">
        {value.state === "stale" ? "changed since" : value.state === "claimed" && !value.used ? "" : value.state}
        {judged && CORRECTABLE.has(value.kind) && value.keptBy === null ? (
          <button
            type="button"
            className="link-button"
            onClick={() => setOpen(!open)}
            aria-label={`Correct ${value.title.en}`}
          >
            correct
          </button>
        ) : null}
      </span>
      {open ? <CorrectValue value={value} data={data} onConfirm={onConfirm} onDone={() => setOpen(false)} /> : null}
    </li>
  );
}

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
  return (
    <div className="claimed">
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
                  <Line
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
      {judged
        ? sittingsAskedFor(data, requirement, own).map((entry) => (
            <RegistryCheck key={entry} data={data} entry={entry} act={act} />
          ))
        : null}
      {(requirement.kind === "document" ? requirement.checks : []).map((check) => (
        <p key={check.key} className={check.truth === "not met" ? "wrong strong" : "quiet"}>
          {check.truth === "met" ? "Holds" : check.truth === "not met" ? "Does not hold" : "Open"}: {check.title.en}
        </p>
      ))}
    </div>
  );
}
